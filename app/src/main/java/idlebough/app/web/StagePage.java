package idlebough.app.web;

import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Standing;

/** The pages of the ten stages, in the order of the work. */
public enum StagePage {
    SITE(Room.SITE, "site", "Site"),
    WINTERS(Room.WINTER, "winters", "Winters"),
    VARIETIES(Room.VARIETY, "varieties", "Varieties"),
    PARTNERS(Room.POLLINATION, "partners", "Partners"),
    ROOTSTOCKS(Room.ROOTSTOCK, "rootstocks", "Rootstocks"),
    LAYOUT(Room.LAYOUT, "layout", "Layout"),
    WATER(Room.IRRIGATION, "water", "Water"),
    PLANTING(Room.PLANTING, "planting", "Planting"),
    ALMANAC(Room.ALMANAC, "almanac", "Almanac"),
    DAYBOOK(Room.DAYBOOK, "daybook", "Daybook");

    private final Room room;
    private final String path;
    private final String title;

    StagePage(Room room, String path, String title) {
        this.room = room;
        this.path = path;
        this.title = title;
    }

    public Room room() {
        return room;
    }

    /** The last part of its address. */
    public String path() {
        return path;
    }

    public String title() {
        return title;
    }

    public static StagePage of(Room room) {
        return values()[room.ordinal()];
    }

    /**
     * One peg as it hangs on the line, page units of a line 1236 long and 70 high.
     *
     * @param look sound, doubtful, stop or hollow
     * @param count of what it leans or lies for
     * @param at transform of its place
     * @param turned transform of its figure
     * @param string path of the string from the peg before it; taut up to the page that is open
     */
    public record Peg(
            StagePage stage,
            String look,
            int count,
            boolean here,
            String at,
            String turned,
            String string,
            String words) {
        public boolean first() {
            return stage.ordinal() == 0;
        }

        public String css() {
            return "pg-" + look;
        }

        public String countCss() {
            return "n-" + look;
        }

        /** The key that leads to it. */
        public int key() {
            return (stage.ordinal() + 1) % 10;
        }
    }

    private static final double FIRST = 61.8;
    private static final double APART = 123.6;

    private double x() {
        return FIRST + APART * ordinal();
    }

    /** @param late tasks that should be done by now: they lean the peg as a doubt does */
    Peg peg(Stage stage, int late, StagePage here) {
        boolean begun = stage.begun();
        int stops = begun ? stage.judged().count(Standing.STOP) : 0;
        int doubts = begun ? stage.judged().count(Standing.DOUBTFUL) + late : 0;
        boolean hollow = !begun || stops + doubts == 0 && stage.missing().isPresent();
        String look = hollow
                ? "hollow"
                : (stops > 0 ? Standing.STOP : doubts > 0 ? Standing.DOUBTFUL : Standing.SOUND).word();
        int turn = stops > 0 ? 90 : doubts > 0 ? 14 : 0;
        boolean taut = here != null && ordinal() <= here.ordinal();
        return new Peg(
                this,
                look,
                stops > 0 ? stops : doubts,
                this == here,
                "translate(" + Svg.number(x()) + ",0)",
                "translate(0," + (stops > 0 ? 36 : 25) + ") rotate(" + turn + ")",
                taut
                        ? Svg.path("M# 25H#", x() - APART, x())
                        : Svg.path("M# 25Q# 38 # 25", x() - APART, x() - APART / 2, x()),
                title + words(begun, hollow, stops, doubts));
    }

    private static String words(boolean begun, boolean hollow, int stops, int doubts) {
        if (hollow) {
            return begun ? ", not judged" : ", not begun";
        }
        return stops > 0 ? ", " + stops + " to stop for" : doubts > 0 ? ", " + doubts + " doubtful" : ", sound";
    }
}
