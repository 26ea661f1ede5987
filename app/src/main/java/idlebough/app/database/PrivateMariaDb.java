package idlebough.app.database;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * A MariaDB server of our own: Debian's server program, a data directory of ours, loopback only. It never touches the
 * system's service or data. Used by the start command and by the tests.
 *
 * <p>Errors are {@link DatabaseTrouble} with a sentence for whoever started it; nothing is deleted to get round them.
 */
public final class PrivateMariaDb implements Database {
    private static final String SCHEMA = "idlebough";
    private static final String USER = "bough";
    private static final String SERVER = "/usr/sbin/mariadbd";
    private final Path home;
    private final int port;
    private final String password;
    private final boolean ours;

    private PrivateMariaDb(Path home, int port, String password, boolean ours) {
        this.home = home;
        this.port = port;
        this.password = password;
        this.ours = ours;
    }

    /**
     * Starts the server in a directory, making the data directory on the first start; joins one that already runs
     * there.
     *
     * @param home absolute, at most 80 characters (a socket's path may have 107)
     */
    public static PrivateMariaDb open(Path home) {
        try {
            return start(home.toAbsolutePath().normalize());
        } catch (IOException io) {
            throw new DatabaseTrouble(
                    "The database directory " + home + " cannot be used: " + io.getMessage() + ".", io);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new DatabaseTrouble("Stopped while the database was starting.", stopped);
        }
    }

    private static PrivateMariaDb start(Path home) throws IOException, InterruptedException {
        if (home.toString().length() > 80) {
            throw new DatabaseTrouble(
                    "The path " + home + " is too long for a database socket; use one of at most 80 characters.", null);
        }
        if (!Files.isExecutable(Path.of(SERVER))) {
            throw new DatabaseTrouble(
                    "MariaDB's server is not installed; install Debian's package mariadb-server-core.", null);
        }
        for (String part : List.of("tmp", "run", "log")) {
            Files.createDirectories(home.resolve(part));
        }
        // Two that start at once: the second waits, and joins what the first has started.
        try (FileChannel file = FileChannel.open(
                        home.resolve("run/start.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock alone = file.lock()) {
            return startAlone(home);
        }
    }

    private static PrivateMariaDb startAlone(Path home) throws IOException, InterruptedException {
        Path made = home.resolve("data-complete");
        if (!Files.exists(made)) {
            install(home, made);
        }
        String password = secret(home);
        if (runningPid(home) != null) {
            await(home, () -> runningPid(home) != null);
            return new PrivateMariaDb(home, port(home), password, false);
        }
        int port = usualPort(home);
        launch(home, port);
        Files.writeString(home.resolve("port"), String.valueOf(port));
        sql(
                home,
                "create database if not exists " + SCHEMA
                        + " character set utf8mb4 collate utf8mb4_uca1400_ai_ci; create user if not exists '" + USER
                        + "'@'127.0.0.1' identified by '" + password + "'; alter user '" + USER
                        + "'@'127.0.0.1' identified by '" + password + "'; grant all on " + SCHEMA + ".* to '" + USER
                        + "'@'127.0.0.1';");
        return new PrivateMariaDb(home, port, password, true);
    }

    /** The server itself says on which port it listens: a file may be older than it. */
    private static int port(Path home) throws IOException, InterruptedException {
        Process process = client(home, "select @@port");
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new DatabaseTrouble("The database does not say where it listens: " + said.strip(), null);
        }
        return Integer.parseInt(said.strip().replaceAll("(?s).*\\s", ""));
    }

    /** Whether its process lives. */
    public boolean isAlive() {
        try {
            return runningPid(home) != null;
        } catch (IOException unreadable) {
            return false;
        }
    }

    /**
     * Starts the server again, at the same port, after it has died; nothing when it lives. InnoDB recovers what was
     * acknowledged.
     */
    public void revive() {
        try {
            if (runningPid(home) == null) {
                launch(home, port);
            }
        } catch (IOException io) {
            throw new DatabaseTrouble("The database could not be started again: " + io.getMessage() + ".", io);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static void install(Path home, Path made) throws IOException, InterruptedException {
        Path data = home.resolve("data");
        if (Files.exists(data.resolve(SCHEMA))) {
            throw new DatabaseTrouble(
                    "The data directory " + data
                            + " holds our data, but not the mark beside it that it is whole; it is "
                            + "left as it is. If it is, put an empty file " + made.getFileName()
                            + " beside it; else move it away and restore a backup.",
                    null);
        }
        // A first installation that was cut off: no schema of ours was ever in it, so nothing is lost.
        if (Files.exists(data)) {
            try (var files = Files.walk(data)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
        List<String> command = new ArrayList<>(List.of("mariadb-install-db", "--no-defaults"));
        asRoot(command);
        command.addAll(List.of(
                "--datadir=" + data,
                "--tmpdir=" + home.resolve("tmp"),
                "--auth-root-authentication-method=socket",
                "--auth-root-socket-user=" + System.getProperty("user.name"),
                "--skip-test-db",
                "--skip-name-resolve"));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve("log/install.log").toFile())
                .start();
        if (!process.waitFor(2, TimeUnit.MINUTES) || process.exitValue() != 0) {
            throw new DatabaseTrouble(
                    "The data directory could not be made; " + home.resolve("log/install.log")
                            + " says why (is the disk full?).",
                    null);
        }
        Files.writeString(made, "The data directory beside this file is whole.\n");
    }

    private static void launch(Path home, int port) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(SERVER, "--no-defaults"));
        asRoot(command);
        command.addAll(List.of(
                "--datadir=" + home.resolve("data"),
                "--tmpdir=" + home.resolve("tmp"),
                "--socket=" + socket(home),
                "--pid-file=" + home.resolve("run/mariadbd.pid"),
                "--bind-address=127.0.0.1",
                "--port=" + port,
                "--skip-name-resolve",
                "--log-error=" + home.resolve("log/error.log"),
                "--character-set-server=utf8mb4",
                "--collation-server=utf8mb4_uca1400_ai_ci",
                "--sql-mode=STRICT_TRANS_TABLES,STRICT_ALL_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ZERO_DATE,NO_ZERO_IN_DATE,NO_ENGINE_SUBSTITUTION,ONLY_FULL_GROUP_BY",
                "--default-time-zone=+00:00",
                "--innodb-flush-log-at-trx-commit=1",
                // Changes lock their orchard and compare versions; looked at page by page, as this would, writers of
                // different orchards throw each other out.
                "--loose-innodb-snapshot-isolation=OFF",
                "--local-infile=0",
                "--performance-schema=0",
                "--innodb-log-file-size=16M",
                "--innodb-doublewrite=1",
                "--max-allowed-packet=64M"));
        // In a session of its own, so that a Ctrl-C at the terminal ends the application first and the application the
        // database.
        command.add(0, "setsid");
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve("log/start.log").toFile())
                .start();
        try {
            await(home, () -> process.isAlive() || process.exitValue() == 0);
        } catch (DatabaseTrouble givenUp) {
            process.destroy();
            if (!process.waitFor(10, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
            throw givenUp;
        }
    }

    /** Something that may still come. */
    private interface Hope {
        boolean lives() throws IOException;
    }

    private static void await(Path home, Hope hope) throws IOException, InterruptedException {
        for (int i = 0; i < 600 && hope.lives(); i++) {
            if (Files.exists(socket(home)) && answers(home)) {
                return;
            }
            Thread.sleep(50);
        }
        throw new DatabaseTrouble(
                "The database did not start; the end of " + home.resolve("log/error.log")
                        + " says why (disk full, or another server on the same data?).",
                null);
    }

    private static boolean answers(Path home) throws IOException, InterruptedException {
        return client(home, "select 1").waitFor() == 0;
    }

    private static void sql(Path home, String statements) throws IOException, InterruptedException {
        Process process = client(home, statements);
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new DatabaseTrouble("The database refused to be set up: " + said.strip(), null);
        }
    }

    private static Process client(Path home, String statements) throws IOException {
        return new ProcessBuilder(
                        "mariadb",
                        "--no-defaults",
                        "--default-character-set=utf8mb4",
                        "--socket=" + socket(home),
                        "-u",
                        System.getProperty("user.name"),
                        "-e",
                        statements)
                .redirectErrorStream(true)
                .start();
    }

    private static void asRoot(List<String> command) {
        if (System.getProperty("user.name").equals("root")) {
            command.add("--user=root");
        }
    }

    private static Path socket(Path home) {
        return home.resolve("run/s.sock");
    }

    private static String secret(Path home) throws IOException {
        Path file = home.resolve("app.secret");
        if (!Files.exists(file)) {
            byte[] random = new byte[24];
            new SecureRandom().nextBytes(random);
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            Files.writeString(file, HexFormat.of().formatHex(random));
        }
        return Files.readString(file).strip();
    }

    /**
     * The pid of our server on this directory, or null; a pid file left by a crash is recognised by the command line.
     */
    private static Long runningPid(Path home) throws IOException {
        Path file = home.resolve("run/mariadbd.pid");
        if (!Files.exists(file)) {
            return null;
        }
        try {
            long pid = Long.parseLong(Files.readString(file).strip());
            Path commandLine = Path.of("/proc/" + pid + "/cmdline");
            return Files.exists(commandLine)
                            && Files.readString(commandLine)
                                    .contains(home.resolve("data").toString())
                    ? pid
                    : null;
        } catch (NumberFormatException halfWritten) {
            return null;
        }
    }

    /**
     * The port on which it listened last, where that is free: an application may live that knows no other, while a
     * command beside it starts the server that has died under it.
     */
    private static int usualPort(Path home) throws IOException {
        Path file = home.resolve("port");
        String last = Files.exists(file) ? Files.readString(file).strip() : "";
        if (last.matches("[0-9]{1,5}")) {
            try (ServerSocket probe = new ServerSocket(Integer.parseInt(last), 1, InetAddress.getLoopbackAddress())) {
                return probe.getLocalPort();
            } catch (IOException | IllegalArgumentException taken) {
                return freePort();
            }
        }
        return freePort();
    }

    private static int freePort() throws IOException {
        try (ServerSocket probe = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return probe.getLocalPort();
        }
    }

    @Override
    public String url() {
        return "jdbc:mariadb://127.0.0.1:" + port + "/" + SCHEMA
                + "?connectionTimeZone=UTC&forceConnectionTimeZoneToSession=true&useBulkStmts=true";
    }

    @Override
    public String user() {
        return USER;
    }

    @Override
    public String password() {
        return password;
    }

    /** Writes everything to a file, as one consistent moment. */
    public void backup(Path file) throws IOException, InterruptedException {
        Path partial = file.resolveSibling(file.getFileName() + ".partial");
        Process dump = new ProcessBuilder(
                        "mariadb-dump",
                        "--no-defaults",
                        "--default-character-set=utf8mb4",
                        "--single-transaction",
                        "--hex-blob",
                        // Who is signed in, and what is on its way, belongs to no copy.
                        "--ignore-table-data=" + SCHEMA + ".weather_load",
                        "--ignore-table-data=" + SCHEMA + ".SPRING_SESSION",
                        "--ignore-table-data=" + SCHEMA + ".SPRING_SESSION_ATTRIBUTES",
                        "--socket=" + socket(home),
                        "-u",
                        System.getProperty("user.name"),
                        SCHEMA)
                .redirectOutput(partial.toFile())
                .start();
        String said = new String(dump.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
        if (dump.waitFor() != 0) {
            Files.deleteIfExists(partial);
            throw new DatabaseTrouble("The backup failed: " + said.strip(), null);
        }
        Files.move(partial, file);
    }

    /** Reads a backup into this database, which must hold no tables. */
    public void restore(Path file) throws IOException, InterruptedException {
        Process count =
                client(home, "select count(*) from information_schema.tables where table_schema = '" + SCHEMA + "'");
        String tables = new String(count.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        count.waitFor();
        if (!tables.strip().endsWith("\n0")) {
            throw new DatabaseTrouble(
                    "The database is not empty; a backup is restored only into an empty one. Move its directory "
                            + "away first.",
                    null);
        }
        Process load = new ProcessBuilder(
                        "mariadb",
                        "--no-defaults",
                        "--default-character-set=utf8mb4",
                        "--max-allowed-packet=64M",
                        "--socket=" + socket(home),
                        "-u",
                        System.getProperty("user.name"),
                        SCHEMA)
                .redirectInput(file.toFile())
                .start();
        String said;
        try (InputStream errors = load.getErrorStream()) {
            said = new String(errors.readAllBytes(), StandardCharsets.UTF_8);
        }
        if (load.waitFor() != 0) {
            // Half a backup would look like a whole one.
            sql(
                    home,
                    "drop database " + SCHEMA + "; create database " + SCHEMA
                            + " character set utf8mb4 collate utf8mb4_uca1400_ai_ci;");
            throw new DatabaseTrouble(
                    "The backup could not be restored, and the database is empty as before: " + said.strip(), null);
        }
    }

    /** Stops the server if this object started it, and waits until it has written everything. */
    @Override
    public void close() {
        if (!ours) {
            return;
        }
        try {
            Long pid = runningPid(home);
            if (pid != null) {
                ProcessHandle.of(pid).ifPresent(server -> {
                    server.destroy();
                    try {
                        server.onExit().get(60, TimeUnit.SECONDS);
                    } catch (java.util.concurrent.ExecutionException | java.util.concurrent.TimeoutException slow) {
                        throw new DatabaseTrouble("The database is still stopping.", slow);
                    } catch (InterruptedException stopped) {
                        Thread.currentThread().interrupt();
                    }
                });
            }
        } catch (IOException unreadable) {
            throw new DatabaseTrouble("The database could not be stopped: " + unreadable.getMessage(), unreadable);
        }
    }
}
