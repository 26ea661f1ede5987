package idlebough.core.winter;

/** A model that gives each hour a unit by the step into which its temperature falls, and adds them up. */
final class StepChill implements ChillState {
    private final UnitTable table;
    private double units;

    StepChill(UnitTable table) {
        this.table = table;
    }

    @Override
    public double accept(double celsius) {
        units += table.of(celsius);
        return units;
    }

    @Override
    public double total() {
        return units;
    }
}
