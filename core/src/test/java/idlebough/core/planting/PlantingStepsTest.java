package idlebough.core.planting;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Gardens;
import idlebough.core.Shipped;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Way;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is done on the day follows the ways that hold. */
class PlantingStepsTest {
    private static final Map<String, WinterStage> WINTERS = Gardens.all()
            .filter(each -> Set.of("mediterranean", "tropical-highland").contains(each.get("garden")))
            .collect(Collectors.toMap(
                    each -> each.get("garden"), each -> Gardens.evaluation(each).winters()));

    private static PlantingSection section(Form form, Footing footing, Arrival.Roots roots, Map<String, String> ways) {
        return section(form, Texture.LOAM, footing, roots, 2.4, ways);
    }

    private static PlantingSection section(
            Form form, Texture texture, Footing footing, Arrival.Roots roots, double tall, Map<String, String> ways) {
        return PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(
                        form,
                        0.4,
                        0.3,
                        Optional.of(0.13),
                        0.02,
                        new Arrival(
                                Optional.empty(),
                                Optional.empty(),
                                new Arrival.Seen(
                                        Arrival.Label.BOTH,
                                        Arrival.Bark.TIP,
                                        Arrival.Branches.GOOD,
                                        roots,
                                        Arrival.Joint.FIRM),
                                Optional.empty(),
                                Optional.of(tall),
                                Optional.empty())),
                Optional.of(Shipped.stock("mm111")),
                PlantingSection.Soil.untested(texture),
                new Tree.Ground(footing, Tree.Hole.PROPOSED),
                ways,
                new PlantingSection.Around(Optional.of(250.0), 1, Optional.of(90.0)),
                45,
                new PlantingSection.Grown("apple", 5)));
    }

    private static List<Phrase> steps(PlantingSection section, long late) {
        return PlantingSteps.of(section, Optional.of(LocalDate.of(2027, 3, 20)), late);
    }

    private static String told(List<Phrase> steps) {
        return steps.toString();
    }

    static Stream<Way> ways() {
        return PlantingWays.ALL.stream();
    }

    /** No choice is idle: every school of every way leads to steps, figures, turning or days of its own. */
    @ParameterizedTest
    @MethodSource("ways")
    void everySchoolMovesSomething(Way way) {
        Set<List<Object>> outcomes = new HashSet<>();
        for (Way.School school : way.choices()) {
            outcomes.add(outcome(Map.of(way.key(), school.key())));
        }
        assertThat(outcomes)
                .as("schools of “%s” that differ", way.title())
                .hasSize(way.choices().size());
    }

    private static List<Object> outcome(Map<String, String> ways) {
        List<Object> all = new ArrayList<>();
        Map<String, String> bark = new HashMap<>(ways);
        bark.putIfAbsent("planting.mulch-kind", "bark");
        for (PlantingSection section : List.of(
                section(Form.BARE, Footing.GRADE, Arrival.Roots.GOOD, ways),
                section(Form.BARE, Footing.GRADE, Arrival.Roots.GOOD, bark),
                section(Form.CONTAINER, Footing.MOUND, Arrival.Roots.LIGHT, ways),
                section(Form.CONTAINER, Footing.GRADE, Arrival.Roots.HEAVY, ways),
                section(Form.FIELD, Texture.CLAY, Footing.GRADE, Arrival.Roots.MODERATE, 1.2, ways))) {
            all.add(told(steps(section, 0)));
            all.addAll(List.of(
                    section.raise(),
                    section.width(),
                    section.depth(),
                    section.balance(),
                    section.basin(),
                    section.stake().map(Stake::toString),
                    section.turning().toString(),
                    section.mesh(),
                    section.meshOpening(),
                    section.mound(),
                    section.screen()));
        }
        for (String garden : WINTERS.keySet()) {
            WinterStage winters = WINTERS.get(garden);
            for (String variety : List.of("apple-cox", "orange-valencia", "avocado-fuerte")) {
                all.add(PlantingSeason.of(
                                Shipped.variety(variety).crop(), Form.CONTAINER, winters, Optional.empty(), ways)
                        .map(season -> List.of(
                                season.soilWanted(),
                                season.next(LocalDate.of(2027, 2, 1)),
                                season.next(LocalDate.of(2027, 8, 1))))
                        .orElseThrow());
            }
        }
        return all;
    }

    /** The order of the work: soak, dig, roots, board, fill, mulch, prune (common practice). */
    @Test
    void stepsStandInTheOrderOfTheWork() {
        String bare = told(steps(section(Form.BARE, Footing.GRADE, Arrival.Roots.GOOD, Map.of()), 0));
        assertThat(bare)
                .containsSubsequence(
                        "Soak",
                        "Cut the sod",
                        "Dig",
                        "Break the walls",
                        "spread them",
                        "Stake",
                        "Lay the board",
                        "Fill with",
                        "Water it in",
                        "Mulch",
                        "Prune",
                        "Fruit");
    }

    /** Light binding is roughed up, moderate gets four cuts, a mat is slit and opened (common practice). */
    @ParameterizedTest
    @EnumSource(
            value = Arrival.Roots.class,
            names = {"LIGHT", "MODERATE", "HEAVY", "GOOD"})
    void rootsAreTreatedAsTheyAreBound(Arrival.Roots roots) {
        String steps = told(steps(section(Form.CONTAINER, Footing.GRADE, roots, Map.of()), 0));
        assertThat(steps)
                .contains(
                        switch (roots) {
                            case LIGHT -> "roughed up by hand";
                            case MODERATE -> "four cuts";
                            case HEAVY -> "slit from half-way up";
                            default -> "never touched";
                        });
        assertThat(steps.contains("sulk")).isEqualTo(roots != Arrival.Roots.GOOD);
    }

    /** Two months after bud break goes, with water, cut-back and shade (common practice). */
    @Test
    void lateIsNotForbiddenButChangesTheWork() {
        PlantingSection bare = section(Form.BARE, Footing.GRADE, Arrival.Roots.GOOD, Map.of());
        assertThat(told(steps(bare, 0))).doesNotContain("out of season");
        assertThat(told(steps(bare, 60)))
                .contains("out of season")
                .contains("cut the top back")
                .contains("open to the east");
        assertThat(told(steps(section(Form.CONTAINER, Footing.GRADE, Arrival.Roots.GOOD, Map.of()), 60)))
                .contains("open to the east")
                .doesNotContain("cut the top back");
    }
}
