package idlebough.core.winter;

/**
 * Utah units (Richardson, Seeley & Walker 1974, HortScience 9:331–332), the table in °C with each upper edge included:
 * 1.4 → 0, 2.4 → ½, 9.1 → 1, 12.4 → ½, 15.9 → 0, 18.0 → −½, above → −1. The total may fall, and a winter may end below
 * nought: then the model does not apply.
 */
final class UtahChill implements ChillState {
    private static final double SLACK = 1e-9;
    private double units;

    @Override
    public double accept(double celsius) {
        units += unit(celsius);
        return units;
    }

    static double unit(double celsius) {
        double t = celsius - SLACK;
        if (t <= 9.1) {
            return t > 2.4 ? 1 : t > 1.4 ? 0.5 : 0;
        }
        return t <= 12.4 ? 0.5 : t <= 15.9 ? 0 : t <= 18.0 ? -0.5 : -1;
    }

    @Override
    public double total() {
        return units;
    }
}
