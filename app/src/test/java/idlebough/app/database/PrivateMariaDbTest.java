package idlebough.app.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The private server: kept data, backup and restore, and a sentence for whatever is in the way. */
class PrivateMariaDbTest {
    private static Connection connect(PrivateMariaDb database) throws Exception {
        return DriverManager.getConnection(database.url(), database.user(), database.password());
    }

    @Test
    void aSecondStartFindsItsDataAndABackupGoesOnlyIntoAnEmptyOne(@TempDir Path directory) throws Exception {
        Path dump = directory.resolve("backup.sql");
        try (PrivateMariaDb first = PrivateMariaDb.open(directory.resolve("a"));
                Connection connection = connect(first);
                Statement sql = connection.createStatement()) {
            sql.execute("create table kept (words varchar(20))");
            sql.execute("insert into kept values ('Süße Äpfel 🍏')");
        }
        try (PrivateMariaDb again = PrivateMariaDb.open(directory.resolve("a"))) {
            again.backup(dump);
            assertThatThrownBy(() -> again.restore(dump))
                    .isInstanceOf(DatabaseTrouble.class)
                    .hasMessageContaining("not empty");
        }
        try (PrivateMariaDb other = PrivateMariaDb.open(directory.resolve("b"))) {
            other.restore(dump);
            try (Connection connection = connect(other);
                    Statement sql = connection.createStatement();
                    ResultSet rows = sql.executeQuery("select words from kept")) {
                assertThat(rows.next()).isTrue();
                assertThat(rows.getString(1)).isEqualTo("Süße Äpfel 🍏");
            }
        }
    }

    @Test
    void aHalfMadeDataDirectoryIsLeftAsItIs(@TempDir Path directory) throws Exception {
        Path left = Files.createDirectories(directory.resolve("data")).resolve("ibdata1");
        Files.writeString(left, "half");
        assertThatThrownBy(() -> PrivateMariaDb.open(directory))
                .isInstanceOf(DatabaseTrouble.class)
                .hasMessageContaining("half made");
        assertThat(left).hasContent("half");
    }

    @Test
    void aPathTooLongForASocketIsSaid(@TempDir Path directory) {
        assertThatThrownBy(() -> PrivateMariaDb.open(directory.resolve("x".repeat(90))))
                .isInstanceOf(DatabaseTrouble.class)
                .hasMessageContaining("too long");
    }
}
