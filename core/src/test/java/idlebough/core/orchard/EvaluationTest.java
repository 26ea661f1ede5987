package idlebough.core.orchard;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Standing;
import idlebough.core.rootstock.RootstockRules;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.Exposure;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The chain: every stage after the others, and what did not change taken over. */
class EvaluationTest {
    /** After any series of edits, asked for at any moments, the chain says what a chain from scratch says. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void incrementalEqualsFromScratch(long seed) {
        RandomOrchard chance = new RandomOrchard(seed);
        Random asks = new Random(seed);
        Orchard orchard = chance.orchard(25);
        Evaluation evaluation = Evaluation.of(orchard);
        for (int step = 0; step < 40; step++) {
            // Some answers are known before the next edit and some are not.
            for (Stage stage : evaluation.stages()) {
                if (asks.nextInt(3) == 0) {
                    stage.findings();
                }
            }
            orchard = chance.edit(orchard);
            evaluation = evaluation.with(orchard);
            if (step % 4 == 3) {
                same(evaluation, Evaluation.of(orchard), "seed " + seed + ", step " + step);
            }
        }
    }

    private static void same(Evaluation kept, Evaluation scratch, String when) {
        for (Room room : Room.values()) {
            assertThat(kept.stage(room).findings())
                    .as("findings of %s, %s", room, when)
                    .isEqualTo(scratch.stage(room).findings());
            assertThat(kept.stage(room).keyFigures())
                    .as("figures of %s, %s", room, when)
                    .isEqualTo(scratch.stage(room).keyFigures());
            assertThat(kept.stage(room).begun()).isEqualTo(scratch.stage(room).begun());
        }
        assertThat(kept.almanac().tasks()).as(when).isEqualTo(scratch.almanac().tasks());
        kept.stands().forEach(stand -> {
            assertThat(kept.water().seasonOf(stand.id()))
                    .isEqualTo(scratch.water().seasonOf(stand.id()));
            assertThat(kept.layout().nearest(kept.layout().tree(stand.id())))
                    .isEqualTo(scratch.layout().nearest(scratch.layout().tree(stand.id())));
        });
        kept.varieties().chosenVarieties().stream()
                .limit(2)
                .forEach(variety -> assertThat(kept.varieties()
                                .springs(variety, Exposure.SCREEN)
                                .map(VarietySprings::frosts))
                        .as(when)
                        .isEqualTo(scratch.varieties()
                                .springs(variety, Exposure.SCREEN)
                                .map(VarietySprings::frosts)));
    }

    @Test
    void aStageWhoseInputsAreTheSameIsTheSame() {
        Evaluation before = Evaluation.of(new RandomOrchard(9).orchard(10));
        assertThat(before.stages()).hasSize(10);
        Orchard orchard = before.orchard();
        assertThat(before.with(orchard)).isSameAs(before);
        Evaluation later = before.with(orchard.with(new Orchard.Settings(
                LocalDate.of(2027, 4, 9),
                orchard.settings().model(),
                orchard.settings().order())));
        assertThat(later.site()).isSameAs(before.site());
        assertThat(later.winters()).isSameAs(before.winters());
        assertThat(later.varieties()).isSameAs(before.varieties());
        assertThat(later.partners()).isSameAs(before.partners());
        assertThat(later.rootstocks()).isSameAs(before.rootstocks());
        assertThat(later.almanac()).isNotSameAs(before.almanac());
        Tree first = orchard.trees().get(0);
        Evaluation moved = before.with(orchard.with(new Tree(
                first.id(),
                first.label(),
                new Point(1, 1),
                first.kind(),
                first.nursery(),
                first.footing(),
                first.life(),
                first.choice())));
        assertThat(moved.site().terrain()).isSameAs(before.site().terrain());
        assertThat(moved.winters()).isSameAs(before.winters());
        assertThat(moved.layout().tree(orchard.trees().get(1).id()))
                .isSameAs(before.layout().tree(orchard.trees().get(1).id()));
    }

    /** Nothing but a place: every stage answers, and none is begun. */
    @Test
    void anEmptyOrchardHasTenStagesAndNoStop() {
        Evaluation empty = Evaluation.of(Orchard.empty(-36.8, LocalDate.of(2027, 9, 1)));
        assertThat(empty.stages()).extracting(Stage::room).containsExactly(Room.values());
        assertThat(empty.stages()).noneMatch(Stage::begun);
        assertThat(empty.stages()).allMatch(stage -> stage.judged().count(Standing.STOP) == 0);
        assertThat(empty.almanac().tasks()).isNotEmpty();
    }

    /** common practice: a slow pit stops every tree on the grade for which it speaks, and no other. */
    @Test
    void theSoilOfAPitReachesTheTreesForWhichItSpeaks() {
        Orchard orchard = new RandomOrchard(4).orchard(30);
        Evaluation evaluation = Evaluation.of(orchard);
        List<Stand> judged = evaluation.rootstocks().findings().stream()
                .filter(finding -> finding.rule().equals(RootstockRules.DRAINAGE_RULE))
                .flatMap(finding -> evaluation.stand(finding.subject().id()).stream())
                .toList();
        assertThat(judged).isNotEmpty().allMatch(Stand::toPlant);
        assertThat(judged).allMatch(stand -> evaluation.site().pitOf(stand.id()).isPresent());
    }

    @Test
    void whatMovedIsToldOnceForManyTrees() {
        Orchard orchard = new RandomOrchard(2).orchard(40);
        Evaluation before = Evaluation.of(orchard);
        Evaluation after = before.with(orchard.with(
                new idlebough.core.judge.Ways(java.util.Map.of("planting.mulch", "deep"), java.util.Map.of())));
        List<Moved> moved = Moved.between(before, after);
        assertThat(moved)
                .filteredOn(m -> m.figure().equals("planting.mulch"))
                .singleElement()
                .satisfies(m -> {
                    assertThat(m.subjects()).isGreaterThan(10);
                    assertThat(m.to().orElseThrow().low())
                            .isGreaterThan(m.from().orElseThrow().low());
                });
        assertThat(Moved.between(before, before)).isEmpty();
        Evaluation gone = before.with(orchard.withTrees(List.of()));
        assertThat(Moved.between(before, gone))
                .as("figures that vanished are told too")
                .anySatisfy(m -> {
                    assertThat(m.figure()).isEqualTo("planting.width");
                    assertThat(m.to()).isEmpty();
                });
    }
}
