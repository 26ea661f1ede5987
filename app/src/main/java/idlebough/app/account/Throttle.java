package idlebough.app.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AuthenticationFailureBadCredentialsEvent;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.stereotype.Component;

/** Holds back guessing: after five wrong passwords for a name it answers nothing for that name for five minutes. */
@Component
public class Throttle {
    private static final int TRIES = 5;
    private final Cache<String, AtomicInteger> failures = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofMinutes(5))
            .maximumSize(50_000)
            .build();

    boolean holds(String name) {
        AtomicInteger count = failures.getIfPresent(name);
        return count != null && count.get() >= TRIES;
    }

    @EventListener
    void failed(AuthenticationFailureBadCredentialsEvent event) {
        failures.get(event.getAuthentication().getName(), key -> new AtomicInteger())
                .incrementAndGet();
    }

    @EventListener
    void succeeded(AuthenticationSuccessEvent event) {
        failures.invalidate(event.getAuthentication().getName());
    }
}
