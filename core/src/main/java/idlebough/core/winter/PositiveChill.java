package idlebough.core.winter;

/**
 * Positive Utah units in their daily form: Utah units summed over each 24 hours from the first; a day below nought
 * counts zero, so heat cancels chill of the same day only (Linsley-Noakes, Allan & Matthee 1994, J. S. Afr. Soc.
 * Hort.
 * Sci.; from memory, fair). The hourly form of later comparisons is another measure and is not this one.
 */
final class PositiveChill implements ChillState {
    private double whole;
    private double today;
    private int hours;

    @Override
    public double accept(double celsius) {
        today += UnitTable.UTAH.of(celsius);
        if (++hours == 24) {
            whole += Math.max(0, today);
            today = 0;
            hours = 0;
        }
        return total();
    }

    @Override
    public double total() {
        return whole + Math.max(0, today);
    }
}
