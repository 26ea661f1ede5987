package idlebough.app;

import idlebough.app.account.NewPassword;
import idlebough.app.database.Database;
import idlebough.app.database.DatabaseTrouble;
import idlebough.app.database.DatabaseWatch;
import idlebough.app.database.GivenMariaDb;
import idlebough.app.database.PrivateMariaDb;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.Banner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.resilience.annotation.EnableResilientMethods;

/** Starts the application on its private database, or runs one of the commands of {@code ./bough}. */
@SpringBootApplication
@EnableResilientMethods
public class IdleBough {
    public static void main(String[] arguments) {
        String command = arguments.length == 0 ? "start" : arguments[0];
        Path home = Path.of(System.getProperty("bough.var", "var")).resolve("db");
        try {
            switch (command) {
                case "start" -> start(home, false);
                case "demo" -> start(home, true);
                case "backup" ->
                    withDatabase(home, database -> database.backup(argument(arguments, "a file to write")));
                case "restore" ->
                    withDatabase(home, database -> database.restore(argument(arguments, "a file to read")));
                case "password" ->
                    password(home, argument(arguments, "a sign-in name").toString());
                default -> throw new DatabaseTrouble("Unknown command " + command + ".", null);
            }
        } catch (DatabaseTrouble | IOException trouble) {
            words().println(trouble.getMessage());
            System.exit(1);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            System.exit(1);
        }
    }

    /** Something that needs our own database. */
    private interface Work {
        void with(PrivateMariaDb database) throws IOException, InterruptedException;
    }

    private static void withDatabase(Path home, Work work) throws IOException, InterruptedException {
        if (GivenMariaDb.of(System.getenv()).isPresent()) {
            throw new DatabaseTrouble(
                    "The database that BOUGH_DATABASE names is backed up and restored by its own means, such as "
                            + "mariadb-dump.",
                    null);
        }
        try (PrivateMariaDb database = PrivateMariaDb.open(home)) {
            work.with(database);
        }
    }

    private static Path argument(String[] arguments, String what) throws IOException {
        if (arguments.length < 2 || arguments[1].isBlank()) {
            throw new IOException("This command wants " + what + ".");
        }
        Path path = Path.of(arguments[1]);
        if (arguments[0].equals("restore") && !Files.isReadable(path)) {
            throw new IOException("There is no readable file " + path + ".");
        }
        if (arguments[0].equals("backup") && Files.exists(path)) {
            throw new IOException(path + " exists already; a backup never overwrites.");
        }
        return path;
    }

    private static void start(Path home, boolean demo) throws IOException {
        // Held until the process ends, however it ends: one application to a data directory.
        FileChannel file = FileChannel.open(
                Files.createDirectories(home).resolve("app.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        FileLock alone = file.tryLock();
        if (alone == null) {
            throw new DatabaseTrouble("Idle Bough runs already on the data in " + home.getParent() + ".", null);
        }
        Optional<Database> given = GivenMariaDb.of(System.getenv());
        Database database = given.isPresent() ? given.get() : PrivateMariaDb.open(home);
        try {
            ConfigurableApplicationContext context = run(database, demo, Map.of());
            Optional<DatabaseWatch> watch =
                    database instanceof PrivateMariaDb own ? Optional.of(DatabaseWatch.over(own)) : Optional.empty();
            // One hook of ours instead of Spring's, so that the database stops after the application and not beside it.
            Runtime.getRuntime()
                    .addShutdownHook(new Thread(
                            () -> {
                                watch.ifPresent(DatabaseWatch::close);
                                context.close();
                                database.close();
                                // Named here, so that the lock is not collected while the application runs.
                                release(alone);
                            },
                            "stop"));
        } catch (RuntimeException failed) {
            database.close();
            throw failed;
        }
    }

    private static void release(FileLock lock) {
        try {
            lock.release();
        } catch (IOException ending) {
            words().println("The lock ends with the process: " + ending.getMessage());
        }
    }

    /** Runs the application on a database; the caller closes both. */
    public static ConfigurableApplicationContext run(Database database, boolean demo, Map<String, Object> settings) {
        SpringApplication application = application(database, settings);
        application.setRegisterShutdownHook(false);
        application.setAdditionalProfiles(demo ? new String[] {"demo"} : new String[0]);
        return application.run();
    }

    private static SpringApplication application(Database database, Map<String, Object> settings) {
        Map<String, Object> all = new HashMap<>(settings);
        all.put("spring.datasource.url", database.url());
        all.put("spring.datasource.username", database.user());
        all.put("spring.datasource.password", database.password());
        SpringApplication application = new SpringApplicationBuilder(IdleBough.class)
                .bannerMode(Banner.Mode.OFF)
                .properties(all)
                .build();
        return application;
    }

    private static void password(Path home, String name) {
        Optional<Database> given = GivenMariaDb.of(System.getenv());
        try (Database database = given.isPresent() ? given.get() : PrivateMariaDb.open(home)) {
            Optional<String> set = NewPassword.set(database, name);
            words().println("New password of " + name + ": "
                    + set.orElseThrow(() -> new DatabaseTrouble("Nobody signs in as " + name + ".", null)));
        }
    }

    private static PrintStream words() {
        return new PrintStream(System.out, true, StandardCharsets.UTF_8);
    }
}
