package idlebough.core.measure;

/** Volumes of simple solids, m³ from m (solid geometry). */
public final class Solids {
    private Solids() {}

    public static double cylinder(double diameter, double depth) {
        return Math.PI * diameter * diameter * depth / 4;
    }

    /** A cone frustum between two diameters. */
    public static double frustum(double top, double base, double depth) {
        return Math.PI * depth * (top * top + top * base + base * base) / 12;
    }

    /** A spherical cap with a rim of this diameter; depth at most half of it. */
    public static double bowl(double diameter, double depth) {
        double rim = diameter / 2;
        return Math.PI * depth * (3 * rim * rim + depth * depth) / 6;
    }

    /** Half an ellipsoid. */
    public static double halfEllipsoid(double diameter, double depth) {
        return Math.PI * diameter * diameter * depth / 6;
    }

    public static double square(double side, double depth) {
        return side * side * depth;
    }

    public static double pyramid(double top, double base, double depth) {
        return depth * (top * top + top * base + base * base) / 3;
    }
}
