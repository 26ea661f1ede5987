package idlebough.siege;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Renames an orchard as fast as it is answered, and knows what was acknowledged: the name that stands, and the newest in
 * the history, must both be the one acknowledged last, or both the one that was asked for when all went dark.
 */
final class Writer {
    private static final Pattern NAME = Pattern.compile("name=\"name\"[^>]*value=\"(r[0-9-]+)\"");
    private static final Pattern TOLD = Pattern.compile("Called it (r[0-9-]+)");
    private static final String FIRST = "r0-0";
    private final Grower grower;
    private final String orchard;
    private volatile String acknowledged = FIRST;
    private volatile String asked = FIRST;
    private volatile long writes;

    Writer(Server server, String name) throws IOException, InterruptedException {
        grower = new Grower(server.base());
        grower.signUp(name);
        orchard = grower.founds(FIRST);
    }

    Grower grower() {
        return grower;
    }

    /** All of them at once, until they are told to stop or the server is gone. */
    static List<Thread> begin(List<Writer> writers, int round, AtomicBoolean on) {
        List<Thread> threads = writers.stream()
                .map(writer -> new Thread(() -> writer.write(round, on), "writer"))
                .toList();
        threads.forEach(Thread::start);
        return threads;
    }

    private void write(int round, AtomicBoolean on) {
        for (int i = 1; on.get(); i++) {
            try {
                asked = "r" + round + "-" + i;
                HttpResponse<String> answer =
                        grower.post(orchard + "/rename", Grower.stamped(1_000_000_000, Map.of("name", asked)));
                if (answer.statusCode() == 302) {
                    acknowledged = asked;
                    writes++;
                } else if (answer.statusCode() != 503) {
                    throw new IllegalStateException("A name was answered by " + answer.statusCode());
                } else {
                    // The database is away. This one may be stored or not; the next is asked when it is back.
                    return;
                }
            } catch (IOException dead) {
                // As it should be: it was killed.
                return;
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    /** @throws IllegalStateException when something acknowledged is lost, or half stored */
    void check(Counts counts, String siege) throws IOException, InterruptedException {
        HttpResponse<String> edit = grower.get(orchard + "/site/edit");
        Grower.expect(200, edit);
        Matcher name = NAME.matcher(edit.body());
        String stands = name.find() ? name.group(1) : "none";
        Matcher newest = TOLD.matcher(grower.get(orchard + "/history").body());
        String told = newest.find() ? newest.group(1) : FIRST;
        if (!stands.equals(acknowledged) && !stands.equals(asked) || !stands.equals(told)) {
            throw new IllegalStateException("Acknowledged " + acknowledged + ", asked " + asked + ", stands " + stands
                    + ", told " + told);
        }
        counts.add(siege + (stands.equals(acknowledged) ? ": names as acknowledged" : ": names as asked last"), 1);
        counts.add(siege + ": writes acknowledged", writes);
        writes = 0;
        acknowledged = stands;
        asked = stands;
    }
}
