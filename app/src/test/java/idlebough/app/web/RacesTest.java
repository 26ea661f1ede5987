package idlebough.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.JournalMapper;
import idlebough.app.store.Scope;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two windows at one orchard: whoever saves second sees both values, and nothing is overwritten in silence. */
@ExtendWith(Running.class)
class RacesTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    @BeforeEach
    void anOrchardWithTrees() {
        String name = "racer" + growers++;
        grower = Visitor.signedUp(name);
        base = grower.founds("Two windows", "42");
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
        send("/site/edit", "name=Two windows&timeZone=UTC&latitude=42&corners=&east=30&north=20");
        send("/varieties/apple-cox", "wanted=2");
        send("/rootstocks", "choice={choice}&stock=m26");
        send("/layout/fill", "pattern=SQUARE&margin=3&alley=2&bearing=");
        send("/site/pits/new", "label=1&x=3&y=4&texture=CLAY&topsoil=20");
        send("/site/pits/{pit}/tests/new", "label=1&shape=CYLINDER&a=30&depth=40&readings=0; 5");
        send("/ways", "way=planting.width&choice=two");
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private HttpResponse<String> send(String path, String fields) {
        return send(path, fields, null);
    }

    /** @param revision of an older page; null for one that was loaded just now */
    private HttpResponse<String> send(String path, String fields, String revision) {
        Map<String, String> all = new LinkedHashMap<>();
        for (String field : filled(fields).split("&")) {
            String[] pair = field.split("=", 2);
            all.put(pair[0], pair[1]);
        }
        if (revision != null) {
            all.put("_revision", revision);
        }
        return grower.post(base + filled(path), all);
    }

    private String filled(String text) {
        PlanView plan = plan();
        return text.replace(
                        "{tree}",
                        plan.treeCount() == 0 ? "" : plan.trees().get(0).id())
                .replace(
                        "{choice}",
                        plan.rows().choices().isEmpty()
                                ? ""
                                : plan.rows().choices().get(0).id())
                .replace(
                        "{pit}", plan.pits().isEmpty() ? "" : plan.pits().get(0).id())
                .replace(
                        "{test}",
                        plan.rows().tests().isEmpty()
                                ? ""
                                : plan.rows().tests().get(0).id());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/almanac | plantingDate=2028-03-10 | plantingDate=2028-04-20 | 10 Mar 2028 | 20 Apr 2028",
                "/winters | chill=UTAH | chill=HOURS | utah | hours",
                "/layout/move | tree={tree}&x=9&y=8 | tree={tree}&x=12&y=8 | 9.00 m | 12.00 m",
                "/rootstocks | choice={choice}&stock=m9 | choice={choice}&stock=mm106 | m9 | mm106",
                "/varieties/apple-cox | wanted=3 | wanted=5 | 3 | 5",
                "/ways | way=planting.width&choice=wide | way=planting.width&choice=narrow | wide | narrow",
                "/daybook/state | tree={tree}&state=ORDERED | tree={tree}&state=DEAD | ordered | dead",
                "/planting/footing | tree={tree}&footing=MOUND | tree={tree}&footing=LOW_MOUND | mound | low mound",
                "/planting/{tree} | form=BARE&ballDiameter=50&ballHeight=30&union=12&stem=2&footing=GRADE"
                        + " | form=BARE&ballDiameter=60&ballHeight=30&union=12&stem=2&footing=GRADE | 50 cm | 60 cm",
                "/site/pits/{pit} | label=1&x=3&y=4&texture=CLAY&topsoil=25"
                        + " | label=1&x=3&y=4&texture=CLAY&topsoil=35 | 25 cm | 35 cm",
                "/site/pits/{pit}/tests/{test} | label=1&shape=CYLINDER&a=30&depth=45&readings=0; 5"
                        + " | label=1&shape=CYLINDER&a=30&depth=35&readings=0; 5 | 45 cm | 35 cm"
            })
    void theSecondWindowSeesBothValues(String path, String first, String second, String stands, String mine) {
        String at = filled(path);
        String shown = String.valueOf(plan().revision());
        assertThat(send(at, first, shown).statusCode()).isEqualTo(302);
        long stored = plan().revision();
        HttpResponse<String> raced = send(at, second, shown);
        assertThat(raced.statusCode()).isEqualTo(409);
        assertThat(raced.body().replace('\u00a0', ' '))
                .contains("Someone else changed this meanwhile", ">" + stands + "<", ">" + mine + "<", "Save mine");
        assertThat(plan().revision()).as("nothing was overwritten").isEqualTo(stored);
        assertThat(send(at, second, String.valueOf(stored)).statusCode())
                .as("saved knowingly")
                .isEqualTo(302);
    }

    @Test
    void theHistoryUndoesAnySetThatStillStandsAsItWasLeft() {
        send("/almanac", "plantingDate=2028-03-10");
        send("/layout/move", "tree={tree}&x=9&y=8");
        List<String> sets = Running.bean(JournalMapper.class).sets(scope, 2, 0).stream()
                .map(set -> set.id())
                .toList();
        assertThat(grower.get(base + "/history").body()).contains(sets.get(0), sets.get(1));
        send("/history/undo", "set=" + sets.get(1));
        assertThat(plan().rows().settings().plantingDate()).isNotEqualTo(java.time.LocalDate.of(2028, 3, 10));
        assertThat(plan().trees().get(0).peg().x()).as("what came later stays").isEqualTo(9);
        String page = grower.get(base + "/layout").body();
        assertThat(page).contains("Undo: ", "Moved", "Do again: ", "Plant on 10 Mar 2028");
        assertThat(send("/history/undo", "set=" + sets.get(1)).statusCode())
                .as("undone already")
                .isEqualTo(404);
    }
}
