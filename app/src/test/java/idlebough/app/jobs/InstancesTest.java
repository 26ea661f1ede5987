package idlebough.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import idlebough.app.IdleBough;
import idlebough.app.Running;
import idlebough.app.database.Database;
import idlebough.app.database.DatabaseTrouble;
import idlebough.app.database.GivenMariaDb;
import idlebough.app.database.PrivateMariaDb;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** Several instances of the application on one database that was given. */
@ExtendWith(Running.class)
class InstancesTest {
    @TempDir
    private Path home;

    private Map<String, String> given() throws IOException {
        PrivateMariaDb server = Running.database();
        Path secret = Files.writeString(home.resolve("secret"), server.password() + "\n");
        return Map.of(
                "BOUGH_DATABASE",
                server.url().replaceAll("\\?.*", ""),
                "BOUGH_DATABASE_USER",
                server.user(),
                "BOUGH_DATABASE_PASSWORD_FILE",
                secret.toString());
    }

    @Test
    void workByTheClockIsDoneByOneInstance() throws IOException, InterruptedException {
        Database database = GivenMariaDb.of(given()).orElseThrow();
        try (ConfigurableApplicationContext other = IdleBough.run(database, false, Running.settings())) {
            AtomicInteger done = new AtomicInteger();
            CountDownLatch begun = new CountDownLatch(1);
            CountDownLatch end = new CountDownLatch(1);
            Thread here = new Thread(() -> Running.bean(OneAtATime.class)
                    .alone("test", Duration.ofMinutes(1), Duration.ofSeconds(2), () -> {
                        done.incrementAndGet();
                        begun.countDown();
                        await(end);
                    }));
            here.start();
            begun.await();
            OneAtATime there = other.getBean(OneAtATime.class);
            there.alone("test", Duration.ofMinutes(1), Duration.ZERO, done::incrementAndGet);
            assertThat(done).as("it is under way here").hasValue(1);
            end.countDown();
            here.join();
            there.alone("test", Duration.ofMinutes(1), Duration.ZERO, done::incrementAndGet);
            assertThat(done).as("it was done just now").hasValue(1);
            there.alone("another", Duration.ofMinutes(1), Duration.ZERO, done::incrementAndGet);
            assertThat(done).hasValue(2);
        }
    }

    @Test
    void houseIsKeptOnceAnHour() {
        JdbcTemplate database = new JdbcTemplate(Running.bean(DataSource.class));
        Running.bean(Housekeeping.class).hourly();
        String held = "select timestampdiff(minute, locked_at, lock_until) from shedlock where name = 'housekeeping'";
        assertThat(database.queryForObject(held, Integer.class)).isEqualTo(50);
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void whatIsGivenWronglyIsSaid() throws IOException {
        assertThat(GivenMariaDb.of(Map.of())).isEmpty();
        refuses("BOUGH_DATABASE", "localhost:3306", "is a JDBC address");
        refuses("BOUGH_DATABASE", "jdbc:mariadb://127.0.0.1:1/idlebough", "does not answer");
        refuses("BOUGH_DATABASE_USER", "", "give BOUGH_DATABASE_USER");
        refuses("BOUGH_DATABASE_USER", "nobody", "does not answer");
        refuses("BOUGH_DATABASE_PASSWORD_FILE", home.resolve("none").toString(), "cannot be read");
    }

    private void refuses(String name, String value, String sentence) throws IOException {
        Map<String, String> settings = new HashMap<>(given());
        settings.put(name, value);
        assertThatThrownBy(() -> GivenMariaDb.of(settings))
                .isInstanceOf(DatabaseTrouble.class)
                .hasMessageContaining(sentence);
    }
}
