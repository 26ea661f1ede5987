package idlebough.siege;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Kills at any moment, and looks afterwards whether what was acknowledged is there, and whether what was not is there as a
 * whole or not at all.
 */
final class Kills {
    private static final int GROWERS = 3;
    private static final int DAYS = 1500;
    private static final Pattern TICKET = Pattern.compile("/winters/load/[0-9a-f-]{36}");
    private final Server server;
    private final Counts counts;
    private final Random random;
    private final List<Writer> writers = new ArrayList<>();

    Kills(Server server, Counts counts, Random random) throws IOException, InterruptedException {
        this.server = server;
        this.counts = counts;
        this.random = random;
        for (int i = 0; i < GROWERS; i++) {
            writers.add(new Writer(server, "siege" + i));
        }
    }

    /** What is killed, and when. */
    private enum Victim {
        APPLICATION,
        DATABASE,
        BOTH,
        IN_MID_START,
        IN_IMPORT,
        IN_BACKUP
    }

    void rounds(int rounds) throws IOException, InterruptedException {
        for (int round = 1; round <= rounds; round++) {
            Victim victim = Victim.values()[random.nextInt(Victim.values().length)];
            long before = System.nanoTime();
            round(round, victim);
            for (Writer writer : writers) {
                writer.check(counts, "kills");
            }
            counts.add("kills: rounds", 1);
            counts.add("kills: " + victim.name().toLowerCase(Locale.ROOT).replace('_', ' '), 1);
            counts.keep();
            System.out.printf("%d %s, %.1f s%n", round, victim, (System.nanoTime() - before) / 1e9);
        }
    }

    private void round(int round, Victim victim) throws IOException, InterruptedException {
        AtomicBoolean on = new AtomicBoolean(true);
        List<Thread> threads = Writer.begin(writers, round, on);
        Optional<Load> load = victim == Victim.IN_IMPORT ? Optional.of(load(round)) : Optional.empty();
        Optional<Process> backup = Optional.empty();
        Path copy = server.home().resolve("copy-" + round + ".sql");
        if (victim == Victim.IN_BACKUP) {
            backup = Optional.of(server.command("backup", copy.toString()));
        }
        Thread.sleep(random.nextInt(victim == Victim.IN_IMPORT ? 5000 : 1500));
        boolean database = victim == Victim.DATABASE || victim != Victim.APPLICATION && random.nextBoolean();
        boolean application = victim != Victim.DATABASE && (victim == Victim.BOTH || !database || random.nextBoolean());
        if (application) {
            Server.kill(server.application());
        }
        if (database || victim == Victim.BOTH) {
            Server.kill(server.database());
        }
        if (application) {
            on.set(false);
        } else {
            Thread.sleep(random.nextInt(2500));
            on.set(false);
        }
        for (Thread thread : threads) {
            thread.join(TimeUnit.MINUTES.toMillis(2));
        }
        if (backup.isPresent()) {
            backup.get().waitFor(60, TimeUnit.SECONDS);
            whole(copy);
        }
        if (victim == Victim.IN_MID_START) {
            Server.kill(server.application());
            Process start = server.command("start");
            Thread.sleep(random.nextInt(7000));
            if (random.nextBoolean()) {
                Server.kill(server.database());
            }
            Server.kill(server.application());
            start.waitFor(150, TimeUnit.SECONDS);
        }
        if (server.application().isEmpty()) {
            server.start();
        }
        server.answers();
        if (load.isPresent()) {
            wholeOrNothing(load.get());
        }
    }

    /** A copy is whole, or there is none. */
    private void whole(Path copy) throws IOException {
        if (Files.exists(copy)) {
            try (var lines = Files.lines(copy, StandardCharsets.UTF_8)) {
                if (lines.noneMatch(line -> line.startsWith("-- Dump completed"))) {
                    throw new IllegalStateException("Half a copy calls itself one: " + copy);
                }
            }
            counts.add("kills: copies whole", 1);
            Files.delete(copy);
        } else {
            counts.add("kills: copies none", 1);
        }
    }

    /** An import that is on its way into an orchard of its own. */
    private record Load(Grower grower, String orchard, Thread thread) {}

    private Load load(int round) throws IOException, InterruptedException {
        Grower grower = writers.get(0).grower();
        String orchard = grower.founds("Import " + round);
        String file = IntStream.range(0, DAYS)
                .mapToObj(day -> LocalDate.of(2015, 1, 1).plusDays(day) + "," + (day + round) % 9 + "," + (day % 9 + 9))
                .collect(Collectors.joining("\n", "date,tmin,tmax\n", "\n"));
        Thread thread = new Thread(() -> {
            try {
                Matcher ticket = TICKET.matcher(
                        grower.upload(orchard + "/winters/load", "days.csv", file).body());
                if (ticket.find()) {
                    grower.post(orchard + ticket.group(), Map.of("station", "Mast"));
                }
            } catch (IOException dead) {
                // It was killed on the way.
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        });
        thread.start();
        return new Load(grower, orchard, thread);
    }

    private void wholeOrNothing(Load load) throws IOException, InterruptedException {
        load.thread.join(TimeUnit.MINUTES.toMillis(2));
        HttpResponse<String> days = load.grower.get(load.orchard + "/winters/days.csv");
        long rows = days.statusCode() == 200 ? days.body().lines().count() - 1 : 0;
        String history = load.grower.get(load.orchard + "/history").body();
        boolean told = history.contains("Loaded days.csv");
        if (rows > 0 && rows != DAYS || told != rows > 0) {
            throw new IllegalStateException(rows + " of " + DAYS + " days are there, and the history "
                    + (told ? "tells of them" : "does not tell of them"));
        }
        counts.add(told ? "kills: imports whole" : "kills: imports none", 1);
        Grower.expect(302, load.grower.post(load.orchard + "/delete", Map.of()));
    }
}
