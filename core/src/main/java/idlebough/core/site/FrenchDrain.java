package idlebough.core.site;

/**
 * A perforated pipe in a trench of washed stone (full flow after Manning).
 *
 * @param length m
 * @param slope per cent
 * @param trench width, m
 * @param stone depth of stone, pipe included, m
 * @param outer and inner: diameters of the pipe, m
 * @param roughness Manning's n; 0.015 for corrugated pipe
 */
public record FrenchDrain(
        double length, double slope, double trench, double stone, double outer, double inner, double roughness) {
    /** The usual one: 100 mm pipe, trench 30 cm, 50 cm of stone, at the fall it is given. */
    public static FrenchDrain usual(double length, double slope) {
        return new FrenchDrain(length, slope, 0.3, 0.5, 0.114, 0.1, 0.015);
    }

    /** How much lower the outlet must be, m. */
    public double drop() {
        return length * slope / 100;
    }

    /** Stone without the pipe, m³. */
    public double gravel() {
        return length * (trench * stone - Math.PI * outer * outer / 4);
    }

    /** Litres a second when the pipe runs full. */
    public double fullFlow() {
        double area = Math.PI * inner * inner / 4;
        return 1000 / roughness * area * Math.pow(inner / 4, 2.0 / 3) * Math.sqrt(slope / 100);
    }

    /**
     * How far apart parallel drains lie (Hooghoudt 1940, steady state).
     *
     * @param conductivity m/d
     * @param equivalent depth below the drains, m
     * @param head of the water table midway above the drains, m
     * @param rate to be drained, m/d
     * @return m
     */
    public static double spacing(double conductivity, double equivalent, double head, double rate) {
        return Math.sqrt((8 * conductivity * equivalent * head + 4 * conductivity * head * head) / rate);
    }
}
