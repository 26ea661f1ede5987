package idlebough.siege;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Cuts the power: the database runs on a disk that forgets whatever was not flushed (siege/lossy.c), is killed, and goes
 * on with what the disk remembers. The application stays and comes back by itself.
 */
final class Power implements AutoCloseable {
    private static final int GROWERS = 3;
    private final Path home = Files.createTempDirectory("power");
    private final int port;
    private final Counts counts;
    private final Random random;
    /** 1 flushes at each commit, as we promise; 0 is the counter-test, which must fail. */
    private final String flush;

    private final Server server;
    private final List<Writer> writers = new ArrayList<>();
    private Process database;

    Power(Counts counts, Random random, String flush) throws IOException, InterruptedException {
        this.counts = counts;
        this.random = random;
        this.flush = flush;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        run(
                "mariadb-install-db",
                "--no-defaults",
                "--user=" + System.getProperty("user.name"),
                "--datadir=" + home.resolve("data"),
                "--auth-root-authentication-method=socket",
                "--auth-root-socket-user=" + System.getProperty("user.name"),
                "--skip-test-db");
        database = launch(false);
        await();
        sql("create database idlebough character set utf8mb4; create user 'b'@'127.0.0.1' identified by 'power';"
                + " grant all on idlebough.* to 'b'@'127.0.0.1'; set global innodb_flush_log_at_trx_commit = 1");
        Path secret = Files.writeString(home.resolve("secret"), "power");
        server = new Server(
                false,
                Map.of(
                        "BOUGH_DATABASE",
                        "jdbc:mariadb://127.0.0.1:" + port + "/idlebough",
                        "BOUGH_DATABASE_USER",
                        "b",
                        "BOUGH_DATABASE_PASSWORD_FILE",
                        secret.toString()));
        for (int i = 0; i < GROWERS; i++) {
            writers.add(new Writer(server, "power" + i));
        }
        database.destroy();
        database.waitFor();
    }

    private Process launch(boolean forgetful) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(
                        "mariadbd",
                        "--no-defaults",
                        "--user=" + System.getProperty("user.name"),
                        "--datadir=" + home.resolve("data"),
                        "--socket=" + home.resolve("s"),
                        "--pid-file=" + home.resolve("pid"),
                        "--bind-address=127.0.0.1",
                        "--port=" + port,
                        "--skip-name-resolve",
                        "--max-allowed-packet=64M",
                        "--innodb-flush-log-at-trx-commit=" + (forgetful ? flush : "1"),
                        "--innodb-doublewrite=1",
                        // Writes and flushes by plain calls, so that they are seen.
                        "--innodb-use-native-aio=0",
                        "--innodb-log-file-size=16M",
                        // Small, so that pages are written while growers write.
                        "--innodb-buffer-pool-size=8M")
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(home.resolve("log").toFile()));
        if (forgetful) {
            builder.environment().put("LD_PRELOAD", Path.of("siege/target/lossy.so").toAbsolutePath().toString());
            builder.environment().put("LOSSY_FROM", home.resolve("data").toString());
            builder.environment().put("LOSSY_TO", home.resolve("remembered").toString());
        }
        return builder.start();
    }

    private void await() throws IOException, InterruptedException {
        for (int i = 0; i < 300; i++) {
            if (database.isAlive()
                    && Files.exists(home.resolve("s"))
                    && new ProcessBuilder("mariadb", "--no-defaults", "-S", home.resolve("s").toString(), "-e", "select 1")
                                    .redirectErrorStream(true)
                                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                                    .start()
                                    .waitFor()
                            == 0) {
                return;
            }
            Thread.sleep(100);
        }
        throw new IllegalStateException("The database does not come back: " + Files.readString(home.resolve("log")));
    }

    private void sql(String statements) throws IOException, InterruptedException {
        run("mariadb", "--no-defaults", "-S", home.resolve("s").toString(), "-e", statements);
    }

    private void run(String... words) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(words)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve("said").toFile())
                .start();
        if (process.waitFor() != 0) {
            throw new IllegalStateException(String.join(" ", words) + ": " + Files.readString(home.resolve("said")));
        }
    }

    void rounds(int rounds) throws IOException, InterruptedException {
        for (int round = 1; round <= rounds; round++) {
            run("rm", "-rf", home.resolve("remembered").toString());
            run("cp", "-a", home.resolve("data").toString(), home.resolve("remembered").toString());
            database = launch(true);
            await();
            server.answers();
            AtomicBoolean on = new AtomicBoolean(true);
            List<Thread> threads = Writer.begin(writers, round, on);
            Thread.sleep(200 + random.nextInt(4000));
            database.destroyForcibly();
            database.waitFor();
            on.set(false);
            for (Thread thread : threads) {
                thread.join(TimeUnit.MINUTES.toMillis(2));
            }
            run("rm", "-rf", home.resolve("data").toString());
            run("mv", home.resolve("remembered").toString(), home.resolve("data").toString());
            database = launch(false);
            await();
            server.answers();
            for (Writer writer : writers) {
                writer.check(counts, "power");
            }
            database.destroy();
            database.waitFor();
            counts.add("power: cuts", 1);
            counts.keep();
            System.out.println(round);
        }
    }

    @Override
    public void close() throws IOException, InterruptedException {
        if (server != null) {
            server.close();
        }
        database.destroy();
        database.waitFor();
        try (var files = Files.walk(home)) {
            files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        }
    }
}
