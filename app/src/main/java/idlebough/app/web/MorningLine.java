package idlebough.app.web;

import java.util.ArrayList;
import java.util.List;

/** The week on a string: seven pegs from today on, taut to the first that has something to do and slack after. */
public final class MorningLine {
    private static final double FIRST = 88;
    private static final double APART = 176;
    private static final int NAMED = 26;

    private MorningLine() {}

    /**
     * One day.
     *
     * @param name as it stands under its peg
     * @param words the first thing to do; empty for a free day
     * @param css of the peg
     */
    public record Day(String name, String words, String css, String at, String turned, String string, boolean today) {}

    /** What a day asks for. @param words empty for nothing */
    public record Asked(String name, String words, boolean late) {}

    public static List<Day> of(List<Asked> asked) {
        List<Day> days = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            Asked day = asked.get(i);
            double x = FIRST + APART * i;
            boolean free = day.words().isEmpty();
            days.add(new Day(
                    day.name(),
                    day.words().length() > NAMED
                            ? day.words().substring(0, NAMED).strip() + "…"
                            : day.words(),
                    day.late() ? "pg-doubtful" : free ? "pg-free" : "pg-hollow",
                    "translate(" + Svg.number(x) + ",25)",
                    Svg.turned(day.late() ? 14 : 0),
                    i == 0 ? Svg.path("M0 25H#", x) : Svg.path("M# 25Q# 38 # 25", x - APART, x - APART / 2, x),
                    i == 0));
        }
        return days;
    }
}
