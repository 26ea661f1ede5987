package idlebough.core.planting;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Way;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The schools move the numbers that their reasons speak of, and no others. */
class PlantingWaysTest {
    private static final NurseryTree POT = new NurseryTree(Form.CONTAINER, 0.385, 0.305, Optional.of(0.13), 0.02);

    private static PlantingSection with(NurseryTree tree, String stock, Texture texture, String... ways) {
        Map<String, String> chosen = new java.util.HashMap<>();
        for (int i = 0; i < ways.length; i += 2) {
            chosen.put(ways[i], ways[i + 1]);
        }
        return PlantingSection.of(new PlantingSection.Setting(
                tree,
                Optional.of(Shipped.stock(stock)),
                PlantingSection.Soil.untested(texture),
                Footing.GRADE,
                chosen,
                Optional.empty(),
                42));
    }

    @Test
    void everyWayOffersItsUsualSchoolWithReasons() {
        for (Way way : PlantingWays.ALL) {
            assertThat(way.offers(way.usual())).isTrue();
            assertThat(way.whyUsual()).isNotBlank();
            assertThat(way.choices())
                    .hasSizeGreaterThan(1)
                    .allSatisfy(school -> assertThat(school.reason()).isNotBlank());
            assertThat(way.choose("nobody's school")).isEqualTo(way.usualSchool());
        }
    }

    /** Citrus is fed six weeks after planting (common practice); what was chosen holds over what is usual. */
    @Test
    void aCropMayHaveAUsualSchoolOfItsOwn() {
        assertThat(PlantingWays.FIRST_FEED.choose(null, "lemon").key()).isEqualTo("eight");
        assertThat(PlantingWays.FIRST_FEED.choose(null, "apple").key()).isEqualTo("hand");
        assertThat(PlantingWays.FIRST_FEED.choose("spring", "lemon").key()).isEqualTo("spring");
        PlantingWays.ALL.forEach(way -> way.ofCrops().forEach((crop, school) -> {
            assertThat(way.offers(school)).as(way.key()).isTrue();
            assertThat(Shipped.crop(crop).key()).isEqualTo(crop);
        }));
    }

    @Test
    void aWiderHoleMovesTheEarthAndNotTheHeights() {
        PlantingSection usual = with(POT, "mm106", Texture.LOAM);
        PlantingSection wide = with(POT, "mm106", Texture.LOAM, "planting.width", "wide");
        assertThat(wide.spoil()).isCloseTo(usual.spoil() * 2.25, org.assertj.core.data.Percentage.withPercentage(0.01));
        assertThat(wide.unionToday()).isEqualTo(usual.unionToday());
        assertThat(wide.depth()).isEqualTo(usual.depth());
    }

    @Test
    void compostMovesTheCompostAndOnALoosenedBottomTheSettling() {
        PlantingSection usual = with(POT, "mm106", Texture.LOAM);
        assertThat(usual.compost()).isZero();
        assertThat(with(POT, "mm106", Texture.LOAM, "planting.mix", "half").compost())
                .isGreaterThan(with(POT, "mm106", Texture.LOAM, "planting.mix", "fifth")
                        .compost());
        PlantingSection firm = with(POT, "mm106", Texture.LOAM, "planting.mix", "half");
        PlantingSection loose = with(POT, "mm106", Texture.LOAM, "planting.mix", "half", "planting.base", "loosened");
        assertThat(firm.settling().fill()).isZero();
        assertThat(loose.settling().total()).isGreaterThan(firm.settling().total());
        assertThat(loose.unionToday()).as("set higher by what will sink").isGreaterThan(firm.unionToday());
    }

    @Test
    void aBootLeavesLessToSettleThanFingers() {
        String[] loosened = {"planting.base", "loosened", "planting.firming", "loose"};
        String[] trodden = {"planting.base", "loosened", "planting.firming", "boot"};
        assertThat(with(POT, "mm106", Texture.CLAY, trodden).settling().total())
                .isLessThan(
                        with(POT, "mm106", Texture.CLAY, loosened).settling().total());
    }

    @ParameterizedTest
    @EnumSource(Texture.class)
    void afterSettlingFlareAndUnionStandRightInEverySoil(Texture texture) {
        for (String stock : List.of("m9", "mm106", "mm111", "st-julien", "trifoliate")) {
            for (String base : List.of("firm", "loosened")) {
                PlantingSection section = with(POT, stock, texture, "planting.base", base);
                assertThat(section.flareAtLast())
                        .as("flare not below the board")
                        .isGreaterThanOrEqualTo(-1e-9);
                assertThat(section.unionAtLast())
                        .as("union at least the stock's")
                        .isGreaterThanOrEqualTo(section.unionMin() - 1e-9);
                assertThat(section.unionAfter(8)).isBetween(section.unionAtLast() - 1e-9, section.unionToday());
                assertThat(section.depth())
                        .isCloseTo(POT.ballHeight() - section.raise(), org.assertj.core.data.Offset.offset(1e-9));
            }
        }
    }

    @Test
    void settlingGoesFastAtFirstAndTheRotForYears() {
        Settling settling = Settling.of(0.2, 0.12, 0.6, 1.0 / 3, 0.6, 0.3, 0.05);
        double quick = settling.mineral() + settling.ball();
        assertThat(settling.after(0)).isZero();
        assertThat(settling.after(3))
                .as("two thirds or more of the quick part by three weeks")
                .isGreaterThan(0.66 * quick);
        assertThat(settling.after(8)).isLessThan(settling.total());
        assertThat(settling.after(4 * 53)).isCloseTo(settling.total(), org.assertj.core.data.Offset.offset(1e-6));
        double before = -1;
        for (int week = 0; week < 220; week++) {
            assertThat(settling.after(week)).isGreaterThanOrEqualTo(before);
            before = settling.after(week);
        }
    }

    @Test
    void aTreeWithItsUnionTooNearTheFlareIsAFaultOfTheTree() {
        NurseryTree low = new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.03), 0.02);
        List<Finding> findings = PlantingRules.judge("t", "C3", with(low, "m9", Texture.SANDY_LOAM));
        assertThat(findings)
                .filteredOn(f -> f.rule().equals(PlantingRules.FLARE_HIGH))
                .singleElement()
                .satisfies(f -> assertThat(f.standing()).isNotEqualTo(Standing.SOUND));
    }

    @Test
    void anOwnRootedFigHasNoUnionToJudge() {
        PlantingSection fig = with(POT, "fig-own", Texture.LOAM);
        assertThat(fig.hasUnion()).isFalse();
        assertThat(PlantingRules.judge("t", "T5", fig))
                .noneMatch(f -> f.rule().id().contains("union"));
    }

    @ParameterizedTest
    @CsvSource({"10, ONE", "16, ONE", "20, ONE_CARE", "30, TWO", "34, AID", "80, AID"})
    void whoLifts(double kilograms, Lift lift) {
        // bands after HSE L23
        assertThat(Lift.of(kilograms)).isEqualTo(lift);
    }

    @Test
    void aFieldBallCutThirtyCentimetresFromTheStemWantsAid() {
        // common practice: ball cut 12–15 in from the stem, 10 in deep, weighs 150–200 lb (70–90 kg)
        NurseryTree moved = new NurseryTree(Form.FIELD, 0.55, 0.25, Optional.empty(), 0.05);
        assertThat(moved.weight()).isBetween(60.0, 95.0);
        assertThat(Lift.of(moved.weight())).isEqualTo(Lift.AID);
    }

    @Test
    void everyFigureOpensItsWorking() {
        PlantingSection s = with(POT, "mm106", Texture.CLAY, "planting.base", "loosened");
        assertThat(List.of(
                        s.heightWorking(),
                        s.raiseWorking(),
                        s.depthWorking(),
                        s.widthWorking(),
                        s.spoilWorking(),
                        s.compostWorking(),
                        s.mulchWorking(),
                        s.liftWorking()))
                .allSatisfy(working -> {
                    assertThat(working.steps()).isNotEmpty();
                    assertThat(working.source().citation()).isNotBlank();
                    assertThat(working.sensitivity()).isNotNull();
                });
    }
}
