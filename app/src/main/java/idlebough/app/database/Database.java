package idlebough.app.database;

/** The MariaDB on which the application runs: its own private one, or one that was given. */
public interface Database extends AutoCloseable {
    /** JDBC address, with what the application expects of a connection. */
    String url();

    String user();

    String password();

    @Override
    void close();
}
