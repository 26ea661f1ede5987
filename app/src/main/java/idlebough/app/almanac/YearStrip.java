package idlebough.app.almanac;

import idlebough.app.web.Reader;
import idlebough.app.web.Svg;
import idlebough.core.almanac.SeasonMarks;
import idlebough.core.almanac.Task;
import idlebough.core.crop.Crop;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The tasks on strings, a row for each year of the orchard; page units. The open year is tall and written out, the others
 * are the same folded.
 *
 * @param months heads of the columns, the same for every row
 */
public record YearStrip(List<Month> months, List<Row> rows) {
    private static final double LEFT = 84;
    private static final double RIGHT = 712;
    private static final double TOP = 46;
    private static final double BOTTOM = 650;
    private static final double FOLDED = 62;
    private static final int MOST = 6;
    private static final double LETTER = 6.1;
    private static final double LEVEL = 17;
    private static final int LETTERS = 34;
    private static final String LATE = " things are late";
    private static final String WEEKLY = "water weekly";
    private static final double WEEK_HEIGHT = 13;
    private static final double FULL_WEEK = 480;
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("MMM", Locale.ENGLISH);

    /** Which day it is, and which year is open; 0 for the one in which today lies. */
    public record Now(LocalDate today, LocalDate planting, int open) {}

    public record Month(String words, double x) {}

    /**
     * One year.
     *
     * @param start the calendar year in which its leaves come down
     * @param y of its string
     * @param string path of the string, taut or slack
     * @param lanes what the season brings
     * @param weeks cells filled by the hours of their tasks; empty where it is folded
     */
    public record Row(
            int start,
            String years,
            String leaf,
            Box box,
            double y,
            String string,
            List<Peg> pegs,
            List<Week> weeks,
            Lanes lanes,
            Optional<Double> today) {}

    /** Where it lies, and whether it is open. */
    public record Box(double top, double height, boolean open) {}

    /**
     * One task.
     *
     * @param css done, late, plant or open
     * @param label empty where it has no words of its own, as weekly watering
     */
    public record Peg(String key, String title, String css, double x, double y, Optional<Label> label) {
        public String at() {
            return Svg.translate(x, y);
        }
    }

    /** Words above a peg, and the line that leads down to it. */
    public record Label(String text, double x, double y, String anchor, String leader) {}

    /** @param fill height of its hours; 0 for none */
    public record Week(double x, double y, double width, double fill, String words) {
        public double fillY() {
            return y + WEEK_HEIGHT - fill;
        }
    }

    /** @param chill wedge up to the day on which it is met; empty where that is not known
     * @param bloom a stretch for each kind of fruit */
    public record Lanes(Optional<Lane> chill, List<Lane> bloom, Optional<Words> bloomWords, Optional<Lane> frostFree) {}

    public record Words(double x, double y, String text) {}

    /** A stretch of the year with its words; @param css of its look */
    public record Lane(String path, String css, double x, double y, String words) {}

    static YearStrip of(List<Task> tasks, SeasonMarks marks, double latitude, Now now, Reader say) {
        MonthDay begins = SeasonMarks.begins(latitude);
        return new Maker(tasks, marks, begins, now, say).strip();
    }

    /** Lays the rows out. */
    private record Maker(List<Task> tasks, SeasonMarks marks, MonthDay begins, Now now, Reader say) {
        YearStrip strip() {
            int first = tasks.stream()
                    .mapToInt(task -> year(task.due(now.today())))
                    .min()
                    .orElse(year(now.planting()));
            first = Math.max(Math.min(first, year(now.today())), year(now.planting()) - MOST + 2);
            int last = tasks.stream().mapToInt(task -> year(task.from())).max().orElse(year(now.planting()));
            last = Math.min(Math.max(last, year(now.planting())), first + MOST - 1);
            int open = now.open() < first || now.open() > last ? year(now.today()) : now.open();
            open = Math.max(first, Math.min(last, open));
            double tall = BOTTOM - TOP - FOLDED * (last - first);
            List<Row> rows = new ArrayList<>();
            double top = TOP;
            for (int start = first; start <= last; start++) {
                double height = start == open ? tall : FOLDED;
                rows.add(row(start, new Box(top, height, start == open)));
                top += height;
            }
            return new YearStrip(months(), rows);
        }

        /** The calendar year in which a day's year of the orchard begins. */
        private int year(LocalDate day) {
            return day.isBefore(begins.atYear(day.getYear())) ? day.getYear() - 1 : day.getYear();
        }

        private List<Month> months() {
            List<Month> months = new ArrayList<>();
            LocalDate first = begins.atYear(2001);
            for (int i = 0; i < 12; i++) {
                LocalDate month = first.plusMonths(i);
                months.add(new Month(SHORT.format(month), x(month, first)));
            }
            return months;
        }

        private double x(LocalDate day, LocalDate first) {
            double days = ChronoUnit.DAYS.between(first, first.plusYears(1));
            return LEFT + (RIGHT - LEFT) * ChronoUnit.DAYS.between(first, day) / days;
        }

        private Row row(int start, Box box) {
            LocalDate first = begins.atYear(start);
            List<Task> own = tasks.stream()
                    .filter(task -> year(task.due(now.today())) == start)
                    .sorted(Comparator.comparing(task -> task.due(now.today())))
                    .toList();
            double lanes = box.open() ? 92 : 26;
            double y = box.top() + box.height() - lanes;
            boolean past = first.plusYears(1).isBefore(now.today());
            boolean here = year(now.today()) == start;
            double taut = past ? RIGHT : here ? x(now.today(), first) : LEFT;
            return new Row(
                    start,
                    start + "/" + String.valueOf(start + 1).substring(2),
                    leaf(start),
                    box,
                    y,
                    string(own, first, taut, y),
                    pegs(own, first, y, box),
                    box.open() ? weeks(own, first, y + 12) : List.of(),
                    lanes(first, box, y),
                    here ? Optional.of(x(now.today(), first)) : Optional.empty());
        }

        private String leaf(int start) {
            int leaf = start - year(now.planting()) + 1;
            String[] words = {"first leaf", "second leaf", "third leaf", "fourth leaf", "fifth leaf"};
            return leaf < 1 ? "before" : leaf <= words.length ? words[leaf - 1] : leaf + "th leaf";
        }

        /** Taut up to today, slack from peg to peg after it. */
        private String string(List<Task> own, LocalDate first, double taut, double y) {
            StringBuilder d = new StringBuilder(Svg.path("M# #H#", LEFT, y, taut));
            List<Double> ends = new ArrayList<>();
            own.forEach(task -> ends.add(x(task.due(now.today()), first)));
            ends.add(RIGHT);
            double from = taut;
            for (double end : ends) {
                if (end - from > 14) {
                    d.append(Svg.path("Q# # # #", (from + end) / 2, y + Math.min(7, (end - from) / 9), end, y));
                    from = end;
                }
            }
            return d.append(Svg.path("L# #", RIGHT, y)).toString();
        }

        private List<Peg> pegs(List<Task> own, LocalDate first, double y, Box box) {
            List<Peg> pegs = new ArrayList<>();
            Taken taken = new Taken(new ArrayList<>(), (int) ((y - box.top() - 30) / LEVEL) + 1);
            for (int i = own.size() - 1; i >= 0; i--) {
                Task task = own.get(i);
                double x = x(task.due(now.today()), first);
                // All that is late stands on today: one line of words for it.
                boolean silent = task.isSmall() && !task.isLate(now.today())
                        || task.isWeekly() && !task.isFirstWeek()
                        || task.isLate(now.today())
                                && own.subList(0, i).stream().anyMatch(other -> other.isLate(now.today()));
                String words = words(task, own);
                Optional<Label> label = silent
                        ? Optional.empty()
                        : box.open() ? label(words, x, y, free(own, i, x, first), taken) : folded(words, x, y, taken);
                pegs.add(0, new Peg(task.key(), title(task, words), css(task), x, y, label));
            }
            return pegs;
        }

        /** From a peg to the next on its left that does not stand in the same place. */
        private double free(List<Task> own, int from, double x, LocalDate first) {
            for (int i = from - 1; i >= 0; i--) {
                double other = x(own.get(i).due(now.today()), first);
                if (other < x - 1) {
                    return x - other;
                }
            }
            return x - LEFT;
        }

        private String words(Task task, List<Task> own) {
            long late = own.stream().filter(other -> other.isLate(now.today())).count();
            if (late > 1 && task.isLate(now.today())) {
                return late + LATE;
            }
            if (task.isWeekly()) {
                return WEEKLY;
            }
            String all = say.of(task.what());
            int end = all.length();
            for (String stop : new String[] {";", ":", " when "}) {
                int at = all.indexOf(stop);
                end = at > 0 ? Math.min(end, at) : end;
            }
            String brief = all.substring(0, end);
            return brief.length() > LETTERS ? brief.substring(0, LETTERS - 1).strip() + "…" : brief;
        }

        /** @param words that stand at the peg */
        private String title(Task task, String words) {
            boolean together = task.isFirstWeek() || words.endsWith(LATE);
            return (together ? words + ": " : "") + say.of(task.what()) + ", " + say.days(task.from(), task.to());
        }

        private String css(Task task) {
            if (task.done().isPresent()) {
                return "pg-done";
            }
            return task.isLate(now.today())
                    ? "pg-late"
                    : task.isPlanting() ? "pg-plant" : task.isWeekly() ? "pg-week" : "pg-open";
        }

        /** All that is set already, on so many levels at most. */
        private record Taken(List<Placed> all, int levels) {
            void add(Placed placed) {
                all.add(placed);
            }

            int level(double from, double to) {
                int level = 1;
                for (Placed other : all) {
                    if (other.meets(from, to) || other.stem() > from && other.stem() < to) {
                        level = Math.max(level, other.level() + 1);
                    }
                }
                return level;
            }
        }

        /** Words that are set already: from where to where, on which level, and where their line stands. */
        private record Placed(double from, double to, int level, double stem) {
            boolean meets(double low, double high) {
                return from < high && to > low;
            }
        }

        /**
         * The lowest level on which nothing is in the way; pegs come from the right, so a line down crosses no words that
         * were set before. Words stand before their peg where that is lower and no other peg is there.
         *
         * @param free to the next peg on the left
         * @return empty where no level is left: its title tells it
         */
        private Optional<Label> label(String words, double x, double y, double free, Taken taken) {
            double width = words.length() * LETTER + 8;
            int after = x + width > RIGHT ? Integer.MAX_VALUE : taken.level(x, x + width);
            int ahead =
                    width > free - 6 && after < Integer.MAX_VALUE ? Integer.MAX_VALUE : taken.level(x - width, x + 2);
            boolean before = ahead < after;
            int level = Math.min(ahead, after);
            if (level > taken.levels()) {
                return Optional.empty();
            }
            taken.add(before ? new Placed(x - width, x + 2, level, x) : new Placed(x, x + width, level, x));
            double up = y - 22 - LEVEL * (level - 1);
            return Optional.of(new Label(
                    words,
                    before ? x - 3 : x + 3,
                    up,
                    before ? "end" : "start",
                    Svg.path("M# #V#", x, up - 9, y - 10)));
        }

        /** On the one line there is, as far as it has room. */
        private Optional<Label> folded(String words, double x, double y, Taken taken) {
            double width = words.length() * LETTER + 12;
            boolean before = x + width > RIGHT;
            double from = before ? x - width : x;
            double to = before ? x + 6 : x + width;
            if (taken.level(from, to) > 1) {
                taken.add(new Placed(x - 6, x + 6, 1, x));
                return Optional.empty();
            }
            taken.add(new Placed(from, to, 1, x));
            return Optional.of(new Label(words, before ? x - 7 : x + 7, y - 6, before ? "end" : "start", ""));
        }

        private List<Week> weeks(List<Task> own, LocalDate first, double y) {
            List<Week> weeks = new ArrayList<>();
            LocalDate last = first.plusYears(1);
            for (LocalDate week = first; week.isBefore(last); week = week.plusWeeks(1)) {
                LocalDate begin = week;
                LocalDate end = week.plusWeeks(1);
                int minutes = own.stream()
                        .filter(task -> !task.due(now.today()).isBefore(begin)
                                && task.due(now.today()).isBefore(end))
                        .mapToInt(task -> task.work().minutes())
                        .sum();
                double x = x(week, first);
                weeks.add(new Week(
                        x,
                        y,
                        x(end.isAfter(last) ? last : end, first) - x,
                        WEEK_HEIGHT * Math.min(1, minutes / FULL_WEEK),
                        "week of " + say.shortDate(week) + (minutes == 0 ? "" : ": " + say.minutes(minutes))));
            }
            return weeks;
        }

        /** The words of all stand behind the last of them. */
        private static Optional<Words> together(List<Lane> blooms) {
            return blooms.stream()
                    .max(Comparator.comparingDouble(Lane::x))
                    .map(last -> new Words(
                            last.x(),
                            last.y(),
                            String.join(
                                    ", ",
                                    blooms.stream()
                                            .sorted(Comparator.comparingDouble(Lane::x))
                                            .map(Lane::words)
                                            .toList())));
        }

        private Lanes lanes(LocalDate first, Box box, double y) {
            double chill = box.open() ? y + 31 : y + 10;
            double bloom = box.open() ? y + 50 : chill;
            double frost = box.open() ? y + 74 : y + 27;
            List<Lane> blooms = new ArrayList<>();
            for (Map.Entry<Crop.Kind, SeasonMarks.Span> each : marks.bloom().entrySet()) {
                double from = x(on(each.getValue().from(), first), first);
                double to = Math.max(from + 4, x(on(each.getValue().to(), first).plusDays(1), first));
                double top = box.open() ? bloom + 7 * (blooms.size() % 2) : bloom;
                blooms.add(new Lane(
                        Svg.path("M# #H#v#H#z", from, top, to, 9, from),
                        "ys-" + each.getKey().word(),
                        to + 6,
                        bloom + 9,
                        each.getKey().word() + " from "
                                + say.shortDate(on(each.getValue().from(), first))));
            }
            return new Lanes(
                    marks.chilled().map(day -> {
                        double x = x(on(day, first), first);
                        return new Lane(
                                Svg.path("M# #L# #V#z", LEFT, chill + 11, x, chill, chill + 11),
                                "ys-chill",
                                x + 6,
                                chill + 10,
                                "every chill met by " + say.shortDate(on(day, first)));
                    }),
                    blooms,
                    together(blooms),
                    marks.frostFree().map(span -> {
                        double from = x(on(span.from(), first), first);
                        double to = x(on(span.to(), first), first);
                        long days = ChronoUnit.DAYS.between(on(span.from(), first), on(span.to(), first));
                        return new Lane(
                                box.open()
                                        ? Svg.path(
                                                "M# #v8M# #H#M# #H#M# #v8",
                                                from,
                                                frost - 4,
                                                from,
                                                frost,
                                                (from + to) / 2 - 70,
                                                (from + to) / 2 + 70,
                                                frost,
                                                to,
                                                to,
                                                frost - 4)
                                        : Svg.path(
                                                "M# #v8M# #H#M# #v8", from, frost - 4, from, frost, to, to, frost - 4),
                                "ys-frost",
                                (from + to) / 2,
                                frost + 4,
                                days + " days without frost");
                    }));
        }

        private LocalDate on(MonthDay day, LocalDate first) {
            LocalDate that = day.atYear(first.getYear());
            return that.isBefore(first) ? day.atYear(first.getYear() + 1) : that;
        }
    }
}
