package idlebough.app.store;

import java.time.ZoneId;

/**
 * One orchard as its member sees it.
 *
 * @param revision counts every change of the plan
 * @param weatherStamp counts every change of its weather
 * @param role of the reader
 */
public record Head(String id, String name, String timeZone, long revision, long weatherStamp, Role role) {
    public ZoneId zone() {
        return ZoneId.of(timeZone);
    }
}
