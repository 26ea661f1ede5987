package idlebough.app.jobs;

import java.time.Clock;
import java.time.Duration;
import javax.sql.DataSource;
import net.javacrumbs.shedlock.core.DefaultLockingTaskExecutor;
import net.javacrumbs.shedlock.core.LockConfiguration;
import net.javacrumbs.shedlock.core.LockingTaskExecutor;
import net.javacrumbs.shedlock.provider.jdbctemplate.JdbcTemplateLockProvider;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Work that one instance of the application at a time does, however many run on the database. */
@Service
public class OneAtATime {
    private final LockingTaskExecutor executor;
    private final Clock clock;

    OneAtATime(DataSource database, Clock clock) {
        // Times are the database's: the clocks of two machines differ.
        executor = new DefaultLockingTaskExecutor(
                new JdbcTemplateLockProvider(JdbcTemplateLockProvider.Configuration.builder()
                        .withJdbcTemplate(new JdbcTemplate(database))
                        .usingDbTime()
                        .build()));
        this.clock = clock;
    }

    /**
     * Does it here, unless another instance does it or has done it within {@code atLeast}.
     *
     * @param atMost after so long an instance that has died does not hold it any more
     */
    public void alone(String name, Duration atMost, Duration atLeast, Runnable work) {
        executor.executeWithLock(work, new LockConfiguration(clock.instant(), name, atMost, atLeast));
    }
}
