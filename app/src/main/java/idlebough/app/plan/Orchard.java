package idlebough.app.plan;

/**
 * One orchard as its member sees it.
 *
 * @param revision counts every change of the plan
 * @param weatherStamp counts every change of its weather
 * @param role of the reader
 */
public record Orchard(String id, String name, String timeZone, long revision, long weatherStamp, String role) {}
