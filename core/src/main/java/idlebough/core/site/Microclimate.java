package idlebough.core.site;

import static idlebough.core.measure.Quantity.TEMPERATURE_STEP;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.util.ArrayList;
import java.util.List;

/**
 * How much warmer or colder the coldest nights are at a place than where the weather is measured. Practice figures,
 * each
 * with how little is known of it; later rooms add it to the coldest night before they judge hardiness.
 *
 * @param parts what was found; empty on ordinary ground
 */
public record Microclimate(List<Part> parts) {
    /** Kelvin of a whole hardiness zone (10 °F). */
    public static final double ZONE = 50.0 / 9;

    private static final double POOL_PER_METRE = 2;
    private static final double POOL_MOST = 4;
    private static final double NICHE = 2;
    private static final Source SOURCE = Source.practice(
            "a sunny masonry wall warms by half to one hardiness zone; cold air stands 2 to 4 K below the slope "
                    + "above it");

    /**
     * @param words what it is: “cold air 0.8 m deep”
     * @param kelvin added to the coldest nights
     * @param halfWidth of it, K
     */
    public record Part(String words, double kelvin, double halfWidth) {}

    /** Ordinary ground. */
    public static final Microclimate NONE = new Microclimate(List.of());

    /**
     * What stands round a place.
     *
     * @param features those within {@link #reach}; others change nothing
     */
    public record Surroundings(Plot plot, List<Feature> features, ColdAir cold) {}

    /** From how far at most a feature changes the cold of a place, m. */
    static double reach(FeatureIndex features) {
        return Math.max(NICHE, features.widest()) + features.widest();
    }

    public static Microclimate at(Point place, Surroundings round, Site.Location location) {
        Plot plot = round.plot();
        ColdAir cold = round.cold();
        List<Part> parts = new ArrayList<>();
        double depth = cold.depthAt(place);
        if (depth > ColdAir.LEAST) {
            double kelvin = Math.min(POOL_MOST, 1 + POOL_PER_METRE * depth);
            parts.add(new Part("cold air stands here", -kelvin, kelvin / 2));
        } else if (onTheSlope(place, plot, cold.ground())) {
            parts.add(new Part("on the slope, above where cold air gathers", 1, 0.5));
        }
        double wall = 0;
        int near = 0;
        for (Feature feature : round.features()) {
            if (!feature.kind().casts()
                    || feature.kind() == Feature.Kind.TREE
                    || feature.kind() == Feature.Kind.HEDGE
                    || !feature.isClosed()) {
                continue;
            }
            double reach = Math.max(1.5, feature.stands());
            if (feature.distance(place) > Math.max(NICHE, reach) + feature.thick()) {
                continue;
            }
            double distance = feature.footprint().distance(Shapes.point(place));
            near += distance <= NICHE ? 1 : 0;
            boolean masonry =
                    feature.material().filter(Feature.Material.MASONRY::equals).isPresent()
                            || feature.kind() == Feature.Kind.BUILDING
                                    && feature.material().isEmpty();
            if (masonry && distance < reach && onSunnySide(place, feature, location.latitude(), location.rotation())) {
                wall = Math.max(wall, 1 - distance / reach);
            }
        }
        if (wall > 0.05) {
            parts.add(new Part("before a wall on its sunny side", 0.75 * ZONE * wall, 0.25 * ZONE));
        }
        if (near >= 2) {
            parts.add(new Part("in a niche between two walls", 1, 1));
        }
        return new Microclimate(List.copyOf(parts));
    }

    /** In the middle of a fall of at least a metre; the top is windy, the foot is where the cold gathers. */
    private static boolean onTheSlope(Point place, Plot plot, Ground ground) {
        double low = plot.corners().stream().mapToDouble(ground::height).min().orElse(0);
        double high = plot.corners().stream().mapToDouble(ground::height).max().orElse(0);
        double share = (ground.height(place) - low) / Math.max(1e-9, high - low);
        return high - low >= 1 && ground.slope() >= 3 && share > 0.3 && share < 0.9;
    }

    /** Whether the nearest part of a wall lies on the shaded side of the place. */
    static boolean onSunnySide(Point place, Feature wall, double latitude, double rotation) {
        var nearest = org.locationtech.jts.operation.distance.DistanceOp.nearestPoints(
                wall.footprint(), Shapes.point(place))[0];
        double dx = place.x() - nearest.x;
        double dy = place.y() - nearest.y;
        double length = Math.hypot(dx, dy);
        if (length < 1e-6) {
            return false;
        }
        double sunny = Math.toRadians((latitude < 0 ? 0 : 180) - rotation);
        return (dx * Math.sin(sunny) + dy * Math.cos(sunny)) / length > 0.5;
    }

    /** K added to the coldest nights. */
    public double kelvin() {
        return parts.stream().mapToDouble(Part::kelvin).sum();
    }

    public double halfWidth() {
        return parts.stream().mapToDouble(Part::halfWidth).sum();
    }

    public Working working() {
        Working.Builder working = Working.of("How {} comes about", Amount.of(kelvin(), TEMPERATURE_STEP));
        if (parts.isEmpty()) {
            working.step("Nothing here makes the cold nights other than where they are measured.");
        }
        parts.forEach(part -> working.step(
                "{}: {}, give or take {}",
                part.words(),
                Amount.of(part.kelvin(), TEMPERATURE_STEP),
                Amount.of(part.halfWidth(), TEMPERATURE_STEP)));
        return working.sensitive(
                        "A thermometer here and one at the station, read on ten clear nights, would settle it.")
                .from(SOURCE);
    }
}
