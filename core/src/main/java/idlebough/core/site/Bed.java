package idlebough.core.site;

/**
 * A raised bed with a flat rectangular top; walled when the run is 0. Geometry: prismatoid.
 *
 * @param length and width of the top, m
 * @param height after settling, m
 * @param run side slope, run over rise; 0 for walls
 * @param settles share by which the placed soil sinks, below 1
 */
public record Bed(double length, double width, double height, double run, double settles) {
    public double baseLength() {
        return length + 2 * run * height;
    }

    public double baseWidth() {
        return width + 2 * run * height;
    }

    /** After settling, m³. */
    public double settled() {
        double a = baseLength();
        double b = baseWidth();
        return height / 6 * (length * width + (length + a) * (width + b) + a * b);
    }

    /** What must lie there on the day, m³. */
    public double placed() {
        return settled() / (1 - settles);
    }
}
