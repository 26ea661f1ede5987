package idlebough.siege;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;

/** A server of our own in a directory of its own, started and stopped by the command that everybody uses. */
final class Server implements AutoCloseable {
    private final Path home = Files.createTempDirectory("siege");
    private final int port;
    private final String kind;
    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();

    private final Map<String, String> settings;

    /** @param settings further ones, by environment */
    Server(boolean demo, Map<String, String> settings) throws IOException, InterruptedException {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        kind = demo ? "demo" : "start";
        this.settings = settings;
        start();
    }

    String base() {
        return "http://127.0.0.1:" + port;
    }

    Path home() {
        return home;
    }

    /** A command of ./bough that is under way; its words go to a file. */
    Process command(String... words) throws IOException {
        List<String> line = new ArrayList<>(List.of("./bough"));
        line.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(line)
                .redirectErrorStream(true)
                .redirectOutput(home.resolve(words[0] + ".said").toFile());
        Map<String, String> environment = builder.environment();
        environment.put("BOUGH_VAR", home.resolve("var").toString());
        environment.put("BOUGH_PORT", String.valueOf(port));
        environment.put("BOUGH_SIGN_UPS", "1000000");
        environment.putAll(settings);
        return builder.start();
    }

    void start() throws IOException, InterruptedException {
        Process process = command(kind);
        if (!process.waitFor(150, TimeUnit.SECONDS) || process.exitValue() != 0) {
            throw new IllegalStateException("It does not start: " + Files.readString(home.resolve(kind + ".said")));
        }
    }

    /** Waits until it and its database answer. */
    void answers() throws InterruptedException {
        for (int i = 0; i < 600; i++) {
            try {
                HttpRequest ask = HttpRequest.newBuilder(URI.create(base() + "/alive"))
                        .timeout(Duration.ofSeconds(5))
                        .build();
                if (client.send(ask, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // It is on its way.
            }
            Thread.sleep(100);
        }
        throw new IllegalStateException("It has not answered for a minute.");
    }

    /** Its Java process, by its command line. */
    Optional<ProcessHandle> application() {
        return ours("-Dbough.var=" + home.resolve("var") + " ");
    }

    /** Its mariadbd. */
    Optional<ProcessHandle> database() {
        return ours("--datadir=" + home.resolve("var/db/data") + " ");
    }

    private static Optional<ProcessHandle> ours(String mark) {
        return ProcessHandle.allProcesses()
                .filter(process -> process.info().commandLine().map(line -> line.contains(mark)).orElse(false))
                .filter(process -> process.info()
                        .command()
                        .map(command -> command.endsWith("java") || command.endsWith("mariadbd"))
                        .orElse(false))
                .findFirst();
    }

    /** SIGKILL; whether there was something to kill. */
    static boolean kill(Optional<ProcessHandle> process) {
        process.ifPresent(ProcessHandle::destroyForcibly);
        process.ifPresent(each -> each.onExit().join());
        return process.isPresent();
    }

    /** Lines of its log that hold a word. */
    long logged(String word) throws IOException {
        try (var lines = Files.lines(home.resolve("var/app.log"), StandardCharsets.ISO_8859_1)) {
            return lines.filter(line -> line.contains(word)).count();
        }
    }

    @Override
    public void close() throws IOException, InterruptedException {
        command("stop").waitFor(90, TimeUnit.SECONDS);
        Files.copy(
                home.resolve("var/app.log"),
                Path.of("siege/target/app.log"),
                StandardCopyOption.REPLACE_EXISTING);
        try (var files = Files.walk(home)) {
            files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        }
    }
}
