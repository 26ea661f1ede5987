package idlebough.core.orchard;

import idlebough.core.Shipped;
import idlebough.core.almanac.Gates;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Ways;
import idlebough.core.planting.PlantingWays;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.planting.Unions;
import idlebough.core.site.Feature;
import idlebough.core.site.Footing;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import idlebough.core.variety.BloomSeen;
import idlebough.core.variety.Choice;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Weather;
import idlebough.core.winter.WeatherGenerator;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Orchards by chance, and chance edits of them. The same seed gives the same. */
final class RandomOrchard {
    private static final List<String> VARIETIES = List.of(
            "apple-cox",
            "apple-golden",
            "apple-bramley",
            "pear-comice",
            "plum-stanley",
            "cherry-bing",
            "sour-montmorency",
            "peach-redhaven",
            "fig-brown-turkey");
    private static final LocalDate PLANTING = LocalDate.of(2027, 3, 20);
    private final Random random;
    private int made;

    RandomOrchard(long seed) {
        random = new Random(seed);
    }

    Orchard orchard(int trees) {
        List<Choice> choices = new ArrayList<>();
        for (String variety : VARIETIES) {
            choices.add(new Choice("c-" + variety, variety, stockFor(variety), 1 + random.nextInt(9)));
        }
        List<Tree> placed = new ArrayList<>();
        for (int i = 0; i < trees; i++) {
            placed.add(tree());
        }
        return Orchard.empty(44, PLANTING)
                .with(Site.empty(44)
                        .with(Plot.rectangle(80, 60))
                        .withPits(List.of(pit("p1", 20, 30), pit("p2", 60, 30)))
                        .withFeatures(List.of(house(), wire(20))))
                .with(weather(6))
                .withChoices(choices)
                .withTrees(placed);
    }

    private Weather weather(int years) {
        LocalDate first = LocalDate.of(2000, 7, 1);
        return new Weather(
                new StationRecord(new WeatherGenerator(
                                random.nextInt(),
                                new WeatherGenerator.Year(9, 9, 15, 11),
                                new WeatherGenerator.Anomalies(0.7, 3, 0.6, 0))
                        .days(first, first.plusYears(years))),
                random.nextInt(5) == 0);
    }

    private Feature house() {
        return new Feature(
                "house",
                Feature.Kind.BUILDING,
                "House",
                List.of(new Point(30, 62), new Point(45, 62), new Point(45, 72), new Point(30, 72)),
                Feature.Size.high(6.0),
                false,
                Optional.empty(),
                Optional.empty());
    }

    private Feature wire(double x) {
        return new Feature(
                "wire",
                Feature.Kind.OVERHEAD,
                "Line",
                List.of(new Point(x, -5), new Point(x + 10, 70)),
                Feature.Size.of(7.0, null, null, 3.0),
                false,
                Optional.empty(),
                Optional.empty());
    }

    private SoilPit pit(String id, double x, double y) {
        SoilPit made = Shipped.pit(
                4 + random.nextDouble() * 120,
                5 + random.nextDouble() * 3.5,
                Texture.values()[random.nextInt(Texture.values().length)]);
        return new SoilPit(
                id,
                id,
                new Point(x, y),
                made.texture(),
                0.3,
                made.tests(),
                random.nextBoolean() ? made.profile() : Shipped.panned(0.3 + random.nextDouble()),
                made.analysis());
    }

    private Optional<String> stockFor(String variety) {
        List<Rootstock> stocks =
                Catalogue.shipped().rootstocksFor(Shipped.variety(variety).crop());
        return random.nextInt(6) == 0
                ? Optional.empty()
                : Optional.of(stocks.get(random.nextInt(stocks.size())).key());
    }

    private Point place() {
        return new Point(random.nextDouble() * 84 - 2, random.nextDouble() * 64 - 2);
    }

    private NurseryTree nursery() {
        Form form = Form.values()[random.nextInt(3)];
        return new NurseryTree(
                form,
                0.3 + random.nextDouble() * 0.4,
                0.25,
                random.nextBoolean() ? Optional.empty() : Optional.of(0.12),
                0.02);
    }

    private Tree tree() {
        String variety = VARIETIES.get(random.nextInt(VARIETIES.size()));
        return new Tree(
                "t" + made,
                "T" + made++,
                place(),
                new Tree.Kind(
                        variety,
                        stockFor(variety),
                        random.nextInt(6) == 0 ? List.of(VARIETIES.get(random.nextInt(VARIETIES.size()))) : List.of()),
                nursery(),
                Footing.values()[random.nextInt(3) == 0 ? 2 : 0],
                random.nextInt(5) == 0
                        ? new Tree.Life(Tree.State.PLANTED, Optional.of(LocalDate.of(2024, 3, 1)))
                        : Tree.Life.PLANNED,
                random.nextInt(4) == 0 ? Optional.empty() : Optional.of("c-" + variety));
    }

    /** One edit such as a grower makes, of some part. */
    Orchard edit(Orchard orchard) {
        List<Tree> trees = new ArrayList<>(orchard.trees());
        int at = trees.isEmpty() ? -1 : random.nextInt(trees.size());
        Tree old = at < 0 ? tree() : trees.get(at);
        switch (random.nextInt(16)) {
            case 0, 1, 2, 3 ->
                trees.set(at, changed(old, place(), old.kind(), old.nursery(), old.footing(), old.life()));
            case 4 -> trees.add(tree());
            case 5 -> trees.remove(at);
            case 6 -> trees.set(at, changed(old, old.place(), tree().kind(), old.nursery(), old.footing(), old.life()));
            case 7 -> trees.set(at, changed(old, old.place(), old.kind(), nursery(), Footing.MOUND, old.life()));
            case 8 ->
                trees.set(
                        at,
                        changed(
                                old,
                                old.place(),
                                old.kind(),
                                old.nursery(),
                                old.footing(),
                                new Tree.Life(
                                        Tree.State.values()[random.nextInt(5)],
                                        Optional.of(PLANTING.minusMonths(random.nextInt(20))))));
            case 9 -> {
                return orchard.with(orchard.site()
                        .withPits(
                                List.of(pit("p1", 20, 30), orchard.site().pits().get(1))));
            }
            case 10 -> {
                return orchard.with(orchard.site().withFeatures(List.of(house(), wire(random.nextDouble() * 80))));
            }
            case 11 -> {
                return orchard.with(ways(orchard.ways(), old.id()));
            }
            case 12 -> {
                return orchard.with(new Orchard.Settings(
                        PLANTING.plusDays(random.nextInt(200)),
                        ChillModel.values()[random.nextInt(ChillModel.values().length)],
                        new Gates.Order(Optional.of(PLANTING.minusDays(random.nextInt(200))), Optional.empty())));
            }
            case 13 -> {
                return orchard.with(Catalogue.withChill(
                        Map.of(VARIETIES.get(random.nextInt(VARIETIES.size())), 20 + random.nextDouble() * 60)));
            }
            case 14 -> {
                return orchard.with(observations(orchard.observations(), old.id()));
            }
            default -> {
                return random.nextInt(3) == 0
                        ? orchard.with(weather(5 + random.nextInt(4)))
                        : orchard.with(orchard.site().with(Plot.rectangle(70 + random.nextInt(20), 60)));
            }
        }
        return orchard.withTrees(trees);
    }

    private static Tree changed(
            Tree tree, Point place, Tree.Kind kind, NurseryTree nursery, Footing footing, Tree.Life life) {
        return new Tree(tree.id(), tree.label(), place, kind, nursery, footing, life, tree.choice());
    }

    private Ways ways(Ways ways, String tree) {
        var way = PlantingWays.ALL.get(random.nextInt(PlantingWays.ALL.size()));
        String school = way.choices().get(random.nextInt(way.choices().size())).key();
        if (random.nextBoolean()) {
            Map<String, String> all = new HashMap<>(ways.ofOrchard());
            all.put(way.key(), school);
            return new Ways(all, ways.ofTrees());
        }
        Map<String, Map<String, String>> own = new HashMap<>(ways.ofTrees());
        own.put(tree, Map.of(way.key(), school));
        return new Ways(ways.ofOrchard(), own);
    }

    private Orchard.Observations observations(Orchard.Observations seen, String tree) {
        List<UnionMeasure> unions = new ArrayList<>(seen.unions().of(tree));
        unions.add(new UnionMeasure(
                tree,
                PLANTING.plusWeeks(unions.size() * 8L),
                0.05 + random.nextDouble() * 0.2,
                unions.isEmpty() ? UnionMeasure.Kind.AS_PLANTED : UnionMeasure.Kind.CHECK));
        List<BloomSeen> blooms = new ArrayList<>(seen.blooms());
        blooms.add(new BloomSeen(VARIETIES.get(0), LocalDate.of(2003, 4, 1 + random.nextInt(28))));
        return new Orchard.Observations(
                blooms,
                new Unions(unions),
                seen.notes() + 1,
                Map.of("peg", PLANTING.minusDays(random.nextInt(30))),
                seen.pegs());
    }
}
