package idlebough.core.irrigation;

/**
 * The root ball as its own tank: potting mix gives to the soil around it and takes little back (Costello & Paul 1975;
 * Nelms & Spomer 1983).
 *
 * @param store easily available water, L
 * @param use L a day
 * @param days until the allowed share is used
 */
public record RootBallTank(double store, double use, double days) {

    /**
     * @param ballLitres volume of the ball
     * @param easily available share by volume, 0.20 to 0.30 (De Boodt & Verdonck 1972)
     * @param allowed share of the store that may be used before the next watering
     * @param et reference evapotranspiration, mm/d
     * @param canopyFactor Kt
     * @param canopy diameter, m
     * @param floor least use assumed, L/d
     */
    public static RootBallTank of(
            double ballLitres,
            double easily,
            double allowed,
            double et,
            double canopyFactor,
            double canopy,
            double floor) {
        double store = ballLitres * easily;
        double use = Math.max(et * canopyFactor * Math.PI * canopy * canopy / 4, floor);
        return new RootBallTank(store, use, store * allowed / use);
    }

    public int wateringsPerDay() {
        return days < 1 ? (int) Math.ceil(1 / days - 1e-9) : 1;
    }
}
