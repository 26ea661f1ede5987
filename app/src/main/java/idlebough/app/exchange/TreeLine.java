package idlebough.app.exchange;

/**
 * One tree of a plan as its files hold it.
 *
 * @param tag of its peg
 * @param variety and stock: keys of the catalogue, or what a person wrote; stock empty for none
 * @param x and y: metres east and north on the plan, as exactly as they are stored
 * @param state its life, as in our files; empty where a file does not tell
 * @param row of the file from which it was read, counted from 1; 0 for one of the plan
 */
public record TreeLine(String tag, String variety, String stock, double x, double y, String state, int row) {}
