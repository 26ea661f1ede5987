package idlebough.app.database;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A MariaDB 10.11 or newer that somebody else runs: {@code BOUGH_DATABASE} is its JDBC address, {@code
 * BOUGH_DATABASE_USER} who signs in, {@code BOUGH_DATABASE_PASSWORD_FILE} a file that holds the password. Several
 * instances of the application may share it.
 */
public record GivenMariaDb(String url, String user, String password) implements Database {
    private static final Pattern ADDRESS = Pattern.compile("jdbc:mariadb://[^?]+/[A-Za-z0-9_]+(\\?.*)?");
    private static final Pattern VERSION = Pattern.compile("(\\d+)\\.(\\d+)\\..*");
    private static final int OLDEST = 10_011;
    private static final long PACKET = 64L << 20;
    /** What the private server is set to, said for each connection. */
    private static final String EXPECTED = "connectionTimeZone=UTC&forceConnectionTimeZoneToSession=true"
            + "&useBulkStmts=true&sessionVariables=sql_mode='STRICT_TRANS_TABLES,STRICT_ALL_TABLES,"
            + "ERROR_FOR_DIVISION_BY_ZERO,NO_ZERO_DATE,NO_ZERO_IN_DATE,NO_ENGINE_SUBSTITUTION,ONLY_FULL_GROUP_BY'";

    /**
     * @param settings the environment
     * @return empty when no database is given
     * @throws DatabaseTrouble with a sentence when it cannot be used
     */
    public static Optional<Database> of(Map<String, String> settings) {
        String address = settings.getOrDefault("BOUGH_DATABASE", "").strip();
        if (address.isEmpty()) {
            return Optional.empty();
        }
        if (!ADDRESS.matcher(address).matches()) {
            throw new DatabaseTrouble(
                    "BOUGH_DATABASE is a JDBC address with a schema, such as jdbc:mariadb://db.example/idlebough.",
                    null);
        }
        String user = settings.getOrDefault("BOUGH_DATABASE_USER", "").strip();
        String file = settings.getOrDefault("BOUGH_DATABASE_PASSWORD_FILE", "").strip();
        if (user.isEmpty() || file.isEmpty()) {
            throw new DatabaseTrouble(
                    "Beside BOUGH_DATABASE give BOUGH_DATABASE_USER, and BOUGH_DATABASE_PASSWORD_FILE with the password "
                            + "in it.",
                    null);
        }
        try {
            String password = Files.readString(Path.of(file)).strip();
            GivenMariaDb given =
                    new GivenMariaDb(address + (address.contains("?") ? "&" : "?") + EXPECTED, user, password);
            return Optional.of(given.checked());
        } catch (IOException unreadable) {
            throw new DatabaseTrouble("The password file " + file + " cannot be read.", unreadable);
        }
    }

    /** The same, with what only newer servers know said as well. */
    private GivenMariaDb checked() {
        try (Connection connection = DriverManager.getConnection(url, user, password);
                Statement statement = connection.createStatement();
                ResultSet answer = statement.executeQuery(
                        "select version(), @@max_allowed_packet, @@character_set_database, @@innodb_flush_log_at_trx_commit")) {
            answer.next();
            Matcher version = VERSION.matcher(answer.getString(1));
            if (!version.matches()
                    || Integer.parseInt(version.group(1)) * 1000 + Integer.parseInt(version.group(2)) < OLDEST) {
                throw new DatabaseTrouble(
                        "The database is " + answer.getString(1) + "; Idle Bough wants MariaDB 10.11 or newer.", null);
            }
            if (answer.getLong(2) < PACKET) {
                throw new DatabaseTrouble(
                        "The database takes packets of " + answer.getLong(2) + " bytes at most; weather files want "
                                + "max_allowed_packet=64M.",
                        null);
            }
            if (!answer.getString(3).equals("utf8mb4")) {
                throw new DatabaseTrouble(
                        "The schema's letters are " + answer.getString(3) + "; make it with character set utf8mb4.",
                        null);
            }
            if (answer.getInt(4) != 1) {
                throw new DatabaseTrouble(
                        "The database does not flush at every commit, so a power cut could lose what was acknowledged; "
                                + "set innodb_flush_log_at_trx_commit=1.",
                        null);
            }
            // On by default from 11.6; see PrivateMariaDb.
            try (Statement variables = connection.createStatement();
                    ResultSet known = variables.executeQuery("show variables like 'innodb_snapshot_isolation'")) {
                return known.next() ? new GivenMariaDb(url + ",innodb_snapshot_isolation=OFF", user, password) : this;
            }
        } catch (SQLException refused) {
            throw new DatabaseTrouble(
                    "The database that BOUGH_DATABASE names does not answer: " + refused.getMessage(), refused);
        }
    }

    /** Whoever runs it goes on running it. */
    @Override
    public void close() {}

    @Override
    public String toString() {
        return url;
    }
}
