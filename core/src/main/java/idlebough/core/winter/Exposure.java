package idlebough.core.winter;

import java.util.Arrays;

/**
 * How much warmer or colder the nights are where the trees stand than at the station's screen. Stated practice, of
 * clear
 * calm nights, when frost falls (common practice); each is the middle of what is told.
 */
public enum Exposure {
    SCREEN("as at the station", 0, 0),
    HOLLOW("in a hollow or at the foot of a slope", -2, 1),
    SLOPE("in the middle of a slope", 1.5, 0.5),
    TOP("on the top of a hill, in the wind", 0, 0.5),
    WALL("before a house wall on its sunny side", 1.5, 0.5),
    TOWN("in the middle of a town", 1.5, 0.5),
    WATER("near a large water", 2, 1);

    private final String words;
    private final double kelvin;
    private final double halfWidth;

    Exposure(String words, double kelvin, double halfWidth) {
        this.words = words;
        this.kelvin = kelvin;
        this.halfWidth = halfWidth;
    }

    public String words() {
        return words;
    }

    /** Added to every minimum, K; a maximum stays. */
    public double kelvin() {
        return kelvin;
    }

    /** Of {@link #kelvin}, K. */
    public double halfWidth() {
        return halfWidth;
    }

    /** By name; the screen itself when there is none such. */
    public static Exposure named(String name) {
        return Arrays.stream(values())
                .filter(exposure -> exposure.name().equals(name))
                .findFirst()
                .orElse(SCREEN);
    }
}
