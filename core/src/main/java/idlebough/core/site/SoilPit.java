package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.Comparator;
import java.util.List;

/**
 * What one pit showed.
 *
 * @param id the caller's identifier
 * @param place on the plan
 * @param texture of the topsoil, in which the tree is set
 * @param topsoil depth of the darker, crumbly layer, m
 * @param pan depth at which a pan stops the spade, m; null when none was met
 * @param ph null when not measured
 * @param tests drainage tests in or beside the pit; empty when none was made
 * @param profile the rest of what was seen
 */
public record SoilPit(
        String id,
        String label,
        Point place,
        Texture texture,
        double topsoil,
        Double pan,
        Double ph,
        List<DrainageTest> tests,
        Profile profile) {

    /** Colours, which say how much air a soil has had (common practice). */
    public enum Colour {
        DARK("dark brown or black"),
        BROWN("brown"),
        RED("red or yellow"),
        PALE("pale or bleached"),
        GREY("grey, blue or green");
        private final String words;

        Colour(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A layer below the topsoil.
     *
     * @param bottom its depth, m
     * @param colour null when not noted
     * @param mottled grey spots with rust in it
     * @param roots whether roots were seen in it
     */
    public record Layer(double bottom, Texture texture, Colour colour, boolean mottled, boolean roots) {}

    /**
     * What else was seen and asked.
     *
     * @param layers from the topsoil down
     * @param mottles depth at which grey mottles begin, m; null when none were met
     * @param waterAt depth at which water stood in the pit, m; null when it was dry
     * @param salt electrical conductivity of the saturated paste, dS/m; null when not measured
     * @param organic matter, per cent; null when not measured
     * @param fizzes whether vinegar fizzes: free lime
     * @param before kind of fruit that grew here; null for none
     * @param yearsSince it was taken out; null when not known
     * @param died whether trees died here, and were not taken out for age
     * @param bottom depth of the pit, m; null when not noted
     * @param worms seen
     */
    public record Profile(
            List<Layer> layers,
            Double mottles,
            Double waterAt,
            Double salt,
            Double organic,
            boolean fizzes,
            idlebough.core.crop.Crop.Kind before,
            Double yearsSince,
            boolean died,
            Double bottom,
            boolean worms) {
        public static final Profile UNSEEN =
                new Profile(List.of(), null, null, null, null, false, null, null, false, null, false);

        /** Where the ground has stood in water: mottles or water itself, the higher; null when neither was met. */
        public Double wetFrom() {
            return mottles == null ? waterAt : waterAt == null ? mottles : Double.valueOf(Math.min(mottles, waterAt));
        }
    }

    /** With one test at most and nothing else noted. */
    public SoilPit(
            String id,
            String label,
            Point place,
            Texture texture,
            double topsoil,
            Double pan,
            Double ph,
            DrainageTest test) {
        this(id, label, place, texture, topsoil, pan, ph, test == null ? List.of() : List.of(test), Profile.UNSEEN);
    }

    /**
     * The test that is judged: where water entered, else the slowest (three holes, the slowest counts), else the
     * first; null without.
     */
    public DrainageTest test() {
        return tests.stream()
                .filter(DrainageTest::waterEntered)
                .findFirst()
                .or(() -> tests.stream()
                        .filter(t -> t.rate() != null)
                        // A second filling outranks a first one, which reads too fast.
                        .min(Comparator.comparing((DrainageTest t) -> !t.secondFilling())
                                .thenComparing(t -> t.rate().normalisedMmPerHour())))
                .or(() -> tests.stream().findFirst())
                .orElse(null);
    }

    /** The rate of the judged test, or null. */
    public DrainageRate rate() {
        DrainageTest test = test();
        return test == null ? null : test.rate();
    }

    /** Depth that roots can use, m: to the pan, to wet ground, or 0.9 m (common practice, from the fourth year on). */
    public double rootable() {
        double depth = 0.9;
        depth = pan == null ? depth : Math.min(depth, pan);
        return profile.wetFrom() == null ? depth : Math.min(depth, profile.wetFrom());
    }

    /** mm of water that roots can have, over the depth they can use. */
    public double waterHeld() {
        double depth = rootable();
        double top = Math.min(depth, topsoil);
        double held = top * texture.traits().waterHeld();
        double from = top;
        Texture last = texture;
        for (Layer layer : profile.layers()) {
            double to = Math.min(depth, layer.bottom());
            if (to > from) {
                held += (to - from) * layer.texture().traits().waterHeld();
                from = to;
            }
            last = layer.texture();
        }
        return held + Math.max(0, depth - from) * last.traits().waterHeld();
    }

    /** How {@link #waterHeld} comes about. */
    public Working heldWorking() {
        Working.Builder working = Working.of("How {} comes about", Amount.of(waterHeld() / 1000, Quantity.RAIN))
                .step("Roots can use {}: to a pan, to wet ground, or 0.9 m", Amount.cm(rootable()))
                .step(
                        "topsoil, {}: {} in each metre",
                        texture.label(),
                        Amount.of(texture.traits().waterHeld() / 1000, Quantity.RAIN));
        profile.layers()
                .forEach(layer -> working.step(
                        "to {}, {}: {} in each metre",
                        Amount.cm(layer.bottom()),
                        layer.texture().label(),
                        Amount.of(layer.texture().traits().waterHeld() / 1000, Quantity.RAIN)));
        return working.sensitive("Most sensitive to the depth that roots can use.")
                .from(Source.published("Saxton & Rawls 2006, SSSAJ 70:1569", Certainty.SURE));
    }
}
