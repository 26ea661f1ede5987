package idlebough.app.web;

import idlebough.app.plan.Reckoning;
import idlebough.core.judge.Standing;

/** The ten pegs on the line: the order of the work. */
public enum Stage {
    SITE("site", "site", "Site"),
    WINTERS("winter", "winters", "Winters"),
    VARIETIES("variety", "varieties", "Varieties"),
    PARTNERS("pollination", "partners", "Partners"),
    ROOTSTOCKS("rootstock", "rootstocks", "Rootstocks"),
    LAYOUT("layout", "layout", "Layout"),
    WATER("irrigation", "water", "Water"),
    PLANTING("planting", "planting", "Planting"),
    ALMANAC("almanac", "almanac", "Almanac"),
    DAYBOOK("daybook", "daybook", "Daybook");

    private final String room;
    private final String path;
    private final String title;

    Stage(String room, String path, String title) {
        this.room = room;
        this.path = path;
        this.title = title;
    }

    public String room() {
        return room;
    }

    public String path() {
        return path;
    }

    public String title() {
        return title;
    }

    public static Stage ofRoom(String room) {
        for (Stage stage : values()) {
            if (stage.room.equals(room)) {
                return stage;
            }
        }
        throw new IllegalArgumentException("No room " + room);
    }

    /** Whether the grower has done anything here yet. */
    boolean begun(Reckoning plan) {
        return switch (this) {
            case SITE -> plan.plot() != null;
            case WINTERS -> !plan.winters().usable().isEmpty();
            case VARIETIES, PARTNERS -> !plan.chosen().isEmpty();
            case ROOTSTOCKS -> plan.plan().choices().stream().anyMatch(choice -> choice.rootstockKey() != null);
            case LAYOUT, WATER, PLANTING, ALMANAC -> !plan.trees().isEmpty();
            case DAYBOOK ->
                !plan.plan().notes().isEmpty() || !plan.plan().measures().isEmpty();
        };
    }

    /**
     * One peg as it hangs.
     *
     * @param look sound, doubtful, stop or hollow
     * @param x along a line 1236 long
     */
    public record Peg(Stage stage, String look, long count, boolean here, double x, String words) {}

    Peg peg(Reckoning plan, Stage here) {
        boolean begun = begun(plan);
        long stops = begun ? plan.count(room, Standing.STOP) : 0;
        long doubts = begun ? plan.count(room, Standing.DOUBTFUL) : 0;
        String look = !begun ? "hollow" : stops > 0 ? "stop" : doubts > 0 ? "doubtful" : "sound";
        String words = title
                + (look.equals("hollow")
                        ? ", not begun"
                        : look.equals("sound")
                                ? ", sound"
                                : look.equals("stop") ? ", " + stops + " to stop for" : ", " + doubts + " doubtful");
        return new Peg(this, look, stops > 0 ? stops : doubts, this == here, 61.8 + 123.6 * ordinal(), words);
    }
}
