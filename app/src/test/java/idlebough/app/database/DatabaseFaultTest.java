package idlebough.app.database;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.TransactionSystemException;

/** Codes: MariaDB's list of errors (1021 disk full, 1114 table full, 1030 with errno 28). */
class DatabaseFaultTest {
    private static DatabaseFault behind(SQLException cause) {
        return DatabaseFault.behind(new DataAccessResourceFailureException("wrapped", cause))
                .orElse(null);
    }

    @Test
    void tellsWhatStandsBehindAnException() {
        assertThat(behind(new SQLTransientConnectionException("no connection within 3 s")))
                .isEqualTo(DatabaseFault.DOWN);
        assertThat(behind(new SQLException("Socket error", "08000"))).isEqualTo(DatabaseFault.DOWN);
        TransactionSystemException rollback =
                new TransactionSystemException("rollback failed", new SQLException("Connection is closed"));
        assertThat(DatabaseFault.behind(rollback)).hasValue(DatabaseFault.DOWN);
        rollback.initApplicationException(new SQLException("Disk full", "HY000", 1021));
        assertThat(DatabaseFault.behind(rollback)).hasValue(DatabaseFault.FULL);
        assertThat(behind(new SQLException("Disk full (/tmp); waiting", "HY000", 1021)))
                .isEqualTo(DatabaseFault.FULL);
        assertThat(behind(new SQLException("The table 'tree' is full", "HY000", 1114)))
                .isEqualTo(DatabaseFault.FULL);
        assertThat(behind(new SQLException("Got error 28 from storage engine", "HY000", 1030)))
                .isEqualTo(DatabaseFault.FULL);
        assertThat(behind(new SQLException("Illegal mix of collations", "HY000", 1267)))
                .isEqualTo(DatabaseFault.NO_ID);
        assertThat(behind(new SQLException("Duplicate entry", "23000", 1062))).isNull();
        assertThat(behind(new SQLException("Got error 139 from storage engine", "HY000", 1030)))
                .isNull();
    }
}
