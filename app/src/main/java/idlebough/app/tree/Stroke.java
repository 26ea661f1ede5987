package idlebough.app.tree;

/**
 * One path of a drawing, finished.
 *
 * @param css what it is, for the style sheet
 * @param d page units, the tree's foot at 0, 0
 * @param width of the line; 0 for none
 */
public record Stroke(String css, String d, double width) {}
