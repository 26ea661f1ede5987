package idlebough.core.crop;

import idlebough.core.measure.Solids;
import java.util.Optional;

/**
 * The tree as it comes from the nursery, measured on arrival.
 *
 * @param ballDiameter of the ball, or spread of bare roots, m
 * @param ballHeight from the flare to the base of the ball, or length of bare roots, m
 * @param unionAboveFlare u, m, once it is measured on the tree
 * @param stem thickness, m
 * @param arrival what was seen when it came
 */
public record NurseryTree(
        Form form,
        double ballDiameter,
        double ballHeight,
        Optional<Double> unionAboveFlare,
        double stem,
        Arrival arrival) {
    /** Not looked at yet. */
    public NurseryTree(
            Form form, double ballDiameter, double ballHeight, Optional<Double> unionAboveFlare, double stem) {
        this(form, ballDiameter, ballHeight, unionAboveFlare, stem, Arrival.NOT_SEEN);
    }

    /** Assumed until the tree is measured, m: most are budded 10 to 15 cm above the flare (project choice). */
    public static final double USUAL_UNION = 0.12;

    /** A 25-litre pot, m (common practice). */
    private static final double POT_WIDE = 0.385;

    private static final double POT_DEEP = 0.305;
    /** Roots of a bare-root tree, m (common practice). */
    private static final double ROOTS_WIDE = 0.45;

    private static final double ROOTS_LONG = 0.25;
    private static final double USUAL_STEM = 0.02;
    private static final double POT_TAPER = 0.85;
    private static final double POT_FILLED = 0.93;
    private static final double MIX_DENSITY = 0.9;
    private static final double SOIL_DENSITY = 1.7;
    private static final double FIELD_TAPER = 0.8;
    private static final double USUAL_WHIP = 1.4;
    private static final double USUAL_POTTED = 1.2;
    private static final double USUAL_BALLED = 2.2;

    /** Tall on arrival, m: as measured, else as such trees usually come (common practice). */
    public double height() {
        return arrival.height()
                .orElse(form == Form.FIELD ? USUAL_BALLED : form == Form.BARE ? USUAL_WHIP : USUAL_POTTED);
    }

    public double union() {
        return unionAboveFlare.orElse(USUAL_UNION);
    }

    /** Of the ball, L; 0 for bare roots. */
    public double litres() {
        return switch (form) {
            case BARE -> 0;
            case CONTAINER -> 1000 * Solids.frustum(ballDiameter, POT_TAPER * ballDiameter, ballHeight) * POT_FILLED;
            case FIELD -> 1000 * Solids.frustum(ballDiameter, FIELD_TAPER * ballDiameter, ballHeight);
        };
    }

    /** To be lifted, kg: moist mix 0.9 kg/L, field soil 1.7, and the tree. */
    public double weight() {
        return switch (form) {
            case BARE -> 1.5;
            case CONTAINER -> litres() * MIX_DENSITY + 2;
            case FIELD -> litres() * SOIL_DENSITY + 3;
        };
    }

    /** A tree as it is usually bought: evergreens and own-rooted trees in a 25-litre pot, the others bare-root. */
    public static NurseryTree usual(Variety variety, Optional<Rootstock> stock) {
        boolean pot =
                variety.crop().evergreen() || stock.map(Rootstock::ownRooted).orElse(false);
        return pot
                ? new NurseryTree(Form.CONTAINER, POT_WIDE, POT_DEEP, Optional.empty(), USUAL_STEM)
                : new NurseryTree(Form.BARE, ROOTS_WIDE, ROOTS_LONG, Optional.empty(), USUAL_STEM);
    }
}
