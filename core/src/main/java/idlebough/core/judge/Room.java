package idlebough.core.judge;

/** The ten stages in the order of the work; a room has the same key on every floor. */
public enum Room {
    SITE("site"),
    WINTER("winter"),
    VARIETY("variety"),
    POLLINATION("pollination"),
    ROOTSTOCK("rootstock"),
    LAYOUT("layout"),
    IRRIGATION("irrigation"),
    PLANTING("planting"),
    ALMANAC("almanac"),
    DAYBOOK("daybook");
    private final String key;

    Room(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }
}
