package idlebough.core.variety;

import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is ripe week by week over the year, from the trees chosen; weeks 1 to 52.
 *
 * @param crops one for each variety, the earliest of the year first
 */
public record Harvest(List<Ripe> crops) {
    private static final RuleTable TABLE = RuleTable.of("variety");
    private static final int WEEKS = 52;

    /**
     * @param trees of the variety; 0 where it is but a branch on another
     * @param kg that they bring in a year at full crop; 0 where that is not told
     */
    public record Ripe(Variety variety, int trees, double kg, RipeWindow window) {
        /** kg in each week of its harvest. */
        double weekly() {
            int weeks = Math.floorMod(RipeWindow.week(window.to()) - RipeWindow.week(window.from()), WEEKS) + 1;
            return kg / weeks;
        }

        /** Whether it is ripe, or in store from its harvest on, in a week. */
        boolean lasts(int week) {
            if (window.covers(week)) {
                return true;
            }
            int keeps = variety.habit()
                    .ripening()
                    .keepsWeeks()
                    .map(Double::intValue)
                    .orElse(0);
            int last = RipeWindow.week(window.to());
            int since = Math.floorMod(week - last, WEEKS);
            return since <= keeps;
        }
    }

    /**
     * Weeks one after another.
     *
     * @param from and to: both inclusive; {@code to} before {@code from} runs over the new year
     */
    public record Weeks(int from, int to) {
        public int length() {
            return Math.floorMod(to - from, WEEKS) + 1;
        }

        public boolean contains(int week) {
            return Math.floorMod(week - from, WEEKS) < length();
        }

        int middle() {
            return Math.floorMod(from - 1 + length() / 2, WEEKS) + 1;
        }
    }

    /** Trees ripe at once. */
    public record Glut(Weeks weeks, int trees, List<Variety> varieties) {}

    public static Harvest of(List<Ripe> crops) {
        return new Harvest(crops.stream()
                .sorted(Comparator.comparingInt((Ripe ripe) -> ripe.window().from()))
                .toList());
    }

    public int trees() {
        return crops.stream().mapToInt(Ripe::trees).sum();
    }

    /** Trees with ripe fruit in a week. */
    public int ripe(int week) {
        return crops.stream()
                .filter(ripe -> ripe.window().covers(week))
                .mapToInt(Ripe::trees)
                .sum();
    }

    /** What is picked in a week at full crop, kg. */
    public double kg(int week) {
        return crops.stream()
                .filter(ripe -> ripe.window().covers(week))
                .mapToDouble(Ripe::weekly)
                .sum();
    }

    /** In a whole year at full crop. */
    public double kg() {
        return crops.stream().mapToDouble(Ripe::kg).sum();
    }

    /** Whether there is own fruit in a week, ripe or in store. */
    public boolean inHand(int week) {
        return crops.stream().anyMatch(ripe -> ripe.lasts(week));
    }

    /** The longest stretch without fruit of one's own, ripe or stored; empty when there is none, or no tree. */
    public Optional<Weeks> gap() {
        if (crops.isEmpty()) {
            return Optional.empty();
        }
        Weeks longest = null;
        for (int start = 1; start <= WEEKS; start++) {
            if (inHand(start) || !inHand(Math.floorMod(start - 2, WEEKS) + 1)) {
                continue;
            }
            int end = start;
            while (!inHand(Math.floorMod(end, WEEKS) + 1)) {
                end = Math.floorMod(end, WEEKS) + 1;
            }
            Weeks weeks = new Weeks(start, end);
            longest = longest == null || weeks.length() > longest.length() ? weeks : longest;
        }
        return Optional.ofNullable(longest).filter(weeks -> weeks.length() >= TABLE.value("gap-weeks"));
    }

    /** The weeks in which most trees are ripe at once, when they are more than a fair share; empty when none are. */
    public Optional<Glut> glut() {
        int most = 0;
        for (int week = 1; week <= WEEKS; week++) {
            most = Math.max(most, ripe(week));
        }
        if (most < TABLE.value("glut-trees") || most < TABLE.value("glut-share") * trees()) {
            return Optional.empty();
        }
        for (int week = 1; week <= WEEKS; week++) {
            if (ripe(week) == most && ripe(Math.floorMod(week - 2, WEEKS) + 1) < most) {
                int end = week;
                while (end < WEEKS && ripe(end + 1) == most) {
                    end++;
                }
                int first = week;
                List<Variety> which = new ArrayList<>();
                crops.stream().filter(ripe -> ripe.window().covers(first)).forEach(ripe -> which.add(ripe.variety()));
                return Optional.of(new Glut(new Weeks(week, end), most, List.copyOf(which)));
            }
        }
        return Optional.empty();
    }

    /** Whether a variety would be ripe, or in store, in the middle of a gap. */
    public static boolean fills(Ripe ripe, Weeks gap) {
        return ripe.lasts(gap.middle());
    }
}
