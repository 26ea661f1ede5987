package idlebough.station;

import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.orchard.Orchard;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.Feature;
import idlebough.core.site.Footing;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.site.SoilPit;
import idlebough.core.site.TestHole;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import idlebough.core.variety.Choice;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Weather;
import idlebough.core.winter.WeatherGenerator;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A made-up large orchard on which speed is measured: two thousand trees of twelve varieties in rows, eight pits, a
 * dozen
 * features, thirty winters. The same each time.
 */
public final class MadeGrove {
    public static final double LATITUDE = 44;
    private static final LocalDate PLANTING = LocalDate.of(2027, 3, 20);
    private static final double IN_ROW = 4;
    private static final double BETWEEN_ROWS = 5.5;
    private static final int PER_ROW = 50;
    private static final double RIM = 6;
    private static final List<String> KINDS = List.of(
            "apple-cox/mm106",
            "apple-golden/m26",
            "apple-james-grieve/mm106",
            "apple-bramley/mm106",
            "pear-comice/ohf87",
            "pear-packham/ohf87",
            "plum-stanley/st-julien",
            "plum-jefferson/st-julien",
            "cherry-stella/colt",
            "cherry-bing/colt",
            "peach-redhaven/st-julien",
            "apricot-moorpark/st-julien");

    private MadeGrove() {}

    public static Orchard of(int trees) {
        List<Choice> choices = new ArrayList<>();
        for (String kind : KINDS) {
            String[] part = kind.split("/");
            choices.add(new Choice(part[0], part[0], Optional.of(part[1]), trees / KINDS.size() + 1));
        }
        LocalDate first = LocalDate.of(1995, 7, 1);
        return Orchard.empty(LATITUDE, PLANTING)
                .with(site(trees))
                .with(new Weather(
                        new StationRecord(new WeatherGenerator(
                                        77,
                                        new WeatherGenerator.Year(9.6, 11, 20, 11),
                                        new WeatherGenerator.Anomalies(0.7, 3.2, 0.7, 0.3))
                                .days(first, first.plusYears(30))),
                        false))
                .withChoices(choices)
                .withTrees(trees(trees));
    }

    /** The width of the plot, m, and its depth. */
    private static double wide() {
        return 2 * RIM + PER_ROW * IN_ROW;
    }

    private static double deep(int trees) {
        return 2 * RIM + Math.ceil((double) trees / PER_ROW) * BETWEEN_ROWS;
    }

    private static Site site(int trees) {
        Random random = new Random(8);
        List<SoilPit> pits = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            pits.add(pit(
                    "pit" + i,
                    String.valueOf(i + 1),
                    new Point(wide() * (i % 4 + 0.5) / 4, deep(trees) * (i / 4 + 0.5) / 2),
                    6 + 30 * random.nextDouble(),
                    5.8 + 2 * random.nextDouble(),
                    List.of(Texture.LOAM, Texture.CLAY_LOAM, Texture.SANDY_LOAM, Texture.CLAY)
                            .get(i % 4)));
        }
        return Site.empty(LATITUDE)
                .with(Plot.rectangle(wide(), deep(trees)))
                .withPits(pits)
                .withFeatures(features(deep(trees)));
    }

    private static SoilPit pit(String id, String label, Point place, double fallPerHour, double ph, Texture texture) {
        List<DrainageTest.Reading> readings = List.of(
                new DrainageTest.Reading(0, 0.05),
                new DrainageTest.Reading(60, 0.05 + fallPerHour / 1000),
                new DrainageTest.Reading(120, 0.05 + 2 * fallPerHour / 1000));
        return new SoilPit(
                id,
                label,
                place,
                texture,
                0.3,
                List.of(new DrainageTest(new TestHole.Cylinder(0.3), 0.4, true, false, readings)),
                SoilPit.Profile.UNSEEN,
                new SoilPit.Analysis(Optional.of(ph), Optional.empty(), Optional.empty(), false));
    }

    private static List<Feature> features(double deep) {
        double w = wide();
        return List.of(
                feature("house", Feature.Kind.BUILDING, box(20, -16, 14, 12), 6.5),
                feature("barn", Feature.Kind.BUILDING, box(w - 40, -20, 22, 14), 8),
                feature("shed", Feature.Kind.BUILDING, box(-9, 40, 6, 6), 3),
                feature("north", Feature.Kind.HEDGE, "0 " + (deep + 1) + ";" + w + " " + (deep + 1), 3),
                feature("west", Feature.Kind.HEDGE, "-1 0;-1 " + deep, 2.5),
                feature("fence", Feature.Kind.FENCE, "0 -1;" + w + " -1", 1.5),
                feature("wire", Feature.Kind.OVERHEAD, "30 -10;60 " + (deep + 10), 7),
                feature("main", Feature.Kind.BURIED, "0 60;" + w + " 75", 0),
                feature("pond", Feature.Kind.WET, box(w - 30, 10, 10, 8), 0),
                feature("oak", Feature.Kind.TREE, "-12 90", 16),
                feature("ash", Feature.Kind.TREE, w + 10 + " 120", 18),
                feature("path", Feature.Kind.PATH, w / 2 + " 0;" + w / 2 + " " + deep, 0));
    }

    private static String box(double x, double y, double wide, double deep) {
        return x + " " + y + ";" + (x + wide) + " " + y + ";" + (x + wide) + " " + (y + deep) + ";" + x + " "
                + (y + deep);
    }

    private static Feature feature(String id, Feature.Kind kind, String points, double height) {
        List<Point> places = new ArrayList<>();
        for (String point : points.split(";")) {
            String[] pair = point.split(" ");
            places.add(new Point(Double.parseDouble(pair[0]), Double.parseDouble(pair[1])));
        }
        return new Feature(
                id,
                kind,
                id,
                places,
                Feature.Size.of(
                        height == 0 ? null : height, null, kind == Feature.Kind.TREE ? Double.valueOf(9) : null, null),
                false,
                Optional.empty(),
                Optional.empty());
    }

    private static List<Tree> trees(int count) {
        List<Tree> trees = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int row = i / PER_ROW;
            int place = i % PER_ROW;
            String[] kind = KINDS.get((place + 5 * row) % KINDS.size()).split("/");
            trees.add(new Tree(
                    "tree" + i,
                    "R" + (row + 1) + "-" + (place + 1),
                    new Point(RIM + (place + 0.5) * IN_ROW, RIM + (row + 0.5) * BETWEEN_ROWS),
                    new Tree.Kind(kind[0], Optional.of(kind[1])),
                    new NurseryTree(Form.BARE, 0.45, 0.25, i % 3 == 0 ? Optional.empty() : Optional.of(0.13), 0.02),
                    Footing.GRADE,
                    Tree.Life.PLANNED,
                    Optional.of(kind[0])));
        }
        return trees;
    }

    /** The same tree elsewhere. */
    public static Tree moved(Tree tree, double x, double y) {
        return new Tree(
                tree.id(),
                tree.label(),
                new Point(x, y),
                tree.kind(),
                tree.nursery(),
                tree.footing(),
                tree.life(),
                tree.choice());
    }
}
