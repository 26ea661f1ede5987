package idlebough.core.site;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Finding;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Jars, fingers, water held, what is spread and what is heaped. */
class SoilTest {
    private static final Point HERE = new Point(0, 0);

    private static SoilPit pit(Texture texture, Double ph, SoilPit.Profile profile, DrainageTest... tests) {
        return new SoilPit("1", "1", HERE, texture, 0.3, List.of(tests), profile, Shipped.acid(ph));
    }

    private static SoilPit.Profile seen(Optional<Double> mottles, Optional<Double> water, SoilPit.History before) {
        return new SoilPit.Profile(List.of(), Optional.empty(), mottles, water, Optional.empty(), false, before);
    }

    private static SoilPit pit(SoilPit.Analysis analysis) {
        return new SoilPit("1", "1", HERE, Texture.LOAM, 0.3, List.of(), SoilPit.Profile.UNSEEN, analysis);
    }

    private static DrainageTest test(double fallPerHour, boolean second, boolean glazed) {
        return new DrainageTest(
                new TestHole.Cylinder(0.3),
                0.4,
                second,
                glazed,
                false,
                List.of(new DrainageTest.Reading(0, 0.05), new DrainageTest.Reading(60, 0.05 + fallPerHour)));
    }

    @Test
    void jarsOfWaterOneTwo() {
        Vectors.of("water/jar.csv").forEach(row -> {
            JarTest jar = new JarTest(d(row, "in_h_sand"), d(row, "in_h_sand_silt"), d(row, "in_h_total"));
            near(jar.sandPercent(), row, "out_sand");
            near(jar.siltPercent(), row, "out_silt");
            near(jar.clayPercent(), row, "out_clay");
            assertThat(jar.texture().name()).isEqualTo(row.get("out_cls"));
            assertThat(jar.complaint()).isEmpty();
            assertThat(jar.alsoPossible()).isNotEmpty().doesNotContain(jar.texture());
        });
        assertThat(new JarTest(40, 30, 50).complaint().orElseThrow()).contains("must grow");
    }

    /** After Thien 1979, from memory: the nine corners of the flow diagram. */
    @Test
    void fingersFindTheClass() {
        assertThat(new FeelTest(false, FeelTest.Ribbon.LONG, FeelTest.Paste.GRITTY).texture())
                .isEqualTo(Texture.SAND);
        assertThat(new FeelTest(true, FeelTest.Ribbon.NONE, FeelTest.Paste.SMOOTH).texture())
                .isEqualTo(Texture.LOAMY_SAND);
        assertThat(List.of(FeelTest.Ribbon.SHORT, FeelTest.Ribbon.MIDDLING, FeelTest.Ribbon.LONG).stream()
                        .flatMap(ribbon -> List.of(FeelTest.Paste.values()).stream()
                                .map(paste -> new FeelTest(true, ribbon, paste).texture())))
                .containsExactly(
                        Texture.SANDY_LOAM,
                        Texture.SILT_LOAM,
                        Texture.LOAM,
                        Texture.SANDY_CLAY_LOAM,
                        Texture.SILTY_CLAY_LOAM,
                        Texture.CLAY_LOAM,
                        Texture.SANDY_CLAY,
                        Texture.SILTY_CLAY,
                        Texture.CLAY);
    }

    @Test
    void waterHeldOfSaxtonAndRawls() {
        Vectors.of("water/saxton_rawls.csv").forEach(row -> {
            WaterHeld held = WaterHeld.of(
                    d(row, "in_sand"), d(row, "in_clay"), d(row, "in_om"), d(row, "in_df"), d(row, "in_gravel_w"));
            near(held.wilting(), row, "out_wp");
            near(held.fieldCapacity(), row, "out_fc");
            near(held.saturation(), row, "out_sat");
            near(held.density(), row, "out_rho");
            near(held.available(), row, "out_awc_mm_m");
            near(held.conductivity(), row, "out_ks_mm_h");
        });
    }

    @Test
    void sulphurAndLimeOfWaterOneFive() {
        Vectors.of("water/amendment.csv").forEach(row -> {
            Amendment dose = Amendment.of(
                    Amendment.Kind.valueOf(row.get("in_kind")),
                    row.get("in_group"),
                    d(row, "in_ph_now"),
                    d(row, "in_ph_target"),
                    d(row, "in_purity"));
            near(dose.gramsPerSquareMetre().orElseThrow(), row, "out_g_m2");
        });
        assertThat(Amendment.of(Texture.CLAY, 9.1, 6.5).gramsPerSquareMetre())
                .as("beyond the table only a laboratory knows")
                .isEmpty();
        for (Texture texture : Texture.values()) {
            assertThat(Amendment.of(texture, 7.8, 6.8).gramsPerSquareMetre().orElseThrow())
                    .isPositive();
            assertThat(Amendment.of(texture, 5.2, 6.2).gramsPerSquareMetre().orElseThrow())
                    .isPositive();
        }
    }

    @Test
    void bermsBedsAndDrainsOfWaterTwoFive() {
        Vectors.of("water/berm.csv").forEach(row -> {
            Berm berm = new Berm(
                    d(row, "in_crest_len_m"),
                    d(row, "in_top_w_m"),
                    d(row, "in_h_m"),
                    d(row, "in_z"),
                    d(row, "in_settle"));
            near(berm.baseWidth(), row, "out_base_w");
            near(berm.baseLength(), row, "out_base_len");
            near(berm.footprint(), row, "out_footprint_m2");
            near(berm.settled(), row, "out_vol_m3");
            near(berm.placed(), row, "out_loose_m3");
        });
        Vectors.of("water/bed.csv").forEach(row -> {
            Bed bed = new Bed(
                    d(row, "in_top_l_m"), d(row, "in_top_w_m"), d(row, "in_h_m"), d(row, "in_z"), d(row, "in_settle"));
            near(bed.baseLength(), row, "out_base_l");
            near(bed.baseWidth(), row, "out_base_w");
            near(bed.settled(), row, "out_vol_m3");
            near(bed.placed(), row, "out_loose_m3");
        });
        Vectors.of("water/french_drain.csv").forEach(row -> {
            FrenchDrain drain = new FrenchDrain(
                    d(row, "in_len_m"),
                    d(row, "in_slope_pct"),
                    d(row, "in_trench_w_m"),
                    d(row, "in_gravel_depth_m"),
                    d(row, "in_pipe_od_m"),
                    d(row, "in_pipe_id_m"),
                    d(row, "in_n"));
            near(drain.drop(), row, "out_drop_m");
            near(drain.gravel(), row, "out_gravel_m3");
            near(drain.fullFlow(), row, "out_full_flow_l_s");
        });
        Vectors.of("water/hooghoudt.csv")
                .forEach(row -> near(
                        FrenchDrain.spacing(
                                d(row, "in_k_m_d"), d(row, "in_d_eq_m"), d(row, "in_h_mid_m"), d(row, "in_q_m_d")),
                        row,
                        "out_spacing_m"));
        // By hand for 0.1 m/d, the slowest taken where nothing is measured: √((8·0.1·0.5·0.3 + 4·0.1·0.3²) ÷ 0.007).
        assertThat(WhatToDo.spacing(pit(Texture.CLAY, null, SoilPit.Profile.UNSEEN)))
                .isCloseTo(4.7208, within(0.0005));
        // An independent computation gives the heap as it lies, grown by digging.
        Vectors.joined("mound").forEach(row -> {
            Mound mound = new Mound(d(row, "top_d"), d(row, "height"), d(row, "side_m"), d(row, "settle_frac"));
            near(1000 * Barrows.of(mound.placed(), d(row, "bulk")).heaped(), row, "out:loose_l");
            near(mound.builtHeight(), row, "out:built_h");
            near(1000 * mound.settled(), row, "out:volume_l");
        });
        assertThat(new Barrows(1.95).barrows()).isEqualTo(25);
        assertThat(new Barrows(1.95).trailers()).isEqualTo(3);
    }

    /** Common practice. */
    @Test
    void theMildestAnswerThatIsEnough() {
        Crop peach = Shipped.crop("peach");
        Crop pear = Shipped.crop("pear");
        SoilPit slow = pit(Texture.CLAY, 6.5, SoilPit.Profile.UNSEEN, test(0.025, true, false));
        assertThat(slow.rate().orElseThrow().drainageClass()).isEqualTo(DrainageClass.SLOW);
        assertThat(WhatToDo.of(pear, slow).advised().kind()).isEqualTo(WhatToDo.Kind.PROUD);
        WhatToDo.Option forPeach = WhatToDo.of(peach, slow).advised();
        assertThat(forPeach.kind()).isEqualTo(WhatToDo.Kind.MOUND);
        assertThat(forPeach.heap().height()).as("12 to 18 in").isBetween(0.30, 0.46);
        assertThat(forPeach.heap().barrows().heaped())
                .isGreaterThan(forPeach.heap().placed());
        assertThat(forPeach.heap().placed()).isGreaterThan(forPeach.heap().settled());
        SoilPit good = pit(Texture.SANDY_LOAM, 6.5, SoilPit.Profile.UNSEEN, test(0.2, true, false));
        assertThat(WhatToDo.of(peach, good).advised().kind()).isEqualTo(WhatToDo.Kind.FINE);
        SoilPit flooded = pit(
                Texture.CLAY,
                6.5,
                SoilPit.Profile.UNSEEN,
                new DrainageTest(new TestHole.Cylinder(0.3), 0.4, true, true, List.of()));
        assertThat(WhatToDo.of(pear, flooded).advised().kind()).isEqualTo(WhatToDo.Kind.ELSEWHERE);
        assertThat(WhatToDo.of(pear, flooded).ways())
                .filteredOn(way -> way.kind() == WhatToDo.Kind.DRAIN)
                .singleElement()
                .satisfies(drain -> assertThat(drain.care().caution()).contains("professional"));
    }

    @Test
    void theSlowestOfSeveralHolesCountsAndAFirstFillingYields() {
        SoilPit pit = pit(Texture.LOAM, null, SoilPit.Profile.UNSEEN, test(0.09, true, false), test(0.04, true, false));
        assertThat(pit.rate().orElseThrow().rawMmPerHour()).isCloseTo(40, within(1e-6));
        SoilPit first =
                pit(Texture.LOAM, null, SoilPit.Profile.UNSEEN, test(0.03, false, false), test(0.05, true, false));
        assertThat(first.test().orElseThrow().secondFilling()).isTrue();
        assertThat(test(0.05, true, true).rate().halfWidth())
                .as("a glazed hole is known worse")
                .isGreaterThan(2 * test(0.05, true, false).rate().halfWidth());
        assertThat(test(0.05, true, true).rate().ifGlazed()).isCloseTo(150, within(1e-6));
    }

    @Test
    void wetGroundSaltLimeAndOldOrchardsAreTold() {
        Crop peach = Shipped.crop("peach");
        Finding wet = SiteRules.wetGround(
                        pit(Texture.CLAY, 6.5, seen(Optional.of(0.5), Optional.of(0.8), SoilPit.History.NONE)),
                        peach,
                        Footing.GRADE)
                .orElseThrow();
        assertThat(wet.held().orElseThrow().measured().value()).isEqualTo(0.5);
        assertThat(wet.remedies()).hasOnlyElementsOfTypes(SiteRemedy.SetOnFooting.class, SiteRemedy.SeeAnswers.class);
        // Maas & Hoffman: peach loses 21 per cent for each dS/m over 1.7.
        Finding salt = SiteRules.salt(
                        pit(new SoilPit.Analysis(Optional.of(6.5), Optional.of(3.0), Optional.empty(), false)), peach)
                .orElseThrow();
        assertThat(salt.reason().arguments())
                .anySatisfy(a -> assertThat(a.toString()).contains("27.3"));
        assertThat(SiteRules.replant(
                        pit(
                                Texture.LOAM,
                                6.5,
                                seen(
                                        Optional.empty(),
                                        Optional.empty(),
                                        new SoilPit.History(Optional.of(Crop.Kind.POME), Optional.of(1.0), true))),
                        peach))
                .as("a peach after apples")
                .isEmpty();
        Finding alkaline = SiteRules.ph(
                        pit(new SoilPit.Analysis(Optional.of(8.2), Optional.empty(), Optional.empty(), true)), peach)
                .orElseThrow();
        assertThat(alkaline.reason().toString()).contains("fizzes");
        Finding acid = SiteRules.ph(pit(Texture.LOAM, 5.0, SoilPit.Profile.UNSEEN), peach)
                .orElseThrow();
        assertThat(acid.reason().toString()).contains("limestone");
    }

    private static SoilPit.Profile onClay(Optional<Double> pan) {
        SoilPit.Layer clay = new SoilPit.Layer(0.6, Texture.CLAY, Optional.empty(), false, true);
        return new SoilPit.Profile(
                List.of(clay), pan, Optional.empty(), Optional.empty(), Optional.empty(), false, SoilPit.History.NONE);
    }

    @Test
    void waterHeldOverTheDepthThatRootsCanUse() {
        SoilPit deep = new SoilPit(
                "1", "1", HERE, Texture.LOAM, 0.3, List.of(), onClay(Optional.empty()), SoilPit.Analysis.NONE);
        // 0.3 m of loam at 143 mm/m, the rest to 0.9 m of clay at 123 mm/m (Saxton & Rawls).
        assertThat(deep.waterHeld()).isCloseTo(0.3 * 143 + 0.6 * 123, within(1e-9));
        SoilPit pan = new SoilPit(
                "1", "1", HERE, Texture.LOAM, 0.3, List.of(), onClay(Optional.of(0.38)), SoilPit.Analysis.NONE);
        assertThat(pan.waterHeld()).isCloseTo(0.3 * 143 + 0.08 * 123, within(1e-9));
    }

    /** By hand: a prism of 10 m between two half frusta, a metre flat on top, 1 : 3, 30 cm high (solid geometry). */
    @Test
    void aRidgeUnderARow() {
        Berm ridge = Berm.ofRow(10, 0.3, 2);
        double prism = 10 * 0.3 * (1 + 2.8) / 2;
        double ends = Math.PI * 0.3 / 3 * (0.25 + 0.5 * 1.4 + 1.96);
        assertThat(ridge.baseWidth()).isCloseTo(2.8, within(1e-9));
        assertThat(ridge.settled()).isCloseTo(prism + ends, within(1e-9));
        assertThat(ridge.placed()).isCloseTo((prism + ends) / 0.85, within(1e-9));
        assertThat(Berm.ofRow(10, 0.3, 4).baseWidth())
                .as("the crown's width across the foot")
                .isCloseTo(4, within(1e-9));
    }
}
