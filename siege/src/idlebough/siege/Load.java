package idlebough.siege;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Many growers at once on one demo server: pages of the ten stages, and some who write. */
final class Load {
    private static final List<String> PAGES = List.of(
            "/site", "/winters", "/varieties", "/partners", "/rootstocks", "/layout", "/layout/pegs", "/water",
            "/planting", "/almanac", "/daybook", "/doubts", "/history");
    private static final Pattern ORCHARD = Pattern.compile("/orchards/[0-9a-f-]{36}");
    private final Server server;
    private final Counts counts;
    private final Random random;

    Load(Server server, Counts counts, Random random) {
        this.server = server;
        this.counts = counts;
        this.random = random;
    }

    /** @param pause mean seconds between two pages of one grower; 0 for none */
    void atOnce(int growers, int writers, int seconds, int pause) throws IOException, InterruptedException {
        List<Long> nanos = Collections.synchronizedList(new ArrayList<>());
        AtomicLong writes = new AtomicLong();
        AtomicLong faults = new AtomicLong();
        List<Thread> threads = new ArrayList<>();
        // A minute without a pause warms the program; it is not timed.
        work(new Random(1), 0, 0, 0, System.nanoTime() + TimeUnit.SECONDS.toNanos(60), new ArrayList<>(), writes, faults);
        writes.set(0);
        // Growers come one by one within half a minute; timed is what follows.
        int coming = pause > 0 ? 30 : 0;
        long begin = System.nanoTime() + TimeUnit.SECONDS.toNanos(coming);
        long end = begin + TimeUnit.SECONDS.toNanos(seconds);
        for (int i = 0; i < growers; i++) {
            Random own = new Random(random.nextLong());
            boolean writer = i < writers;
            threads.add(new Thread(() -> {
                try {
                    Thread.sleep(own.nextInt(1 + coming * 1000));
                    work(own, writer ? 1 : 0, pause, begin, end, nanos, writes, faults);
                } catch (IOException broken) {
                    faults.incrementAndGet();
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                }
            }));
        }
        threads.forEach(Thread::start);
        for (Thread thread : threads) {
            thread.join();
        }
        List<Long> sorted = nanos.stream().sorted().toList();
        System.out.printf(
                "%d growers, %d of them writing, %d s: %d answers, %.1f a second, p50 %.1f ms, p95 %.1f ms, p99 %.1f ms; %d"
                        + " writes, %d faults%n",
                growers,
                writers,
                seconds,
                sorted.size(),
                sorted.size() / (double) seconds,
                sorted.get(sorted.size() / 2) / 1e6,
                sorted.get(sorted.size() * 95 / 100) / 1e6,
                sorted.get(sorted.size() * 99 / 100) / 1e6,
                writes.get(),
                faults.get());
        counts.add("load: answers", sorted.size());
        counts.add("load: writes", writes.get());
        counts.add("load: faults", faults.get());
        counts.keep();
    }

    private void work(
            Random own,
            int writing,
            int pause,
            long begin,
            long end,
            List<Long> nanos,
            AtomicLong writes,
            AtomicLong faults)
            throws IOException, InterruptedException {
        Grower grower = new Grower(server.base());
        grower.demo();
        Matcher found = ORCHARD.matcher(grower.get("/").body());
        List<String> orchards = found.results().map(each -> each.group()).distinct().toList();
        while (System.nanoTime() < end) {
            String orchard = orchards.get(own.nextInt(orchards.size()));
            long begun = System.nanoTime();
            int status;
            if (writing > 0) {
                status = grower.post(
                                orchard + "/varieties/apple-cox",
                                Grower.stamped(1_000_000_000, Map.of("wanted", String.valueOf(1 + own.nextInt(9)))))
                        .statusCode();
                writes.incrementAndGet();
            } else {
                status = grower.get(own.nextInt(12) == 0 ? "/" : orchard + PAGES.get(own.nextInt(PAGES.size())))
                        .statusCode();
            }
            if (begin - begun <= 0) {
                nanos.add(System.nanoTime() - begun);
            }
            if (status >= 400) {
                faults.incrementAndGet();
            }
            if (pause > 0) {
                Thread.sleep((long) (-Math.log(1 - own.nextDouble()) * pause * 1000));
            }
        }
    }
}
