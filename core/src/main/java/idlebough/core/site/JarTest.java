package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/**
 * The jar test: what settled after a minute is sand, after two hours silt, after a day or two clay. Volumes are read
 * for
 * masses, so each share is good to ±{@value #DOUBT} points (common practice).
 *
 * @param sand height after 1 minute, any unit
 * @param withSilt height after 2 hours, same unit
 * @param all height after 24 to 48 hours, same unit
 */
public record JarTest(double sand, double withSilt, double all) {
    /** Points by which each share may be off. */
    public static final int DOUBT = 10;

    /** Why these heights cannot be, if they cannot. */
    public Optional<String> complaint() {
        return sand >= 0 && withSilt >= sand && all >= withSilt && all > 0
                ? Optional.empty()
                : Optional.of(
                        "The heights must grow: sand after a minute, with silt after two hours, all after a day or two.");
    }

    /** Percent. */
    public double sandPercent() {
        return 100 * sand / all;
    }

    public double siltPercent() {
        return 100 * (withSilt - sand) / all;
    }

    public double clayPercent() {
        return 100 * (all - withSilt) / all;
    }

    public Texture texture() {
        return Texture.of(sandPercent(), siltPercent(), clayPercent());
    }

    /** The other classes that lie within the doubt of a jar. */
    public Set<Texture> alsoPossible() {
        Set<Texture> found = new LinkedHashSet<>();
        int step = DOUBT / 2;
        for (int s = -DOUBT; s <= DOUBT; s += step) {
            for (int c = -DOUBT; c <= DOUBT; c += step) {
                double sandy = sandPercent() + s;
                double clayey = clayPercent() + c;
                Texture texture = Texture.of(sandy, 100 - sandy - clayey, clayey);
                if (texture != null && Math.abs(s + c) <= DOUBT) {
                    found.add(texture);
                }
            }
        }
        found.remove(texture());
        return found;
    }

    public Working working() {
        return Working.of("How the texture comes about")
                .step("sand = {} ÷ {} = {}", number(sand), number(all), percent(sandPercent()))
                .step("silt = ({} − {}) ÷ {} = {}", number(withSilt), number(sand), number(all), percent(siltPercent()))
                .step("clay = ({} − {}) ÷ {} = {}", number(all), number(withSilt), number(all), percent(clayPercent()))
                .step("in the triangle: {}", texture().label())
                .sensitive("Each share is good to ten points: clay swells or stays in the water. Do the feel test too.")
                .from(Source.published(
                        "Soil Survey Manual, USDA Handbook 18; jar test: common practice", Certainty.FAIR));
    }

    private static Amount number(double value) {
        return Amount.of(value, Quantity.DECIMAL);
    }

    private static Amount percent(double value) {
        return Amount.of(value, Quantity.PERCENT);
    }
}
