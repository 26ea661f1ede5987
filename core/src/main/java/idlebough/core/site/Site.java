package idlebough.core.site;

import java.util.List;
import java.util.Optional;

/**
 * The ground as it was measured and drawn: everything of it that later rooms depend on.
 *
 * @param plot empty while no boundary is drawn
 * @param fall as it was told; spot heights among the features outrank it
 * @param waterSalt conductivity of the water that the trees get, dS/m; the pits tell what it makes of their soil
 */
public record Site(
        Location location,
        Winds winds,
        Optional<Plot> plot,
        Optional<Fall> fall,
        List<Feature> features,
        List<SoilPit> pits,
        Optional<Double> waterSalt) {

    public Site {
        if (waterSalt.isPresent()) {
            double salt = waterSalt.get();
            pits = pits.stream().map(pit -> pit.under(salt)).toList();
        }
    }

    /**
     * Where on the earth.
     *
     * @param latitude degrees, south negative
     * @param rotation turns the plan's north to true north, degrees
     */
    public record Location(double latitude, double rotation) {}

    /** Bearings from which winds come, degrees clockwise from north; empty when not known. */
    public record Winds(Optional<Double> prevailing, Optional<Double> storm) {
        public static final Winds UNKNOWN = new Winds(Optional.empty(), Optional.empty());
    }

    /**
     * @param slope per cent
     * @param aspect to which it falls, degrees clockwise from true north
     */
    public record Fall(double slope, double aspect) {}

    /** Nothing drawn yet at a latitude. */
    public static Site empty(double latitude) {
        return new Site(
                new Location(latitude, 0),
                Winds.UNKNOWN,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty());
    }

    public Site with(Plot boundary) {
        return new Site(location, winds, Optional.of(boundary), fall, features, pits, waterSalt);
    }

    public Site withFeatures(List<Feature> drawn) {
        return new Site(location, winds, plot, fall, List.copyOf(drawn), pits, waterSalt);
    }

    public Site withPits(List<SoilPit> dug) {
        return new Site(location, winds, plot, fall, features, List.copyOf(dug), waterSalt);
    }

    /** The same with water of a conductivity, dS/m. */
    public Site withWater(double salt) {
        return new Site(location, winds, plot, fall, features, pits, Optional.of(salt));
    }
}
