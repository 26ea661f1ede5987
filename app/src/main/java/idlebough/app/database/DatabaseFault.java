package idlebough.app.database;

import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import java.util.Set;
import org.springframework.transaction.TransactionSystemException;

/** What of the database stands behind an exception, as far as whoever asked should know. */
public enum DatabaseFault {
    /** It does not answer. */
    DOWN,
    /** There is no room for what was to be stored. */
    FULL,
    /** It was asked for an id with letters that no id has. */
    NO_ID;

    /** MariaDB: disk full, error of the storage engine, table full, write error. */
    private static final Set<Integer> NO_ROOM = Set.of(1021, 1026, 1114);

    /** MariaDB: ids are ASCII, and are not compared with anything else. */
    private static final int MIXED_LETTERS = 1267;

    private static final int ENGINE = 1030;
    private static final String NO_SPACE = "28";

    public static Optional<DatabaseFault> behind(Throwable trouble) {
        for (Throwable cause = trouble; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLTransientConnectionException
                    || cause instanceof SQLNonTransientConnectionException) {
                return Optional.of(DOWN);
            }
            if (cause instanceof TransactionSystemException system && system.getApplicationException() != null) {
                // What was thrown first stands behind what could not be rolled back any more.
                return behind(system.getApplicationException());
            }
            if (cause instanceof SQLException sql && isGone(sql)) {
                return Optional.of(DOWN);
            }
            if (cause instanceof SQLException sql && sql.getErrorCode() == MIXED_LETTERS) {
                return Optional.of(NO_ID);
            }
            if (cause instanceof SQLException sql && isFull(sql)) {
                return Optional.of(FULL);
            }
        }
        return Optional.empty();
    }

    /** SQLSTATE 08: connection exception; and what the pool says of a connection that it has thrown away. */
    private static boolean isGone(SQLException sql) {
        return String.valueOf(sql.getSQLState()).startsWith("08")
                || String.valueOf(sql.getMessage()).equals("Connection is closed");
    }

    private static boolean isFull(SQLException sql) {
        return NO_ROOM.contains(sql.getErrorCode())
                || sql.getErrorCode() == ENGINE
                        && String.valueOf(sql.getMessage()).contains(NO_SPACE);
    }
}
