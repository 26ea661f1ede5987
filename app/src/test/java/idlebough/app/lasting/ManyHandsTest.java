package idlebough.app.lasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.app.IdleBough;
import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.home.Founder;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.LostRace;
import idlebough.app.store.PegRow;
import idlebough.app.store.Plan;
import idlebough.app.store.Plans;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.core.judge.Stage;
import idlebough.core.measure.UnitSystem;
import idlebough.core.orchard.Evaluation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;

/** Many hands at one orchard, and two applications on one database: nothing is lost, nothing stale is shown. */
@Tag("long")
@ExtendWith(Running.class)
class ManyHandsTest {
    private static final int HANDS = 8;
    private static final int MOVES = 60;
    private static int accounts;
    private Scope scope;
    private final List<PegRow> pegs = new ArrayList<>();

    @BeforeEach
    void anOrchardOfPegs() {
        String account = Running.bean(AccountService.class)
                .signUp("hands" + accounts++, "N", "long enough", UnitSystem.METRIC, "en-GB")
                .id();
        scope = new Scope(Running.bean(Founder.class).found(account, "Busy ground", 42, "UTC"), account);
        for (int i = 0; i < 5; i++) {
            pegs.add(new PegRow(RowKey.fresh(scope.orchard()), "P" + i, i, 0, false));
        }
        Running.bean(Edits.class)
                .apply(
                        scope,
                        Edits.Change.of("Placed"),
                        now -> pegs.stream().map(Edit::add).toList());
    }

    /** Each hand adds something of its own to what it saw; what was not refused adds up. */
    @Test
    void everyMoveThatIsNotRefusedIsKept() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(HANDS);
        List<Callable<Double>> work = new ArrayList<>();
        for (int hand = 0; hand < HANDS; hand++) {
            int seed = hand;
            work.add(() -> moves(new Random(seed)));
        }
        double kept = 0;
        for (Future<Double> done : hands.invokeAll(work)) {
            kept += done.get();
        }
        hands.shutdown();
        double sum = plan().rows().pegs().stream().mapToDouble(PegRow::y).sum();
        assertThat(sum).isCloseTo(kept, within(1e-6)).isPositive();
        assertThat(plan().evaluation().stages())
                .as("what was carried over is what is computed anew")
                .zipSatisfy(
                        Evaluation.of(plan().evaluation().orchard()).stages(),
                        (Stage carried, Stage anew) ->
                                assertThat(carried.findings()).isEqualTo(anew.findings()));
    }

    private double moves(Random random) {
        double kept = 0;
        for (int i = 0; i < MOVES; i++) {
            PegRow peg = pegs.get(random.nextInt(pegs.size()));
            Plan seen = plan();
            // No two hands want the same by chance: that would be no race.
            double metres = random.nextDouble();
            double y = seen.rows().peg(peg.id()).orElseThrow().y();
            try {
                Running.bean(Edits.class)
                        .apply(
                                scope,
                                Edits.Change.of("Moved"),
                                now -> List.of(Edit.change(peg, seen.revision(), Map.of("y", y + metres))));
                kept += metres;
            } catch (LostRace refused) {
                assertThat(((PegRow) refused.current()).y()).isNotEqualTo(y);
            }
        }
        return kept;
    }

    private Plan plan() {
        return Running.bean(Plans.class).open(scope);
    }

    @Test
    void twoApplicationsOnOneDatabaseSeeEachOther() {
        try (ConfigurableApplicationContext other = IdleBough.run(Running.database(), false, Running.settings())) {
            for (int i = 1; i <= 20; i++) {
                double x = 10 + i;
                Edits here = i % 2 == 0 ? Running.bean(Edits.class) : other.getBean(Edits.class);
                here.apply(
                        scope,
                        Edits.Change.of("Moved"),
                        now -> List.of(Edit.change(pegs.get(0), now.revision(), Map.of("x", x))));
                for (Plans plans : List.of(Running.bean(Plans.class), other.getBean(Plans.class))) {
                    assertThat(plans.open(scope)
                                    .rows()
                                    .peg(pegs.get(0).id())
                                    .orElseThrow()
                                    .x())
                            .isEqualTo(x);
                }
            }
        }
    }

    /** Who writes to one orchard never stands in the way of who writes to another. */
    @Test
    void manyOrchardsAreWrittenSideBySide() throws Exception {
        List<Callable<Integer>> work = new ArrayList<>();
        for (int hand = 0; hand < HANDS; hand++) {
            Visitor grower = Visitor.signedUp("side" + hand + System.nanoTime());
            String base = grower.founds("Side by side", "47");
            work.add(() -> {
                int stored = 0;
                for (int i = 0; i < MOVES; i++) {
                    stored += grower.post(base + "/rename", Map.of("name", "Side " + i))
                                            .statusCode()
                                    == 302
                            ? 1
                            : 0;
                }
                return stored;
            });
        }
        ExecutorService hands = Executors.newFixedThreadPool(HANDS);
        for (Future<Integer> done : hands.invokeAll(work)) {
            assertThat(done.get()).isEqualTo(MOVES);
        }
        hands.shutdown();
    }
}
