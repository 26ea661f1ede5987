package idlebough.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a pit says in words, and that the remedy it names is the one that mends it. */
class PitSayingsTest {
    private static final Display METRIC = new Display(UnitSystem.METRIC, Locale.UK);

    /** A pit that drains well, with what was seen in it. */
    private static SoilPit seen(Double ph, Double mottles, Double water, boolean fizzes, SoilPit.History before) {
        SoilPit well = Shipped.pit(60, ph, Texture.LOAM);
        return new SoilPit(
                "p",
                "7",
                well.place(),
                Texture.LOAM,
                0.25,
                well.tests(),
                new SoilPit.Profile(
                        List.of(),
                        Optional.empty(),
                        Optional.ofNullable(mottles),
                        Optional.ofNullable(water),
                        Optional.of(1.0),
                        true,
                        before),
                new SoilPit.Analysis(Optional.ofNullable(ph), Optional.empty(), Optional.empty(), fizzes));
    }

    private static SoilPit after(Double years, boolean died) {
        return seen(
                6.5,
                null,
                null,
                false,
                new SoilPit.History(Optional.of(Crop.Kind.POME), Optional.ofNullable(years), died));
    }

    private static Finding only(SoilPit pit, String crop, String rule) {
        return SiteRules.judge(pit, Map.of(Shipped.crop(crop), Footing.GRADE)).stream()
                .filter(finding -> finding.rule().id().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    private static String words(Finding finding) {
        return finding.headline().in(METRIC) + " " + finding.reason().in(METRIC);
    }

    /** Apples want pH 6 to 7 (common practice); what to spread by the amendment tables, hopeless where it fizzes. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5.2 | false | Pit 7 is acid for an apple.     | ground limestone brings it there, worked in 6 months",
                "4.0 | true  | Pit 7 is acid for an apple.     | ground limestone",
                "8.0 | false | Pit 7 is alkaline for an apple. | elemental sulphur brings it there, worked in 12 months",
                "8.0 | true  | Pit 7 is alkaline for an apple. | free lime makes sulphur hopeless",
                "9.9 | false | Pit 7 is alkaline for an apple. | ask a laboratory"
            })
    void whatIsSpreadAgainstAWrongPh(double ph, boolean fizzes, String headline, String amend) {
        Finding finding = only(seen(ph, null, null, fizzes, SoilPit.History.NONE), "apple", "site.ph");
        assertThat(finding.standing()).isEqualTo(Standing.STOP);
        assertThat(words(finding)).startsWith(headline).contains(amend).contains("6.0 to 7.0 is wanted");
    }

    @ParameterizedTest
    @CsvSource({"6.5, The pH at pit 7 suits an apple., SOUND", "7.05, is alkaline for an apple, DOUBTFUL"})
    void aPhThatSuitsOrMaySuit(double ph, String headline, Standing standing) {
        Finding finding = only(seen(ph, null, null, false, SoilPit.History.NONE), "apple", "site.ph");
        assertThat(finding.standing()).isEqualTo(standing);
        assertThat(words(finding)).contains(headline);
    }

    /** Mottles mean water at times, water in the pit means it now; the crop that stands it worst decides. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"0.3 |     | STOP | TALL_MOUND", "     | 0.3 | STOP | TALL_MOUND", "0.65 |   | STOP | MOUND"})
    void wetGroundNamesTheMoundThatMendsIt(Double mottles, Double water, Standing standing, Footing footing) {
        SoilPit pit = seen(6.5, mottles, water, false, SoilPit.History.NONE);
        Finding wet = only(pit, "apple", "site.wet-ground");
        assertThat(wet.standing()).isEqualTo(standing);
        assertThat(wet.remedies().get(0)).isInstanceOfSatisfying(SiteRemedy.SetOnFooting.class, mound -> {
            assertThat(mound.footing()).isEqualTo(footing);
            assertThat(mound.crop()).isEqualTo("apple");
            assertThat(mound.pit()).isEqualTo("p");
            assertThat(mound.label().in(METRIC)).startsWith("Put an apple here").contains(footing.words());
        });
        assertThat(wet.remedies()).hasSize(2);
    }

    @Test
    void dryGroundOffersNoMound() {
        Finding dry = only(seen(6.5, 1.3, null, false, SoilPit.History.NONE), "apple", "site.wet-ground");
        assertThat(dry.standing()).isEqualTo(Standing.SOUND);
        assertThat(dry.remedies()).hasSize(1).allMatch(SiteRemedy.SeeAnswers.class::isInstance);
    }

    /** Five years or so after fruit of the same kind (common practice). */
    @Test
    void fruitAfterFruitOfTheSameKind() {
        Finding last = only(after(1.0, false), "apple", "site.replant");
        assertThat(words(last)).contains("It is 1 year since the old ones were taken out");
        Finding died = only(after(2.0, true), "apple", "site.replant");
        assertThat(words(died)).contains("It is 2 years since trees that died were taken out");
        Finding unknown = only(after(null, false), "apple", "site.replant");
        assertThat(words(unknown)).contains("It is not known how long it is since the old ones");
        Finding long50 = only(after(50.0, false), "apple", "site.replant");
        assertThat(long50.standing()).isEqualTo(Standing.SOUND);
        List<Finding> plum = SiteRules.judge(after(1.0, false), Map.of(Shipped.crop("plum"), Footing.GRADE));
        assertThat(plum).extracting(finding -> finding.rule().id()).doesNotContain("site.replant");
    }

    /** The wet ground is told once, of the crop that it hits hardest on its footing. */
    @Test
    void severalCropsAtOnePit() {
        List<Finding> found = new ArrayList<>(SiteRules.judge(
                seen(6.5, 1.0, null, false, SoilPit.History.NONE),
                Map.of(
                        Shipped.crop("apple"),
                        Footing.GRADE,
                        Shipped.crop("peach"),
                        Footing.GRADE,
                        Shipped.crop("quince"),
                        Footing.GRADE)));
        assertThat(found)
                .filteredOn(finding -> finding.rule().id().equals("site.wet-ground"))
                .singleElement()
                .satisfies(wet -> assertThat(words(wet)).contains("peach"));
    }
}
