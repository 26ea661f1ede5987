package idlebough.app.pollination;

import idlebough.app.web.Svg;
import idlebough.core.crop.Variety;
import idlebough.core.pollination.BloomTimes;
import idlebough.core.pollination.Flowering;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.Bloom;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The bloom of each variety of a plan, one thin line a spring, over the odds of frost still to come; page units.
 *
 * @param rows the picked tree's variety first, then those of its kind, the earliest first
 * @param ticks of the calendar
 * @param frost outline of the share of springs in which a frost still comes; empty when no day is known
 * @param springs how many are drawn
 */
public record BloomDrawing(
        List<Row> rows, List<Tick> ticks, String frost, int springs, int firstYear, int lastYear, double bottom) {
    /** Degrees below which open blossom is hurt. */
    private static final double FROST = -2;

    private static final double LEFT = 190;
    private static final double RIGHT = 700;
    private static final double TOP = 70;
    private static final double HIGH = 470;
    private static final double MOST_ROW = 74;
    private static final int MOST_ROWS = 9;
    private static final int MOST_SPRINGS = 30;
    private static final double FROST_HIGH = 46;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    /** @param x where it stands */
    public record Tick(String words, double x) {}

    /**
     * @param tree id of its first tree
     * @param labels of its trees
     * @param lines path of its springs
     * @param common path of the days common with the picked one; empty when it is the picked one or none is compared
     * @param place 0 picked, 1 the partner compared with it, 2 others
     */
    public record Row(
            Variety variety,
            String tree,
            String labels,
            double y,
            double high,
            String lines,
            String common,
            int place) {}

    /** °C below which a night counts as a frost. */
    public double below() {
        return FROST;
    }

    private record Known(Variety variety, List<Flowering> trees, Map<Integer, Bloom> blooms) {
        double middle() {
            return blooms.values().stream()
                    .flatMap(bloom -> bloom.full().stream().map(day -> day(bloom, day)))
                    .mapToInt(Integer::intValue)
                    .average()
                    .orElse(0);
        }
    }

    /**
     * @param trees of the plan
     * @param other the variety compared with the picked tree's; empty for none
     * @return empty when no variety's springs are known
     */
    static Optional<BloomDrawing> of(
            List<Flowering> trees, Flowering picked, Optional<Variety> other, BloomTimes times) {
        Map<String, List<Flowering>> byVariety = trees.stream()
                .collect(Collectors.groupingBy(tree -> tree.variety().key()));
        List<Known> known = byVariety.values().stream()
                .flatMap(group -> known(group, times).stream())
                .sorted(Comparator.comparingInt((Known row) -> place(row.variety(), picked, other))
                        .thenComparing(row -> !row.variety()
                                .crop()
                                .like()
                                .equals(picked.variety().crop().like()))
                        .thenComparingDouble(Known::middle))
                .limit(MOST_ROWS)
                .toList();
        return known.isEmpty() ? Optional.empty() : Optional.of(drawn(known, picked, other));
    }

    private static Optional<Known> known(List<Flowering> group, BloomTimes times) {
        Variety variety = group.get(0).variety();
        return times.of(variety)
                .map(VarietySprings::blooms)
                .map(blooms -> blooms.subList(Math.max(0, blooms.size() - MOST_SPRINGS), blooms.size()))
                .filter(blooms ->
                        blooms.stream().anyMatch(bloom -> bloom.flowering().isPresent()))
                .map(blooms -> new Known(
                        variety,
                        group,
                        blooms.stream().collect(Collectors.toMap(Bloom::year, Function.identity(), (a, b) -> a))));
    }

    private static int place(Variety variety, Flowering picked, Optional<Variety> other) {
        if (variety.key().equals(picked.variety().key())) {
            return 0;
        }
        return other.filter(compared -> compared.key().equals(variety.key())).isPresent() ? 1 : 2;
    }

    private static BloomDrawing drawn(List<Known> known, Flowering picked, Optional<Variety> other) {
        List<Integer> years = known.stream()
                .flatMap(row -> row.blooms().keySet().stream())
                .distinct()
                .sorted()
                .toList();
        List<Bloom> all = known.stream()
                .flatMap(row -> row.blooms().values().stream())
                .filter(bloom -> bloom.flowering().isPresent())
                .toList();
        Scale scale = new Scale(
                all.stream()
                                .mapToInt(
                                        b -> day(b, b.flowering().orElseThrow().first()))
                                .min()
                                .orElse(0)
                        - 6,
                all.stream()
                                .mapToInt(
                                        b -> day(b, b.flowering().orElseThrow().end()))
                                .max()
                                .orElse(1)
                        + 6);
        double high = Math.min(MOST_ROW, HIGH / known.size());
        List<Row> rows = new ArrayList<>();
        Known first = known.get(0);
        boolean pickedFirst = place(first.variety(), picked, other) == 0;
        for (int i = 0; i < known.size(); i++) {
            Known row = known.get(i);
            double y = TOP + i * high;
            int place = place(row.variety(), picked, other);
            rows.add(new Row(
                    row.variety(),
                    row.trees().get(0).id(),
                    row.trees().stream()
                            .limit(5)
                            .map(tree -> tree.place().isEmpty()
                                    ? "no peg yet"
                                    : tree.label().split(" ‘")[0])
                            .distinct()
                            .collect(Collectors.joining(" ")),
                    y,
                    high,
                    lines(row, years, y, high, scale),
                    place == 1 && pickedFirst ? common(first, row, years, y, high, scale) : "",
                    place));
        }
        double bottom = TOP + known.size() * high;
        return new BloomDrawing(
                List.copyOf(rows),
                ticks(all.get(0), scale),
                frost(all, scale, bottom + 16 + FROST_HIGH),
                years.size(),
                years.get(0),
                years.get(years.size() - 1),
                bottom);
    }

    private static String lines(Known row, List<Integer> years, double y, double high, Scale scale) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < years.size(); i++) {
            double at = line(i, years, y, high);
            Optional.ofNullable(row.blooms().get(years.get(i)))
                    .ifPresent(bloom -> bloom.flowering()
                            .ifPresent(open -> path.append(Svg.path(
                                    "M# #H#",
                                    scale.x(day(bloom, open.first())),
                                    at,
                                    scale.x(day(bloom, open.end()) + 1)))));
        }
        return path.toString();
    }

    private static String common(Known one, Known other, List<Integer> years, double y, double high, Scale scale) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < years.size(); i++) {
            Bloom a = one.blooms().get(years.get(i));
            Bloom b = other.blooms().get(years.get(i));
            if (a == null
                    || b == null
                    || a.flowering().isEmpty()
                    || b.flowering().isEmpty()) {
                continue;
            }
            int from = Math.max(
                    day(a, a.flowering().get().first()),
                    day(b, b.flowering().get().first()));
            int to = Math.min(
                    day(a, a.flowering().get().end()),
                    day(b, b.flowering().get().end()));
            if (to >= from) {
                path.append(Svg.path("M# #H#", scale.x(from), line(i, years, y, high), scale.x(to + 1)));
            }
        }
        return path.toString();
    }

    private static double line(int year, List<Integer> years, double y, double high) {
        return y + 8 + (high - 16) * year / Math.max(1, years.size() - 1);
    }

    private static List<Tick> ticks(Bloom bloom, Scale scale) {
        List<Tick> ticks = new ArrayList<>();
        LocalDate first = bloom.spring().hours().first();
        int step = scale.days() > 80 ? 1 : 2;
        for (LocalDate month = first; day(bloom, month) <= scale.last(); month = month.plusMonths(1)) {
            for (int half = 0; half < step; half++) {
                LocalDate day = month.withDayOfMonth(1 + 15 * half);
                if (day(bloom, day) >= scale.first() && day(bloom, day) <= scale.last()) {
                    ticks.add(new Tick(day.format(DAY), scale.x(day(bloom, day))));
                }
            }
        }
        return ticks;
    }

    /** The share of springs in which a night below {@link #FROST} still comes on that day or after it. */
    private static String frost(List<Bloom> all, Scale scale, double base) {
        List<Bloom> springs = List.copyOf(all.stream()
                .collect(Collectors.toMap(Bloom::year, Function.identity(), (a, b) -> a))
                .values());
        StringBuilder path = new StringBuilder(Svg.path("M# #", scale.x(scale.first()), base));
        for (int day = scale.first(); day <= scale.last(); day++) {
            int from = day;
            long still = springs.stream().filter(bloom -> freezes(bloom, from)).count();
            path.append(Svg.path("L# #", scale.x(day), base - FROST_HIGH * still / springs.size()));
        }
        return path.append(Svg.path("V#z", base)).toString();
    }

    private static boolean freezes(Bloom bloom, int from) {
        var days = bloom.spring().hours().days();
        for (int day = Math.max(0, from); day < days.size(); day++) {
            if (days.get(day).minimum() < FROST) {
                return true;
            }
        }
        return false;
    }

    private static int day(Bloom bloom, LocalDate day) {
        return (int) (day.toEpochDay() - bloom.spring().hours().first().toEpochDay());
    }

    private record Scale(int first, int last) {
        int days() {
            return last - first;
        }

        double x(int day) {
            return LEFT + (RIGHT - LEFT) * (day - first) / days();
        }
    }
}
