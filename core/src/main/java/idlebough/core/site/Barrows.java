package idlebough.core.site;

/**
 * Soil to be carried: heaped, so grown by its swell on digging. A barrow takes 80 L, a small trailer 0.75 m³, a lorry
 * 8 m³ (common practice).
 *
 * @param heaped m³ as it lies in the heap
 */
public record Barrows(double heaped) {
    /** What a garden barrow takes of loose soil, m³ (common practice). */
    public static final double BARROW = 0.08;

    private static final double TRAILER = 0.75;
    private static final double LORRY = 8;

    /**
     * @param placed m³ where it is put
     * @param swell share by which the soil grows when dug
     */
    public static Barrows of(double placed, double swell) {
        return new Barrows(placed * (1 + swell));
    }

    public int barrows() {
        return (int) Math.ceil(heaped / BARROW - 1e-9);
    }

    public int trailers() {
        return (int) Math.ceil(heaped / TRAILER - 1e-9);
    }

    public int lorries() {
        return (int) Math.ceil(heaped / LORRY - 1e-9);
    }
}
