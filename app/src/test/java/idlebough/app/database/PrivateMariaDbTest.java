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
    void aFirstInstallationThatWasCutOffStartsOverButDataOfOursAreNeverTouched(@TempDir Path directory)
            throws Exception {
        Path data = Files.createDirectories(directory.resolve("data"));
        Files.writeString(data.resolve("ibdata1"), "half");
        try (PrivateMariaDb begun = PrivateMariaDb.open(directory);
                Connection connection = connect(begun)) {
            assertThat(connection.isValid(2)).isTrue();
        }
        Files.delete(directory.resolve("data-complete"));
        assertThatThrownBy(() -> PrivateMariaDb.open(directory))
                .isInstanceOf(DatabaseTrouble.class)
                .hasMessageContaining("holds our data");
        assertThat(data.resolve("idlebough")).isDirectory();
    }

    /** An unlucky kill: the file of the port is of no use to anybody, the server itself is asked. */
    @Test
    void aServerThatDiedIsRevivedAtItsPortAndOneThatRunsIsJoined(@TempDir Path directory) throws Exception {
        try (PrivateMariaDb first = PrivateMariaDb.open(directory)) {
            try (Connection connection = connect(first);
                    Statement sql = connection.createStatement()) {
                sql.execute("create table kept (words varchar(20))");
                sql.execute("insert into kept values ('acknowledged')");
            }
            PrivateMariaDb joined = PrivateMariaDb.open(directory);
            assertThat(joined.url()).isEqualTo(first.url());
            long pid = Long.parseLong(
                    Files.readString(directory.resolve("run/mariadbd.pid")).strip());
            ProcessHandle.of(pid).orElseThrow().destroyForcibly();
            ProcessHandle.of(pid).ifPresent(dying -> dying.onExit().join());
            assertThat(first.isAlive()).isFalse();
            try (DatabaseWatch watch = DatabaseWatch.over(first)) {
                for (int i = 0; i < 300 && !first.isAlive(); i++) {
                    Thread.sleep(50);
                }
                first.revive();
                assertThat(first.isAlive()).isTrue();
                assertThat(PrivateMariaDb.open(directory).url()).isEqualTo(first.url());
            }
            try (Connection connection = connect(first);
                    Statement sql = connection.createStatement();
                    ResultSet rows = sql.executeQuery("select words from kept")) {
                assertThat(rows.next()).isTrue();
            }
        }
    }

    /** A backup command that finds the server dead starts it where the living application looks for it. */
    @Test
    void whoeverStartsADeadServerStartsItOnItsPort(@TempDir Path directory) throws Exception {
        try (PrivateMariaDb application = PrivateMariaDb.open(directory)) {
            long pid = Long.parseLong(
                    Files.readString(directory.resolve("run/mariadbd.pid")).strip());
            ProcessHandle.of(pid).orElseThrow().destroyForcibly();
            ProcessHandle.of(pid).ifPresent(dying -> dying.onExit().join());
            try (PrivateMariaDb command = PrivateMariaDb.open(directory);
                    Connection connection = connect(application)) {
                assertThat(command.url()).isEqualTo(application.url());
                assertThat(connection.isValid(2)).isTrue();
            }
        }
    }

    @Test
    void aBackupThatBreaksOffLeavesNothingBehind(@TempDir Path directory) throws Exception {
        Path broken = directory.resolve("broken.sql");
        Files.writeString(broken, "create table half (a int);\ninsert into nowhere values (1);\n");
        try (PrivateMariaDb database = PrivateMariaDb.open(directory.resolve("a"))) {
            assertThatThrownBy(() -> database.restore(broken))
                    .isInstanceOf(DatabaseTrouble.class)
                    .hasMessageContaining("empty as before");
            try (Connection connection = connect(database);
                    Statement sql = connection.createStatement();
                    ResultSet rows = sql.executeQuery("show tables")) {
                assertThat(rows.next()).isFalse();
            }
        }
    }

    @Test
    void aPathTooLongForASocketIsSaid(@TempDir Path directory) {
        assertThatThrownBy(() -> PrivateMariaDb.open(directory.resolve("x".repeat(90))))
                .isInstanceOf(DatabaseTrouble.class)
                .hasMessageContaining("too long");
    }
}
