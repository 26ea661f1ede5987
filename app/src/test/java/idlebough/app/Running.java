package idlebough.app;

import idlebough.app.database.PrivateMariaDb;
import idlebough.app.store.Plans;
import idlebough.app.store.Scope;
import idlebough.app.web.PlanView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Map;
import javax.sql.DataSource;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** The real application on its own private database, started once for the whole run; with the demo orchards in it. */
public final class Running implements BeforeAllCallback {
    private static State state;

    private record State(PrivateMariaDb database, ConfigurableApplicationContext context, Path home)
            implements ExtensionContext.Store.CloseableResource, AutoCloseable {
        @Override
        public void close() throws IOException {
            context.close();
            database.close();
            try (var files = Files.walk(home)) {
                files.sorted(Comparator.reverseOrder())
                        .forEach(file -> file.toFile().delete());
            }
        }
    }

    @Override
    public synchronized void beforeAll(ExtensionContext extension) throws IOException {
        if (state == null) {
            Path home = Files.createTempDirectory("bough-test");
            PrivateMariaDb database = PrivateMariaDb.open(home);
            state = new State(database, IdleBough.run(database, true, settings()), home);
            extension.getRoot().getStore(ExtensionContext.Namespace.GLOBAL).put("idlebough", state);
        }
    }

    /** Of an instance for tests: a free port, and nothing that happens by itself. */
    public static Map<String, Object> settings() {
        return Map.of("server.port", "0", "bough.port", "0", "bough.station-seconds", "0", "bough.sign-ups", "100000");
    }

    public static String base() {
        return "http://127.0.0.1:" + state.context().getEnvironment().getProperty("local.server.port");
    }

    /** The plan as its member sees it. */
    public static PlanView plan(Scope scope) {
        return new PlanView(bean(Plans.class).open(scope));
    }

    /** For another application beside the running one. */
    public static PrivateMariaDb database() {
        return state.database();
    }

    /** At which an orchard stands; 0 for none. */
    static long revision(String orchard) {
        return new JdbcTemplate(bean(DataSource.class))
                .queryForList("select revision from orchard where id = ?", Long.class, orchard).stream()
                        .findFirst()
                        .orElse(0L);
    }

    /** Changes in its journal. */
    public static long changes(String orchard) {
        return new JdbcTemplate(bean(DataSource.class))
                .queryForObject("select count(*) from change_set where orchard_id = ?", Long.class, orchard);
    }

    public static <T> T bean(Class<T> type) {
        return state.context().getBean(type);
    }
}
