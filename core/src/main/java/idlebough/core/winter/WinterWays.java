package idlebough.core.winter;

import idlebough.core.judge.Way;
import idlebough.core.judge.Way.School;
import java.util.List;

/** The matters of this room that are counted in more than one way. */
public final class WinterWays {
    /** Value: 1 when Utah units begin at their own start. */
    public static final Way UTAH = new Way(
            "winter.utah-start",
            "From when Utah units count",
            List.of(
                    new School(
                            "season",
                            "from the season’s first day",
                            "The same days for all models and all winters, so they can be laid side by side.",
                            0),
                    new School(
                            "own",
                            "from the turn of each autumn",
                            "As its authors meant it: from the hour after the running sum was lowest, so that "
                                    + "warm autumn days are not held against the winter. Needs found so are "
                                    + "valid only so.",
                            1)),
            "season",
            "Most needs in lists do not say from when they count; the season’s first day is the commoner reading now.");

    public static final List<Way> ALL = List.of(UTAH);

    private WinterWays() {}
}
