package idlebough.app.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Holds back guessing. A try counts as failed from the moment it is made until it succeeds, so that guesses side by side
 * count like guesses in turn. After five the name waits half a minute, and twice as long after each further one, up to a
 * quarter of an hour; a device on which its owner has signed in before is counted by itself, so nobody can lock him out.
 * An address may fail a hundred times over all names, and is forgotten after an hour without a failure (project choice
 * after OWASP ASVS 4, 2.2.1).
 */
@Component
public class Throttle {
    private static final int TRIES = 5;
    private static final int TRIES_OF_ADDRESS = 100;
    private static final Duration FIRST = Duration.ofSeconds(30);
    private static final Duration LONGEST = Duration.ofMinutes(15);
    private static final int MOST = 100_000;
    private final Clock clock;
    private final Cache<String, Failed> failed = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofHours(1))
            .maximumSize(MOST)
            .build();

    private final int signUps;

    /** @param signUps tries to make an account from one address in an hour, so that names cannot be asked through */
    Throttle(Clock clock, @Value("${bough.sign-ups:20}") int signUps) {
        this.clock = clock;
        this.signUps = signUps;
    }

    /** Whether an account may be asked for from an address; behind a proxy whose headers are not read, from all. */
    boolean maySignUp(String address) {
        return count("sign-up " + address, signUps);
    }

    private record Failed(int tries, Instant until) {
        static final Failed NONE = new Failed(0, Instant.MIN);

        boolean holds(Instant now) {
            return now.isBefore(until);
        }

        Failed more(Instant now, int free) {
            int next = tries + 1;
            if (next < free) {
                return new Failed(next, Instant.MIN);
            }
            Duration wait = FIRST.multipliedBy(1L << Math.min(10, next - free));
            return new Failed(next, now.plus(wait.compareTo(LONGEST) > 0 ? LONGEST : wait));
        }

        Failed less() {
            return tries <= 1 ? NONE : new Failed(tries - 1, Instant.MIN);
        }
    }

    /**
     * Who tries.
     *
     * @param name as it is looked up
     * @param device on which the name has signed in before; empty for none
     * @param address from which the try comes; empty where it tells nothing, as on this machine itself
     */
    record Try(String name, String device, String address) {
        private String byName() {
            return "name " + name + " " + device;
        }

        private String byAddress() {
            return "address " + address;
        }
    }

    /** @return whether the try may be made; it counts as failed until {@link #succeeded} */
    boolean begin(Try made) {
        // The address first: from one that is held no name is counted, so it cannot hold names either.
        return (made.address().isEmpty() || count(made.byAddress(), TRIES_OF_ADDRESS)) && count(made.byName(), TRIES);
    }

    private boolean count(String key, int free) {
        Instant now = clock.instant();
        AtomicBoolean may = new AtomicBoolean();
        failed.asMap().compute(key, (same, before) -> {
            Failed then = before == null ? Failed.NONE : before;
            may.set(!then.holds(now));
            return may.get() ? then.more(now, free) : then;
        });
        return may.get();
    }

    void succeeded(Try made) {
        failed.invalidate(made.byName());
        failed.asMap().computeIfPresent(made.byAddress(), (same, then) -> then.less());
    }
}
