package idlebough.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.jobs.Housekeeping;
import idlebough.app.store.AccountMapper;
import idlebough.app.store.Copying;
import idlebough.app.store.Edits;
import idlebough.app.store.Head;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Role;
import idlebough.app.store.Scope;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** What is deleted is deleted: nothing of it is left in any table. */
@ExtendWith(Running.class)
class LeavingTest {
    private final JdbcTemplate database = new JdbcTemplate(Running.bean(DataSource.class));

    /** Rows of an orchard in every table that names orchards, whichever tables there are. */
    private long rowsOf(String orchard) {
        List<String> tables = database.queryForList(
                "select table_name from information_schema.columns where table_schema = database() "
                        + "and column_name = 'orchard_id'",
                String.class);
        assertThat(tables).hasSizeGreaterThan(15);
        return tables.stream()
                .mapToLong(table -> database.queryForObject(
                        "select count(*) from " + table + " where orchard_id = ?", Long.class, orchard))
                .sum();
    }

    private long orphans() {
        return database.queryForObject(
                "select (select count(*) from change_entry e left join change_set s on s.id = e.set_id where s.id is null)"
                        + " + (select count(*) from weather_day d left join station s on s.id = d.station_id"
                        + " where s.id is null)",
                Long.class);
    }

    /** A copy of the fullest demo orchard, with a history of its own. */
    private String full(String account) {
        String maren = Running.bean(AccountMapper.class)
                .bySignIn(AccountController.DEMO)
                .id();
        Head demo = Running.bean(OrchardMapper.class).mine(maren).get(0);
        Scope scope = new Scope(demo.id(), maren);
        Running.bean(Edits.class).admit(scope, account, Role.READER);
        String copy = Running.bean(Copying.class).copy(new Scope(demo.id(), account), "A copy to lose");
        return copy;
    }

    @Test
    void anAccountGoesWithAllThatIsItsOwn() {
        Visitor grower = Visitor.signedUp("leaver");
        String account = Running.bean(AccountMapper.class).bySignIn("leaver").id();
        String copy = full(account);
        grower.post("/orchards/" + copy + "/rename", Map.of("name", "Mine"));
        Visitor there = new Visitor();
        there.post("/sign-in", Map.of("name", "leaver", "password", "long enough"));
        assertThat(rowsOf(copy)).isGreaterThan(50);
        assertThat(grower.post("/account/leave", Map.of("sure", "not mine")).body())
                .contains("not the password that you sign in with")
                .contains("<b>Mine</b>");
        assertThat(rowsOf(copy)).isGreaterThan(50);
        assertThat(grower.post("/account/leave", Map.of("sure", "long enough"))
                        .headers()
                        .firstValue("location"))
                .hasValue("/sign-in?left");
        assertThat(rowsOf(copy)).isZero();
        assertThat(orphans()).isZero();
        assertThat(there.get("/").statusCode()).as("signed out everywhere").isEqualTo(302);
        assertThat(new Visitor()
                        .post("/sign-in", Map.of("name", "leaver", "password", "long enough"))
                        .statusCode())
                .isEqualTo(401);
        assertThat(database.queryForObject("select name from account where id = ?", String.class, account))
                .isEqualTo("Somebody who left");
        assertThat(Visitor.signedUp("leaver").get("/").body()).contains("No orchard yet");
    }

    @Test
    void whatWasTakenAwayIsClearedAfterThirtyDays() {
        Visitor grower = Visitor.signedUp("clearer");
        String base = grower.founds("Short lived", "47");
        String id = base.substring(base.lastIndexOf('/') + 1);
        grower.post(base + "/delete", Map.of());
        Running.bean(Housekeeping.class).clear();
        assertThat(rowsOf(id)).as("it can be had back").isPositive();
        database.update("update orchard set deleted_at = now() - interval 29 day where id = ?", id);
        Running.bean(Housekeeping.class).clear();
        assertThat(rowsOf(id)).isPositive();
        database.update("update orchard set deleted_at = now() - interval 31 day where id = ?", id);
        Running.bean(Housekeeping.class).clear();
        assertThat(rowsOf(id)).isZero();
    }
}
