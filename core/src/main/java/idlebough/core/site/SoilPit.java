package idlebough.core.site;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What one pit showed.
 *
 * @param id the caller's identifier
 * @param place on the plan
 * @param texture of the topsoil, in which the tree is set
 * @param topsoil depth of the darker, crumbly layer, m
 * @param tests drainage tests in or beside the pit; empty when none was made
 * @param profile what the wall of the pit showed
 * @param analysis what was measured of the soil
 */
public record SoilPit(
        String id,
        String label,
        Point place,
        Texture texture,
        double topsoil,
        List<DrainageTest> tests,
        Profile profile,
        Analysis analysis) {
    private static final RuleTable TABLE = RuleTable.of("site");

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
     * @param colour empty when not noted
     * @param mottled grey spots with rust in it
     * @param roots whether roots were seen in it
     */
    public record Layer(double bottom, Texture texture, Optional<Colour> colour, boolean mottled, boolean roots) {}

    /**
     * What was seen in the wall of the pit, depths in m, empty where nothing was met or noted.
     *
     * @param layers from the topsoil down
     * @param pan at which a pan stops the spade
     * @param mottles at which grey mottles begin
     * @param waterAt at which water stood
     * @param bottom of the pit
     * @param worms seen
     * @param before what grew here
     */
    public record Profile(
            List<Layer> layers,
            Optional<Double> pan,
            Optional<Double> mottles,
            Optional<Double> waterAt,
            Optional<Double> bottom,
            boolean worms,
            History before) {
        public static final Profile UNSEEN = new Profile(
                List.of(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), false, History.NONE);

        /** Where the ground has stood in water: mottles or water itself, the higher. */
        public Optional<Double> wetFrom() {
            return Stream.of(mottles, waterAt).flatMap(Optional::stream).min(Comparator.naturalOrder());
        }
    }

    /**
     * What grew here before.
     *
     * @param kind of fruit; empty for none
     * @param yearsSince it was taken out; empty when not known
     * @param died whether trees died here, and were not taken out for age
     */
    public record History(Optional<Crop.Kind> kind, Optional<Double> yearsSince, boolean died) {
        public static final History NONE = new History(Optional.empty(), Optional.empty(), false);
    }

    /**
     * What was measured of the soil; empty where it was not.
     *
     * @param ph in water
     * @param salt electrical conductivity of the saturated paste, dS/m
     * @param water that to which the water on it brings it in the years, dS/m
     * @param organic matter, per cent
     * @param fizzes whether vinegar fizzes: free lime
     */
    public record Analysis(
            Optional<Double> ph,
            Optional<Double> salt,
            Optional<Double> water,
            Optional<Double> organic,
            boolean fizzes) {
        public static final Analysis NONE = new Analysis(Optional.empty(), Optional.empty(), Optional.empty(), false);

        /** Of the soil alone. */
        public Analysis(Optional<Double> ph, Optional<Double> salt, Optional<Double> organic, boolean fizzes) {
            this(ph, salt, Optional.empty(), organic, fizzes);
        }

        /** The salt that roots meet in the years: of the soil as it is, or as its water makes it, the more, dS/m. */
        public Optional<Double> inTime() {
            return Stream.of(salt, water).flatMap(Optional::stream).max(Comparator.naturalOrder());
        }

        /** Whether it is the water that decides. */
        public boolean byWater() {
            return water.isPresent() && water.equals(inTime());
        }
    }

    /** The same under water of a conductivity, dS/m. */
    SoilPit under(double conductivity) {
        return new SoilPit(
                id,
                label,
                place,
                texture,
                topsoil,
                tests,
                profile,
                new Analysis(
                        analysis.ph(),
                        analysis.salt(),
                        Optional.of(conductivity * TABLE.value("concentration")),
                        analysis.organic(),
                        analysis.fizzes()));
    }

    public Optional<Double> pan() {
        return profile.pan();
    }

    public Optional<Double> ph() {
        return analysis.ph();
    }

    /**
     * The test that is judged: where water entered, else the slowest (three holes, the slowest counts), else the
     * first.
     */
    public Optional<DrainageTest> test() {
        return tests.stream()
                .filter(DrainageTest::waterEntered)
                .findFirst()
                .or(() -> tests.stream()
                        .filter(t -> t.rate() != null)
                        // A second filling outranks a first one, which reads too fast.
                        .min(Comparator.comparing((DrainageTest t) -> !t.secondFilling())
                                .thenComparing(t -> t.rate().normalisedMmPerHour())))
                .or(() -> tests.stream().findFirst());
    }

    /** The rate of the judged test. */
    public Optional<DrainageRate> rate() {
        return test().map(DrainageTest::rate);
    }

    /** Depth that roots can use, m: to the pan, to wet ground, or 0.9 m (common practice, from the fourth year on). */
    public double rootable() {
        return Stream.of(profile.pan(), profile.wetFrom())
                .flatMap(Optional::stream)
                .reduce(0.9, Math::min);
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
