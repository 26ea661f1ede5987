package idlebough.core.site;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.judge.Standing;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SiteTest {
    private static TestHole hole(Map<String, String> row) {
        return switch (row.get("in_shape")) {
            case "CYLINDER" -> new TestHole.Cylinder(d(row, "in_d_bot_cm") / 100);
            case "BOX" -> new TestHole.Box(d(row, "in_len_cm") / 100, d(row, "in_wid_cm") / 100);
            default ->
                new TestHole.Taper(
                        d(row, "in_d_top_cm") / 100, d(row, "in_d_bot_cm") / 100, d(row, "in_depth_cm") / 100);
        };
    }

    @Test
    void textureTriangleOfHandbook18() {
        Vectors.of("water/texture.csv").forEach(row -> {
            Texture got = Texture.of(d(row, "in_sand"), d(row, "in_silt"), d(row, "in_clay"));
            assertThat(got == null ? "INVALID" : got.name()).as(row.toString()).isEqualTo(row.get("out_cls"));
        });
    }

    @Test
    void drainageRatesWhateverTheHole() {
        Vectors.of("water/perc.csv").forEach(row -> {
            double h0 = d(row, "in_h0_cm") / 100;
            double h1 = d(row, "in_h1_cm") / 100;
            DrainageTest test = new DrainageTest(
                    hole(row),
                    h0,
                    true,
                    false,
                    List.of(new DrainageTest.Reading(0, 0), new DrainageTest.Reading(d(row, "in_t_min"), h0 - h1)));
            DrainageRate rate = test.rate();
            near(rate.rawMmPerHour(), row, "out_raw_mm_h");
            near(rate.kMmPerHour(), row, "out_k_mm_h");
            near(rate.normalisedMmPerHour() / 25.4, row, "out_r12_in_h");
            near(rate.hoursToEmpty(), row, "out_empty_h");
            assertThat(rate.drainageClass().name()).isEqualTo(row.get("out_cls"));
            assertThat(rate.rawClass().name()).isEqualTo(row.get("out_raw_cls"));
        });
        Vectors.of("water/drain_time.csv")
                .forEach(row -> near(
                        hole(row).infiltrated(d(row, "in_h0_cm") / 100, d(row, "in_h1_cm") / 100)
                                * 1000
                                / d(row, "in_k_mm_h"),
                        row,
                        "out_hours"));
    }

    @Test
    void moundVolumes() {
        Vectors.of("water/mound.csv").forEach(row -> {
            Mound mound = new Mound(d(row, "in_top_d_m"), d(row, "in_h_m"), d(row, "in_z"), d(row, "in_settle"));
            near(mound.base(), row, "out_base_d");
            near(mound.footprint(), row, "out_footprint_m2");
            near(mound.side(), row, "out_side_m2");
            near(mound.settled(), row, "out_vol_m3");
            near(mound.placed(), row, "out_loose_m3");
            near(mound.builtHeight(), row, "out_build_h_m");
        });
    }

    @Test
    void readingsThatCannotBeAreNamedAndNotUsed() {
        DrainageTest test = new DrainageTest(
                new TestHole.Cylinder(0.3),
                0.4,
                true,
                false,
                List.of(
                        new DrainageTest.Reading(0, 0.1),
                        new DrainageTest.Reading(30, 0.12),
                        new DrainageTest.Reading(20, 0.13),
                        new DrainageTest.Reading(60, 0.05),
                        new DrainageTest.Reading(90, 0.5),
                        new DrainageTest.Reading(60, 0.14)));
        assertThat(test.sift().rejected())
                .extracting(DrainageTest.Rejected::index)
                .containsExactly(2, 3, 4);
        assertThat(test.rate().rawMmPerHour()).isCloseTo(40, org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    void aSixteenInchHoleGoneInTwoHoursIsSafeForAnyTree() {
        // common practice: the second filling of a 16 in hole gone in 1–2 h means no danger of wet feet
        DrainageTest test = new DrainageTest(
                new TestHole.Cylinder(0.3),
                0.4064,
                true,
                false,
                List.of(new DrainageTest.Reading(0, 0), new DrainageTest.Reading(120, 0.4064)));
        SoilPit pit = pit(Texture.LOAM, test);
        assertThat(SiteRules.drainage(pit, Shipped.crop("peach")).standing()).isEqualTo(Standing.SOUND);
        assertThat(test.rate().drainageClass()).isEqualTo(DrainageClass.DROUGHTY);
    }

    private static SoilPit pit(Texture texture, DrainageTest test) {
        return new SoilPit(
                "p", "1", new Point(0, 0), texture, 0.3, List.of(test), SoilPit.Profile.UNSEEN, SoilPit.Analysis.NONE);
    }

    @Test
    void slowSoilStopsAPeachWhereAPearIsOnlyDoubtful() {
        // common practice: pear puts up with wet feet, peach does not (order: Rowe & Beardsell 1973)
        DrainageTest test = new DrainageTest(
                new TestHole.Cylinder(0.3),
                0.4,
                true,
                false,
                List.of(
                        new DrainageTest.Reading(0, 0.05),
                        new DrainageTest.Reading(60, 0.073),
                        new DrainageTest.Reading(120, 0.095)));
        SoilPit pit = pit(Texture.CLAY_LOAM, test);
        assertThat(SiteRules.drainage(pit, Shipped.crop("peach")).standing()).isEqualTo(Standing.STOP);
        assertThat(SiteRules.drainage(pit, Shipped.crop("pear")).standing()).isNotEqualTo(Standing.STOP);
        assertThat(WantedDrainage.footing(Shipped.crop("peach"), pit.rate())).isNotEqualTo(Footing.GRADE);
    }

    @Test
    void aPlotThatCrossesItselfIsRefusedWithASentence() {
        assertThat(Plot.complaint(List.of(new Point(0, 0), new Point(10, 10), new Point(10, 0), new Point(0, 12)))
                        .orElseThrow())
                .contains("crosses itself");
        assertThat(Plot.complaint(List.of(new Point(0, 0), new Point(10, 10))).orElseThrow())
                .contains("three corners");
        assertThat(Plot.rectangle(11, 16).area()).isEqualTo(176);
    }
}
