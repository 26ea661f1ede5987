package idlebough.app.database;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Looks every second whether the private server lives, and starts it again where it died under the application. */
public final class DatabaseWatch implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseWatch.class);
    private final PrivateMariaDb database;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "database-watch");
        thread.setDaemon(true);
        return thread;
    });

    private DatabaseWatch(PrivateMariaDb database) {
        this.database = database;
    }

    public static DatabaseWatch over(PrivateMariaDb database) {
        DatabaseWatch watch = new DatabaseWatch(database);
        watch.clock.scheduleWithFixedDelay(watch::look, 1, 1, TimeUnit.SECONDS);
        return watch;
    }

    private void look() {
        try {
            if (!database.isAlive()) {
                LOG.warn("The database has died; it is started again.");
                database.revive();
                LOG.warn("The database answers again.");
            }
        } catch (DatabaseTrouble trouble) {
            // Full disks are emptied: the next look tries anew.
            LOG.error(trouble.getMessage());
        }
    }

    @Override
    public void close() {
        clock.shutdownNow();
    }
}
