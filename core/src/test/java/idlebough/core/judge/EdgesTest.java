package idlebough.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.daybook.BesideCheck;
import idlebough.core.daybook.UnionCheck;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.irrigation.PlantingClimate;
import idlebough.core.irrigation.WaterRules;
import idlebough.core.layout.LayoutRules;
import idlebough.core.layout.PegCheck;
import idlebough.core.layout.PegChecks;
import idlebough.core.layout.PlannedTree;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.planting.Dormancy;
import idlebough.core.planting.PlantingRules;
import idlebough.core.planting.PlantingSeason;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingWays;
import idlebough.core.planting.Settling;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.pollination.Flowering;
import idlebough.core.pollination.PartnerRules;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.rootstock.RootstockRules;
import idlebough.core.rootstock.TrainingSystem;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.ColdAir;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.Footing;
import idlebough.core.site.Ground;
import idlebough.core.site.GroundRules;
import idlebough.core.site.Microclimate;
import idlebough.core.site.PitZones;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SiteRules;
import idlebough.core.site.SoilPit;
import idlebough.core.site.SunHours;
import idlebough.core.site.SunYear;
import idlebough.core.site.TestHole;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import idlebough.core.variety.Evidence;
import idlebough.core.variety.Pot;
import idlebough.core.variety.VarietySprings;
import idlebough.core.variety.VarietyVerdict;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.GrowingSeason;
import idlebough.core.winter.LiveRules;
import idlebough.core.winter.SpringHours;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WeatherGenerator;
import idlebough.core.winter.WinterLedger;
import idlebough.core.winter.WinterRules;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every rule of the program clearly sound, at its edge and clearly beyond, with expectations from outside the code:
 * {@code edges/edges.csv}.
 */
class EdgesTest {
    private static final Display METRIC = new Display(UnitSystem.METRIC, Locale.UK);
    private static final LocalDate DAY = LocalDate.of(2027, 5, 1);
    private static final double SPREAD = 4;
    private static final double BAND = 0.02;
    private static final PlantingSection.Soil LOAM = PlantingSection.Soil.untested(Texture.LOAM);

    static Stream<Map<String, String>> rows() {
        return Vectors.table("/edges/edges.csv").stream();
    }

    @ParameterizedTest
    @MethodSource("rows")
    void standsAsTheTradeSays(Map<String, String> row) {
        String rule = row.get("rule");
        List<Finding> said = find(rule, Double.parseDouble(row.get("value")), row.get("with")).stream()
                .filter(finding -> finding.rule().id().equals(rule))
                .toList();
        if (row.get("standing").equals("NONE")) {
            assertThat(said).isEmpty();
        } else {
            assertThat(said).isNotEmpty().allSatisfy(finding -> {
                assertThat(finding.standing().name()).isEqualTo(row.get("standing"));
                assertThat(finding.headline().in(METRIC)).isNotBlank().doesNotContain("{");
                assertThat(finding.reason().in(METRIC)).isNotBlank().doesNotContain("{");
                assertThat(finding.source().citation()).isNotBlank().doesNotContain(".md");
            });
        }
    }

    /**
     * Every sentence belongs to a rule of the table, and every rule that can be in a standing has its sentence tried.
     */
    @Test
    void noRuleIsForgotten() {
        Set<String> tried = rows().map(row -> row.get("rule")).collect(Collectors.toCollection(TreeSet::new));
        Set<String> written = new TreeSet<>();
        for (Room room : Room.values()) {
            Sentences.of(room.key()).keys().stream()
                    .filter(key -> key.contains(".reason"))
                    .forEach(key -> written.add(room.key() + "." + key.substring(0, key.indexOf('.'))));
        }
        assertThat(tried).containsAll(written);
        written.forEach(rule -> assertThat(rows().filter(row -> row.get("rule").equals(rule)))
                .as("at least on both sides: %s", rule)
                .hasSizeGreaterThanOrEqualTo(rule.equals("winter.synthetic") ? 1 : 2));
    }

    private static List<Finding> find(String rule, double value, String with) {
        return switch (rule.substring(0, rule.indexOf('.'))) {
            case "site" -> site(rule, value, with);
            case "winter" -> winter(rule, value);
            case "variety" -> variety(rule, value, with);
            case "pollination" -> pollination(rule, value, with);
            case "rootstock" -> rootstock(rule, value, with);
            case "layout" -> layout(rule, value, with);
            case "irrigation" -> irrigation(rule, value, with);
            case "planting" -> planting(rule, value, with);
            case "daybook" -> daybook(rule, value, with);
            default -> List.of();
        };
    }

    private static List<Finding> daybook(String rule, double value, String with) {
        LocalDate planted = LocalDate.of(2027, 3, 10);
        return switch (rule) {
            case "daybook.tie" -> {
                String[] of = with.split("/");
                yield BesideCheck.judge(
                        "t",
                        "T",
                        section(0.13, 0.05, LOAM, of[1], Map.of()),
                        planted,
                        List.of(new UnionMeasure(
                                "t",
                                planted.plusDays(Math.round(365.25 * value)),
                                0.15,
                                UnionMeasure.Kind.CHECK,
                                new UnionMeasure.Beside(
                                        UnionMeasure.Tie.valueOf(of[0]), UnionMeasure.Mulch.NOT_SEEN))));
            }
            case "daybook.mulch" ->
                BesideCheck.judge(
                        "t",
                        "T",
                        section(0.13, 0.05, LOAM, "m9", Map.of("planting.ring", with.split("/")[1])),
                        planted,
                        List.of(new UnionMeasure(
                                "t",
                                planted.plusWeeks(8),
                                value,
                                UnionMeasure.Kind.CHECK,
                                new UnionMeasure.Beside(
                                        UnionMeasure.Tie.NOT_SEEN, UnionMeasure.Mulch.valueOf(with.split("/")[0])))));
            default ->
                new UnionCheck(8, value, 0.1275, 0.12, 0.135)
                        .judge("t", "T", with.isEmpty() ? 0.10 : Double.parseDouble(with));
        };
    }

    private static SoilPit seen(SoilPit.Profile profile, List<DrainageTest> tests) {
        return new SoilPit("p", "7", new Point(1, 1), Texture.LOAM, 0.3, tests, profile, SoilPit.Analysis.NONE);
    }

    private static SoilPit.Profile profile(Optional<Double> mottles, Optional<Double> years, boolean died) {
        return new SoilPit.Profile(
                List.of(),
                Optional.empty(),
                mottles,
                Optional.empty(),
                Optional.empty(),
                false,
                new SoilPit.History(Optional.of(idlebough.core.crop.Crop.Kind.POME), years, died));
    }

    private static SoilPit salty(double salt) {
        SoilPit plain = Shipped.untested(Texture.LOAM, 0.3);
        return new SoilPit(
                plain.id(),
                plain.label(),
                plain.place(),
                plain.texture(),
                plain.topsoil(),
                List.of(),
                plain.profile(),
                new SoilPit.Analysis(Optional.empty(), Optional.of(salt), Optional.empty(), false));
    }

    private static List<Finding> site(String rule, double value, String with) {
        String apple = Set.of("apple", "peach", "pear", "apricot").contains(with) ? with : "apple";
        var crop = Shipped.crop(apple);
        return switch (rule) {
            case "site.no-test" -> {
                List<DrainageTest.Reading> readings = new ArrayList<>();
                for (int i = 0; i < value; i++) {
                    readings.add(new DrainageTest.Reading(60 * i, 0.05 + 0.05 * i));
                }
                yield List.of(SiteRules.drainage(
                        seen(
                                SoilPit.Profile.UNSEEN,
                                List.of(new DrainageTest(new TestHole.Cylinder(0.3), 0.4, true, false, readings))),
                        crop));
            }
            case "site.water-table" ->
                List.of(SiteRules.drainage(
                        seen(
                                SoilPit.Profile.UNSEEN,
                                List.of(new DrainageTest(new TestHole.Cylinder(0.3), 0.4, true, value > 0, List.of()))),
                        crop));
            case "site.wet-ground" ->
                SiteRules.wetGround(
                                seen(
                                        profile(Optional.of(value).filter(down -> down != 0), Optional.empty(), false),
                                        List.of()),
                                crop,
                                with.endsWith("raised") ? Footing.MOUND : Footing.GRADE)
                        .stream()
                        .toList();
            case "site.pan" ->
                SiteRules.pan(seen(Shipped.panned(value), List.of()), crop, Footing.GRADE).stream()
                        .toList();
            case "site.salt" -> SiteRules.salt(salty(value), crop).stream().toList();
            case "site.replant" ->
                SiteRules.replant(
                                seen(profile(Optional.empty(), Optional.of(value), with.equals("died")), List.of()),
                                crop)
                        .stream()
                        .toList();
            case "site.ph" ->
                SiteRules.ph(Shipped.pit(40, value, Texture.LOAM), crop).stream()
                        .toList();
            case "site.sun" -> {
                SunYear year = SunYear.of(45);
                yield List.of(GroundRules.sun(
                        Subject.tree("t"),
                        "T",
                        Catalogue.shipped().varieties().stream()
                                .filter(each -> each.key().equals(with)
                                        || each.crop().key().equals(with))
                                .findFirst()
                                .orElseThrow(),
                        new SunHours(
                                Collections.nCopies(12, value),
                                Collections.nCopies(12, Math.max(value, 12)),
                                Collections.nCopies(12, with.equals("fig") ? value - 3 : 1.0),
                                year)));
            }
            case "site.cold-pocket" ->
                GroundRules.cold(
                                Subject.tree("t"),
                                "T",
                                crop,
                                new Point(0.5, 0.5),
                                new ColdAir(Ground.LEVEL, 0, 0, 1, 1, 1, new double[] {value}, List.of()))
                        .stream()
                        .toList();
            case "site.pit-missing" ->
                GroundRules.pits(new PitZones(List.of(), Optional.of(new Point(0, 0)), value)).stream()
                        .toList();
            default -> List.of(SiteRules.drainage(Shipped.pit(value), crop));
        };
    }

    private static WinterLedger ledger(double mean, int years, LocalDate gapFrom, int gap) {
        LocalDate first = LocalDate.of(1995, 7, 1);
        List<DailyExtremes> days = new WeatherGenerator(
                        5, new WeatherGenerator.Year(mean, 8, 15, 11), new WeatherGenerator.Anomalies(0.7, 3, 0.6, 0))
                .days(first, first.plusYears(years)).stream()
                        .filter(day ->
                                day.date().isBefore(gapFrom) || !day.date().isBefore(gapFrom.plusDays(gap)))
                        .toList();
        return WinterLedger.of(new StationRecord(days), 45);
    }

    private static WinterLedger ledger(double mean, int years) {
        return ledger(mean, years, LocalDate.of(1900, 1, 1), 0);
    }

    private static List<Finding> winter(String rule, double value) {
        Instant now = Instant.parse("2026-06-10T12:00:00Z");
        return switch (rule) {
            case "winter.synthetic" -> List.of(WinterRules.synthetic());
            case "winter.left-out" -> WinterRules.judge(ledger(9, 8, LocalDate.of(1999, 1, 5), (int) value));
            case "winter.below-zero" ->
                WinterRules.belowZero(ledger(value, 8), ChillModel.UTAH).stream()
                        .toList();
            case "winter.station-silent" ->
                LiveRules.judge("Mast", now.minusSeconds(Math.round(3600 * value)), now, 0, 0);
            case "winter.station-stuck" -> LiveRules.judge("Mast", now, now, (long) value, 0);
            case "winter.station-clock" -> LiveRules.judge("Mast", now, now, 0, (long) value);
            default ->
                WinterRules.judge(value == 0 ? WinterLedger.of(StationRecord.EMPTY, 45) : ledger(9, (int) value));
        };
    }

    private static List<Finding> variety(String rule, double value, String with) {
        if (Set.of("variety.drainage", "variety.ph", "variety.salt").contains(rule)) {
            SoilPit pit = rule.equals("variety.ph")
                    ? Shipped.pit(40, value, Texture.LOAM)
                    : rule.equals("variety.salt") ? salty(value) : Shipped.pit(value);
            return VarietyVerdict.of(
                            Shipped.variety(with), Evidence.of(WinterLedger.of(StationRecord.EMPTY, 45), List.of(pit)))
                    .findings();
        }
        switch (rule) {
            case "variety.season", "variety.heat" -> {
                boolean season = rule.equals("variety.season");
                GrowingSeason growing = new GrowingSeason(season ? value : 300, season ? 30 : value);
                return evidence(with, Optional.of(growing), Optional.empty(), Optional.empty());
            }
            case "variety.sun" -> {
                return evidence(
                        with, Optional.empty(), Optional.of(new Evidence.Sun(value, value / 2, 0.3)), Optional.empty());
            }
            case "variety.frost-at-bloom" -> {
                return evidence(with, Optional.empty(), Optional.empty(), frostySprings((int) value));
            }
            case "variety.ills" -> {
                boolean plum = with.startsWith("plum");
                Evidence.Air air = new Evidence.Air(
                        plum ? Optional.empty() : Optional.of(value / 100),
                        plum ? Optional.of(value) : Optional.empty());
                return VarietyVerdict.of(
                                Shipped.variety(with),
                                new Evidence(
                                        ledger(9, 2),
                                        Optional.empty(),
                                        List.of(),
                                        Optional.empty(),
                                        List.of(),
                                        Optional.empty(),
                                        air))
                        .findings();
            }
            case "variety.frozen" -> {
                // The coldest month of a made year lies eight degrees under its mean.
                return VarietyVerdict.of(
                                Shipped.variety("apple-haralson"), Evidence.of(ledger(value + 8, 10), List.of()))
                        .findings();
            }
            case "variety.pot" -> {
                return Pot.of(Shipped.variety(with).crop()).stream()
                        .flatMap(pot -> pot.judge(Shipped.variety(with), ledger(value, 10)).stream())
                        .toList();
            }
            case "variety.setting" -> {
                return VarietyVerdict.of(
                                Shipped.variety(with),
                                new Evidence(
                                        ledger(9, 3),
                                        Optional.empty(),
                                        alike(value),
                                        Optional.empty(),
                                        List.of(),
                                        Optional.empty(),
                                        Evidence.Air.UNKNOWN))
                        .findings();
            }
            case "variety.record" -> {
                Variety needing = needing(value, ledger(9, 3));
                return VarietyVerdict.of(needing, Evidence.of(ledger(9, 3), List.of()))
                        .findings();
            }
            default -> {}
        }
        WinterLedger hill = ledger(9, 25);
        Variety cox = Shipped.variety(with.equals("lemon") ? "lemon-lisbon" : "apple-cox");
        if (rule.equals("variety.cold")) {
            double coldest = Arrays.stream(hill.lowest()).min().orElseThrow();
            Variety limited = new Variety(
                    cox.key(),
                    cox.crop(),
                    cox.name(),
                    cox.chill(),
                    cox.blossom(),
                    new Variety.Habit(1, cox.habit().ripening(), coldest - value),
                    cox.ills(),
                    cox.uses(),
                    cox.origin(),
                    cox.own());
            return VarietyVerdict.of(limited, Evidence.of(hill, List.of())).findings();
        }
        // A need that just so many of the twenty-five winters satisfy, in portions, sure to a twentieth.
        double[] totals = hill.totals(ChillModel.PORTIONS).clone();
        Arrays.sort(totals);
        double need = value == 25 ? totals[0] * 0.9 : (totals[24 - (int) value] + totals[25 - (int) value]) / 2;
        Variety asked = new Variety(
                cox.key(),
                cox.crop(),
                cox.name(),
                Variety.ChillNeed.of(need, ChillModel.PORTIONS, Certainty.SURE, true),
                cox.blossom(),
                cox.habit(),
                cox.ills(),
                cox.uses(),
                cox.origin(),
                cox.own());
        return VarietyVerdict.of(asked, Evidence.of(hill, List.of())).findings();
    }

    private static List<Finding> evidence(
            String variety,
            Optional<GrowingSeason> growing,
            Optional<Evidence.Sun> sun,
            Optional<VarietySprings> springs) {
        WinterLedger none = WinterLedger.of(StationRecord.EMPTY, 45);
        return VarietyVerdict.of(
                        Shipped.variety(variety),
                        new Evidence(none, springs, List.of(), growing, List.of(), sun, Evidence.Air.UNKNOWN))
                .findings();
    }

    /** A need, in portions, of so many times the mean of the winters. */
    private static Variety needing(double times, WinterLedger winters) {
        double mean =
                Arrays.stream(winters.totals(ChillModel.PORTIONS)).average().orElseThrow();
        Variety cox = Shipped.variety("apple-cox");
        return new Variety(
                cox.key(),
                cox.crop(),
                cox.name(),
                Variety.ChillNeed.of(times * mean, ChillModel.PORTIONS, Certainty.FAIR, false),
                cox.blossom(),
                cox.habit(),
                cox.ills(),
                cox.uses(),
                cox.origin(),
                cox.own());
    }

    /** Ten springs whose every day comes to so many °C. */
    private static List<SpringHours> alike(double warmest) {
        LocalDate from = LocalDate.of(1990, 11, 1);
        List<DailyExtremes> days = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(from.plusYears(10)); day = day.plusDays(1)) {
            days.add(DailyExtremes.measured(day, warmest - 11, warmest));
        }
        return SpringHours.of(new StationRecord(days), 34);
    }

    /** Twenty-five springs alike, in so many of which a night of −6 °C falls on the day of full bloom. */
    private static Optional<VarietySprings> frostySprings(int frosty) {
        LocalDate from = LocalDate.of(1990, 11, 1);
        List<DailyExtremes> days = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(from.plusYears(25)); day = day.plusDays(1)) {
            boolean cold = day.getMonthValue() >= 11 || day.getMonthValue() <= 3;
            days.add(DailyExtremes.measured(day, cold ? 1 : 5, cold ? 8 : 18));
        }
        Variety cox = Shipped.variety("apple-cox");
        VarietySprings calm = VarietySprings.of(cox, SpringHours.of(new StationRecord(days), 45), List.of())
                .orElseThrow();
        Set<LocalDate> nights = calm.blooms().stream()
                .limit(frosty)
                .map(bloom -> bloom.full().orElseThrow())
                .collect(Collectors.toSet());
        days.replaceAll(
                day -> nights.contains(day.date()) ? DailyExtremes.measured(day.date(), -6, day.maximum()) : day);
        return VarietySprings.of(cox, SpringHours.of(new StationRecord(days), 45), List.of());
    }

    private static Flowering flowering(String id, String variety, double x) {
        return new Flowering(Subject.tree(id), id, Shipped.variety(variety), Optional.of(new Point(x, 0)));
    }

    private static List<Finding> pollination(String rule, double value, String with) {
        if (rule.equals("pollination.share")) {
            return block((int) value, Integer.parseInt(with));
        }
        List<Flowering> trees = new ArrayList<>();
        if (rule.equals("pollination.caprifig")) {
            trees.add(flowering("t", with, value));
        } else if (rule.equals("pollination.branch")) {
            trees.add(new Flowering(
                    Subject.tree("t"), "t", Shipped.variety("apple-cox"), Optional.of(new Point(0, 0)), 0.8, true));
            trees.add(flowering("p", with, value));
        } else if (rule.equals("pollination.triploid")) {
            trees.add(flowering("t", "apple-bramley", 0));
            List<String> partners = List.of("apple-cox", "apple-james-grieve");
            for (int i = 0; i < value; i++) {
                trees.add(flowering("p" + i, partners.get(i), 5 + i));
            }
        } else {
            trees.add(flowering("t", "apple-cox", 0));
            trees.add(flowering("p", with, value));
        }
        return PartnerRules.judge(PartnerWeb.of(trees).around(trees.get(0))).stream()
                .toList();
    }

    /** So many trees in a row, a metre apart, and donors evenly among them. */
    private static List<Finding> block(int trees, int donors) {
        Orchard orchard = Orchard.empty(45, DAY);
        List<Tree> all = new ArrayList<>();
        for (int i = 0; i < trees + donors; i++) {
            boolean donor = i < donors;
            all.add(new Tree(
                    "t" + i,
                    "T" + i,
                    new Point(donor ? (i + 0.5) * trees / donors : i - donors, donor ? 1 : 0),
                    new Tree.Kind(donor ? "apple-james-grieve" : "apple-golden", Optional.of("mm106")),
                    new NurseryTree(Form.BARE, 0.4, 0.25, Optional.empty(), 0.02),
                    Footing.GRADE,
                    Tree.Life.PLANNED,
                    Optional.empty()));
        }
        return Evaluation.of(orchard.withTrees(all)).partners().judged().all().stream()
                .filter(finding -> finding.subject().id().equals("apple-golden"))
                .toList();
    }

    private static List<Finding> rootstock(String rule, double value, String with) {
        RootstockRules rules = new RootstockRules(Catalogue.shipped());
        switch (rule) {
            case "rootstock.none-chosen" -> {
                return rules.judge(
                        "c",
                        Shipped.variety("apple-cox"),
                        with.isEmpty() ? Optional.empty() : Optional.of(Shipped.stock(with)),
                        List.of(),
                        OptionalDouble.empty());
            }
            case "rootstock.misfit" -> {
                String[] pair = with.split("/");
                return rules.judge(
                        "c",
                        Shipped.variety(pair[0]),
                        Optional.of(Shipped.stock(pair[1])),
                        List.of(),
                        OptionalDouble.empty());
            }
            case "rootstock.drainage", "rootstock.mound", "rootstock.no-drain" -> {
                String[] tree = with.split("/");
                return rules.drainage(
                        new RootstockRules.Rooted(
                                Subject.tree("t"),
                                "T",
                                Shipped.variety(tree[0]),
                                Optional.of(Shipped.stock(tree[1])),
                                tree.length > 2 ? Footing.valueOf(tree[2]) : Footing.GRADE,
                                Optional.of("c")),
                        Shipped.pit(value));
            }
            case "rootstock.training" -> {
                String[] trained = with.split("/");
                Rootstock stock = Shipped.stock(trained[0]);
                assertThat(stock.factor()).isEqualTo(value);
                return List.of(RootstockRules.training(
                        "c",
                        Shipped.variety("apple-cox"),
                        stock,
                        TrainingSystem.named(trained[1]).orElseThrow()));
            }
            case "rootstock.replant" -> {
                Rootstock known = Shipped.stock(with);
                Rootstock.Traits traits = known.traits();
                return rules.judge(
                        "c",
                        Shipped.variety("apple-cox"),
                        Optional.of(new Rootstock(
                                known.key(),
                                known.name(),
                                known.crops(),
                                known.vigour(),
                                known.support(),
                                known.tolerance(),
                                known.union(),
                                new Rootstock.Traits(
                                        traits.coldCelsius(),
                                        traits.life(),
                                        traits.ills(),
                                        traits.suckers(),
                                        traits.anchorage(),
                                        traits.roots(),
                                        Optional.of((int) value)),
                                known.told())),
                        List.of(seen(profile(Optional.empty(), Optional.of(1.0), true), List.of())),
                        OptionalDouble.empty());
            }
            case "rootstock.ills" -> {
                return RootstockRules.ills(
                                "c", Shipped.variety("apple-cox"), Shipped.stock(with), Optional.of(value / 100))
                        .stream()
                        .toList();
            }
            case "rootstock.cold" -> {
                return rules.judge(
                        "c",
                        Shipped.variety("pear-comice"),
                        Optional.of(Shipped.stock(with)),
                        List.of(),
                        OptionalDouble.of(value));
            }
            default -> {}
        }
        SoilPit limy = Shipped.pit(40, value, Texture.LOAM);
        SoilPit pit = switch (rule) {
            case "rootstock.salt" -> salty(value);
            // Down to a pan at that depth a loam holds so much.
            case "rootstock.drought" ->
                seen(Shipped.panned(value / Texture.LOAM.traits().waterHeld()), List.of());
            default -> limy;
        };
        return rules.judge(
                "c",
                Shipped.variety(with.equals("m9") ? "apple-cox" : "pear-comice"),
                Optional.of(Shipped.stock(with)),
                List.of(pit),
                OptionalDouble.empty());
    }

    private static PlannedTree planned(String id, double x) {
        return new PlannedTree(
                Subject.tree(id),
                id,
                Shipped.variety("apple-cox"),
                new Point(x, 50),
                new TreeSize(SPREAD, 4),
                0.3,
                false,
                0,
                0);
    }

    private static List<Finding> layout(String rule, double value, String with) {
        Plot plot = Plot.rectangle(100, 100);
        return switch (rule) {
            case "layout.crowded" -> List.of(LayoutRules.crowded(planned("t", 50), planned("o", 50 + value)));
            case "layout.filler" ->
                LayoutRules.filler(planned("t", 50), planned("o", 50 + value), Optional.of(Shipped.stock(with)))
                        .stream()
                        .toList();
            case "layout.peg-check" ->
                PegChecks.judge(
                        List.of(new PegCheck("c", "t", "o", 5 + value)),
                        Map.of("t", planned("t", 50), "o", planned("o", 55)));
            case "layout.boundary", "layout.off-plot" -> List.of(LayoutRules.boundary(plot, planned("t", value)));
            case "layout.partner-reach" -> {
                List<Flowering> two = List.of(flowering("t", "apple-cox", 0), flowering("p", "apple-golden", value));
                yield LayoutRules.reach(planned("t", 0), PartnerWeb.of(two).around(two.get(0))).stream()
                        .toList();
            }
            case "layout.cold-place" ->
                LayoutRules.coldPlace(
                                planned("t", 50),
                                Shipped.variety("apple-cox").coldCelsius() + value,
                                new Microclimate(
                                        with.equals("plain")
                                                ? List.of()
                                                : List.of(new Microclimate.Part("cold air stands here", -2, 1))))
                        .stream()
                        .toList();
            case "layout.overhead" -> clearances(Feature.Kind.OVERHEAD, Feature.Size.USUAL, value);
            default ->
                clearances(
                        switch (with) {
                            case "buried" -> Feature.Kind.BURIED;
                            case "building" -> Feature.Kind.BUILDING;
                            case "wet" -> Feature.Kind.WET;
                            case "drain-field" -> Feature.Kind.DRAIN_FIELD;
                            case "lane", "path" -> Feature.Kind.PATH;
                            default -> Feature.Kind.WALL;
                        },
                        with.equals("lane") ? Feature.Size.of(null, 3.0, null, null) : Feature.Size.USUAL,
                        value);
        };
    }

    /** A feature along x = 50 and beyond, a tree so far before it. */
    private static List<Finding> clearances(Feature.Kind kind, Feature.Size size, double off) {
        List<Point> points = kind.shape() == Feature.Shape.LINE
                ? List.of(new Point(50, 0), new Point(50, 100))
                : List.of(new Point(50, 0), new Point(50, 100), new Point(70, 100), new Point(70, 0));
        Feature feature = new Feature("f", kind, "", points, size, false, Optional.empty(), Optional.empty());
        return LayoutRules.clearances(planned("t", 50 - off), new FeatureIndex(List.of(feature)));
    }

    private static List<Finding> irrigation(String rule, double value, String with) {
        boolean ball = rule.equals("irrigation.ball-dry");
        FirstSeason season = FirstSeason.of(new FirstSeason.Setting(
                DAY,
                ball ? value : 0,
                ball ? Optional.empty() : Optional.of(Shipped.pit(value)),
                new PlantingClimate(with.equals("cool") ? 8 : 24, 6)));
        return WaterRules.judge("t", "T", "apple", season, PlantingWays.MULCH);
    }

    /** A section whose flare or union ends where it is wanted, with two centimetres of settling either way. */
    private static PlantingSection section(
            double union, double raise, PlantingSection.Soil soil, String stock, Map<String, String> ways) {
        NurseryTree tree =
                new NurseryTree(Form.BARE, 0.45, 0.25, union == 0 ? Optional.empty() : Optional.of(union), 0.02);
        PlantingSection.Setting setting = new PlantingSection.Setting(
                tree, Optional.of(Shipped.stock(stock)), soil, Footing.GRADE, ways, Optional.empty(), 45);
        Settling none = new Settling(0, 0, -BAND, 2);
        return new PlantingSection(
                setting, raise, new Settling(0, 0, 0, 2), none, new Settling(BAND, 0, 0, 2), 0.9, 0.25 - raise, false);
    }

    private static PlantingSection section(double union, double raise) {
        return section(union, raise, LOAM, "m9", Map.of());
    }

    private static List<Finding> planting(String rule, double value, String with) {
        return switch (rule) {
            case "planting.lift" -> lift(value);
            case "planting.bare-root-season" ->
                List.of(PlantingRules.season(
                        "t",
                        "T",
                        new Dormancy(MonthDay.of(11, 1), MonthDay.of(4, 10)),
                        LocalDate.of(2027, 4, 10).plusDays((long) value)));
            case "planting.as-planted", "planting.as-planted-height", "planting.as-planted-proud" -> {
                // The stock wants 10 cm, the union sits 10 cm above the flare, planned 3 cm proud.
                PlantingSection section = section(0.10, 0.03);
                double from = rule.equals("planting.as-planted") ? 0.13 : 0.10;
                yield PlantingRules.asPlanted("t", "T", section, from + value);
            }
            case "planting.season" ->
                List.of(PlantingRules.inSeason("t", "T", PlantingSeason.Kind.POT, (long) value, "then", List.of()));
            case "planting.soil-warm" ->
                PlantingRules.soilWarm("t", "T", PlantingSeason.Kind.TENDER, value, Double.parseDouble(with), List.of())
                        .stream()
                        .toList();
            case "planting.frost-ahead" ->
                PlantingRules.frostAhead("t", "T", PlantingSeason.Kind.AVOCADO, (long) value, List.of()).stream()
                        .toList();
            case "planting.delivery" -> arrived(Form.BARE, seen(with), 0, 0);
            case "planting.flare-in-pot" -> arrived(Form.CONTAINER, Arrival.Seen.NOTHING, value, 0);
            case "planting.waits" -> arrived(Form.BARE, seen(with), 0, (long) value);
            default -> PlantingRules.judge("t", "T", plannedSection(rule, value, with));
        };
    }

    /** “bark=DEAD” and the like; anything else saw nothing. */
    private static Arrival.Seen seen(String told) {
        String[] pair = told.split("=");
        Arrival.Seen none = Arrival.Seen.NOTHING;
        return new Arrival.Seen(
                pair[0].equals("label") ? Arrival.Label.valueOf(pair[1]) : none.label(),
                pair[0].equals("bark") ? Arrival.Bark.valueOf(pair[1]) : none.bark(),
                pair[0].equals("branches") ? Arrival.Branches.valueOf(pair[1]) : none.branches(),
                pair[0].equals("roots") ? Arrival.Roots.valueOf(pair[1]) : none.roots(),
                pair[0].equals("joint") ? Arrival.Joint.valueOf(pair[1]) : none.joint());
    }

    private static List<Finding> arrived(Form form, Arrival.Seen seen, double flare, long waits) {
        LocalDate day = LocalDate.of(2027, 3, 10);
        return PlantingRules.arrival(
                "t",
                "T",
                new NurseryTree(
                        form,
                        0.4,
                        0.3,
                        Optional.of(0.13),
                        0.02,
                        new Arrival(
                                Optional.of(day.minusDays(waits)),
                                Optional.empty(),
                                seen,
                                flare > 0 ? Optional.of(flare) : Optional.empty(),
                                Optional.empty(),
                                Optional.empty())),
                day);
    }

    /** A pot of 30 cm by 40 in a hole of the grower's own, in loam, or in clay that drains slowly. */
    private static PlantingSection hole(boolean slow, Tree.Hole hole, Footing footing, Map<String, String> ways) {
        return hole(slow ? Texture.CLAY : Texture.LOAM, slow, hole, footing, ways);
    }

    /** A pot so wide that is staked, in the calm or where storms come. */
    private static PlantingSection beside(double ball, String crop, Map<String, String> ways, boolean storms) {
        Map<String, String> all = new HashMap<>(ways);
        all.put("planting.stake", "always");
        return PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(Form.CONTAINER, ball, 0.3, Optional.of(0.13), 0.02),
                Optional.of(Shipped.stock("m26")),
                LOAM,
                new Tree.Ground(Footing.GRADE, Tree.Hole.PROPOSED),
                all,
                new PlantingSection.Around(storms ? Optional.of(250.0) : Optional.empty(), 1, Optional.empty()),
                45,
                new PlantingSection.Grown(crop, 4)));
    }

    private static PlantingSection hole(
            Texture texture, boolean slow, Tree.Hole hole, Footing footing, Map<String, String> ways) {
        return PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(Form.CONTAINER, 0.4, 0.3, Optional.of(0.13), 0.02),
                Optional.of(Shipped.stock("m26")),
                new PlantingSection.Soil(texture, slow, 0),
                new Tree.Ground(footing, hole),
                ways,
                new PlantingSection.Around(Optional.empty(), 1, Optional.empty()),
                45));
    }

    private static PlantingSection refilled(boolean slow, double below, Map<String, String> ways) {
        return hole(
                slow,
                new Tree.Hole(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(below)),
                Footing.GRADE,
                ways);
    }

    /** “slow”, “fast” or “mound”: what the ground is. */
    private static PlantingSection on(String ground, String way, String school) {
        return hole(
                !ground.equals("fast"),
                Tree.Hole.PROPOSED,
                ground.equals("mound") ? Footing.MOUND : Footing.GRADE,
                Map.of(way, school));
    }

    private static PlantingSection bound(String roots, String school) {
        boolean clonal = roots.equals("clonal");
        return PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(
                        Form.CONTAINER,
                        0.4,
                        0.3,
                        Optional.of(0.13),
                        0.02,
                        new Arrival(
                                Optional.empty(),
                                Optional.empty(),
                                seen("roots=" + (clonal ? "GOOD" : roots)),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty())),
                Optional.of(Shipped.stock(clonal ? "avocado-clonal" : "m26")),
                LOAM,
                Footing.GRADE,
                Map.of("planting.roots", school),
                Optional.empty(),
                45));
    }

    private static PlantingSection plannedSection(String rule, double value, String with) {
        return switch (rule) {
            case "planting.flare-high" ->
                with.equals("level")
                        ? section(0.13, value, LOAM, "avocado-clonal", Map.of())
                        : section(0.13, value, PlantingSection.Soil.untested(Texture.valueOf(with)), "m9", Map.of());
            case "planting.flare-level" -> section(0.13, value, LOAM, "avocado-clonal", Map.of());
            case "planting.flare-deep" -> section(0, value, LOAM, with, Map.of());
            case "planting.union-low" -> section(value - 0.02, 0.02);
            case "planting.union-high" -> section(value - 0.03, 0.03);
            case "planting.union-below-mulch" ->
                section(
                        0.13,
                        value - 0.13 + 0.08,
                        LOAM,
                        "m9",
                        Map.of("planting.ring", with.isEmpty() ? "close" : with));
            case "planting.union-not-measured" -> section(value, 0.03);
            case "planting.rich-fill" ->
                section(
                        0.13,
                        0.05,
                        new PlantingSection.Soil(Texture.CLAY, !with.equals("fast"), 0),
                        "m9",
                        Map.of("planting.mix", value == 0.5 ? "half" : value == 0.2 ? "fifth" : "third"));
            case "planting.below" -> refilled(false, value, Map.of());
            case "planting.bathtub" -> refilled(true, value, Map.of());
            case "planting.organic-below" -> refilled(false, value, Map.of("planting.mix", with));
            case "planting.v-shape" ->
                hole(
                        false,
                        new Tree.Hole(Optional.empty(), Optional.empty(), Optional.of(0.4 + value), Optional.empty()),
                        Footing.GRADE,
                        Map.of());
            case "planting.narrow" ->
                hole(
                        false,
                        new Tree.Hole(Optional.empty(), Optional.of(0.4 * value), Optional.empty(), Optional.empty()),
                        Footing.GRADE,
                        Map.of());
            case "planting.filled" -> {
                String[] of = with.split("/");
                yield hole(
                        Texture.valueOf(of[1]),
                        Texture.valueOf(of[1]).traits().heavy(),
                        Tree.Hole.PROPOSED.filledWith(Tree.Filled.valueOf(of[0])),
                        Footing.GRADE,
                        Map.of());
            }
            case "planting.stake-ball" -> beside(value, with, Map.of("planting.stake-place", with), false);
            case "planting.mulch-stem" -> hole(false, Tree.Hole.PROPOSED.clearOf(value), Footing.GRADE, Map.of());
            case "planting.mulch-thick" ->
                beside(
                        0.4,
                        with,
                        Map.of("planting.mulch", value < 0.09 ? "middle" : value < 0.12 ? "thick" : "deep"),
                        !with.equals("calm"));
            case "planting.sod-under" -> on(with, "planting.sod", "under");
            case "planting.basin-wet" -> on(with, "planting.basin", "ring");
            case "planting.walls" -> on(with.split("/")[0], "planting.tool", with.split("/")[1]);
            case "planting.mesh-wide" -> on("fast", "planting.mesh", with);
            case "planting.roots-bound" -> bound(with.split("/")[0], with.split("/")[1]);
            case "planting.slope-fall" ->
                section(0.13, 0.05, new PlantingSection.Soil(Texture.LOAM, false, value / 0.9), "m9", Map.of());
            default -> section(0.13, value);
        };
    }

    /** A container of potting mix of 0.9 kg a litre and a tree of 2 kg. */
    private static List<Finding> lift(double kilograms) {
        double litres = (kilograms - 2) / 0.9;
        double diameter = Math.cbrt(litres / 0.93 / 1000 * 12 / Math.PI / (1 + 0.85 + 0.85 * 0.85));
        NurseryTree tree = new NurseryTree(Form.CONTAINER, diameter, diameter, Optional.of(0.13), 0.02);
        return PlantingRules.judge(
                "t",
                "T",
                PlantingSection.of(new PlantingSection.Setting(
                        tree, Optional.of(Shipped.stock("m9")), LOAM, Footing.GRADE, Map.of(), Optional.empty(), 45)));
    }
}
