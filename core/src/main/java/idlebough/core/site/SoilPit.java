package idlebough.core.site;

/**
 * What one pit showed.
 *
 * @param id the caller's identifier
 * @param place on the plan
 * @param topsoil depth of the darker, crumbly layer, m
 * @param pan depth at which a pan stops the spade, m; null when none was met
 * @param ph null when not measured
 * @param test null when none was made
 */
public record SoilPit(
        String id,
        String label,
        Point place,
        Texture texture,
        double topsoil,
        Double pan,
        Double ph,
        DrainageTest test) {

    /** The rate of its test, or null. */
    public DrainageRate rate() {
        return test == null ? null : test.rate();
    }
}
