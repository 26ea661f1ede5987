package idlebough.core.layout;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Feature;
import idlebough.core.site.Point;
import idlebough.core.site.SunHours;
import idlebough.core.site.Terrain;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The shade that the planned trees throw in a year: on beds, on houses, on the neighbours' windows. */
public final class OrchardShade {
    private static final Set<Feature.Kind> ASKED =
            EnumSet.of(Feature.Kind.BEDS, Feature.Kind.BUILDING, Feature.Kind.WINDOW);
    /** In front of a wall its light is counted, m. */
    private static final double BEFORE_WALL = 0.5;

    private OrchardShade() {}

    /** Hours of sun on a feature without the planned trees, and with them. */
    public record Lost(Feature feature, double before, double after, double winterBefore, double winterAfter) {
        /** Hours a day in the months in leaf. */
        public double hours() {
            return before - after;
        }

        public Working working() {
            return Working.of("How {} a day comes about", Amount.of(after, Quantity.HOURS))
                    .step("without the planned trees {}", Amount.of(before, Quantity.HOURS))
                    .step("the trees take {} of it", Amount.of(hours(), Quantity.HOURS))
                    .step(
                            "in the bare months {} without them and {} with them",
                            Amount.of(winterBefore, Quantity.HOURS),
                            Amount.of(winterAfter, Quantity.HOURS))
                    .step("mean of places before every wall of a house, or in the middle of a bed and about it")
                    .sensitive("Most sensitive to the heights of the trees; pruned lower they take less.")
                    .from(SunHours.SOURCE);
        }
    }

    /**
     * The crowns as features that cast shade. A flat tree is as wide as it is deep.
     *
     * @param year after planting
     */
    public static List<Feature> crowns(Collection<PlannedTree> trees, double year) {
        return trees.stream()
                .map(tree -> {
                    var size = tree.after(year);
                    return new Feature(
                            tree.id(),
                            Feature.Kind.TREE,
                            tree.label(),
                            List.of(tree.place()),
                            Feature.Size.of(size.height(), null, size.depth(), null),
                            tree.variety().crop().evergreen(),
                            Optional.empty(),
                            Optional.empty());
                })
                .toList();
    }

    /** All that casts shade: what is drawn, and the trees in a year. */
    public static List<Feature> all(Terrain terrain, Collection<PlannedTree> trees, double year) {
        List<Feature> all = new ArrayList<>(terrain.site().features());
        all.addAll(crowns(trees, year));
        return all;
    }

    /** What the trees take from every bed, house and window, the most first. */
    public static List<Lost> lost(Terrain terrain, Collection<PlannedTree> trees, double year) {
        List<Feature> asked = terrain.site().features().stream()
                .filter(feature -> ASKED.contains(feature.kind()))
                .toList();
        List<Point> places = new ArrayList<>();
        List<Integer> ends = new ArrayList<>();
        asked.forEach(feature -> {
            places.addAll(places(feature));
            ends.add(places.size());
        });
        if (places.isEmpty()) {
            return List.of();
        }
        List<SunHours> before = terrain.sunAt(places);
        List<SunHours> after = terrain.sunAt(places, all(terrain, trees, year));
        List<Lost> lost = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < asked.size(); i++) {
            List<SunHours> without = before.subList(from, ends.get(i));
            List<SunHours> with = after.subList(from, ends.get(i));
            lost.add(new Lost(
                    asked.get(i),
                    without.stream().mapToDouble(SunHours::season).average().orElse(0),
                    with.stream().mapToDouble(SunHours::season).average().orElse(0),
                    without.stream().mapToDouble(SunHours::winter).average().orElse(0),
                    with.stream().mapToDouble(SunHours::winter).average().orElse(0)));
            from = ends.get(i);
        }
        lost.sort((a, b) -> Double.compare(b.hours(), a.hours()));
        return lost;
    }

    /** Where the light on a feature is counted: before every wall of a house, in the middle and about it of a bed. */
    private static List<Point> places(Feature feature) {
        List<Point> corners = feature.points();
        if (feature.kind().shape() == Feature.Shape.POINT) {
            return corners;
        }
        Point middle = new Point(
                corners.stream().mapToDouble(Point::x).average().orElse(0),
                corners.stream().mapToDouble(Point::y).average().orElse(0));
        List<Point> places = new ArrayList<>();
        boolean house = feature.kind() == Feature.Kind.BUILDING;
        if (!house) {
            places.add(middle);
        }
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            Point edge = new Point((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
            double off = edge.distance(middle);
            if (off > 0) {
                double share = house ? 1 + BEFORE_WALL / off : 0.5;
                places.add(new Point(
                        middle.x() + (edge.x() - middle.x()) * share, middle.y() + (edge.y() - middle.y()) * share));
            }
        }
        return places;
    }
}
