package idlebough.core.site;

/**
 * Whether four pegs make a rectangle, by its two diagonals (plane surveying; Bannister & Raymond).
 *
 * @param length and width: the sides, m
 * @param first and second: the diagonals as taped, m
 */
public record RectangleCheck(double length, double width, double first, double second) {
    /** What both diagonals should be, m. */
    public double diagonal() {
        return Math.hypot(length, width);
    }

    /** By how much the corners miss the right angle, degrees; positive when the first diagonal is the longer. */
    public double skew() {
        return Math.toDegrees(Math.asin((first * first - second * second) / (4 * length * width)));
    }
}
