package idlebough.app.variety;

import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Svg;
import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import idlebough.core.pollination.BloomTimes;
import idlebough.core.pollination.Pairing;
import idlebough.core.variety.RipeWindow;
import idlebough.core.variety.VarietySprings;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.FrostKill;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A few varieties side by side: winters against the need, bloom against frost, ripe and in store; page units.
 *
 * @param chillTicks scale of the first drawing, of the model in which most of them are told
 */
public record Comparison(
        List<Row> rows, String chillUnit, List<Tick> chillTicks, List<Tick> bloomTicks, List<Tick> ripeTicks) {
    static final int MOST = 5;
    private static final double TOP = 84;
    private static final double ROW = 104;
    private static final double CHILL = 16;
    private static final double BLOOM = 250;
    private static final double RIPE = 484;
    private static final double WIDE = 210;
    private static final int MOST_SPRINGS = 30;
    /** Degrees below which open blossom is hurt. */
    private static final double FROST = -2;

    private static final int TEN = 10;
    /** Days from the right edge within which no date is written: it would run into the next drawing. */
    private static final int EDGE = 6;

    private static final int DAYS = 365;
    private static final int MONTHS = 12;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    public record Tick(String words, double x) {}

    /**
     * @param reason what speaks most against it, in words; empty for nothing
     * @param partner its best partner among the varieties chosen; empty for none wanted or found
     * @param enough path of the winters that reach the need, short: those that do not
     * @param ofTen winters of ten; empty where none are known
     * @param need path of the wedge at the need
     * @param frost path of each spring's frosts, bloom: of its bloom, caught: of the springs that lose half
     * @param caughtWords how many springs of ten are caught; empty where it cannot be told
     * @param ripeFrom and ripeTo: where it is ripe; wraps: whether that runs over the year's end
     * @param storeTo where its store ends, beyond the right edge when it keeps longer
     */
    public record Row(
            VarietyVerdict verdict,
            double y,
            String reason,
            String partner,
            String enough,
            String missed,
            String need,
            double bandLow,
            double bandHigh,
            String ofTen,
            String frost,
            String bloom,
            String caught,
            String caughtWords,
            double ripeFrom,
            double ripeTo,
            double storeTo,
            String ripeWords,
            String keeps) {
        public boolean stopped() {
            return verdict.standing().filter(s -> s == Standing.STOP).isPresent();
        }
    }

    /** °C below which a night counts as a frost. */
    public double frost() {
        return FROST;
    }

    /** The question that asks for the same ones, without a question mark. */
    public String query() {
        return rows.stream().map(row -> "v=" + row.verdict().variety().key()).collect(Collectors.joining("&"));
    }

    static Comparison of(PlanView plan, Reader say, List<VarietyVerdict> compared) {
        VarietyStage stage = plan.evaluation().varieties();
        ChillModel model = compared.stream()
                .filter(v -> v.variety().chillNeed() > 0)
                .map(v -> v.variety().chillModel())
                .findFirst()
                .orElse(ChillModel.HOURS);
        double[] totals = plan.winters().totals(model);
        Chill chill = Chill.of(compared, model, totals);
        Springs springs = Springs.of(compared, stage);
        int start = start(compared, stage);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < compared.size(); i++) {
            rows.add(row(compared.get(i), TOP + i * ROW, stage, say, chill, springs, start));
        }
        return new Comparison(rows, model.unit(), chill.ticks(), springs.ticks(), ripeTicks(start));
    }

    private static Row row(
            VarietyVerdict verdict, double y, VarietyStage stage, Reader say, Chill chill, Springs springs, int start) {
        Variety variety = verdict.variety();
        double need = variety.chillNeed();
        boolean told = need > 0 && variety.chillModel() == chill.model();
        RipeWindow window = stage.ripe(variety);
        double from = ripeX(window.from(), start);
        double to = from + WIDE * window.days() / DAYS;
        double weeks = variety.habit().ripening().keepsWeeks().orElse(0.0);
        Optional<VarietySprings> own = stage.springs(variety, Exposure.SCREEN);
        return new Row(
                verdict,
                y,
                verdict.worst()
                        .map(finding -> say.of(finding.headline()))
                        .orElse("Nothing that is known is against it."),
                partner(variety, stage),
                told ? chill.path(y, total -> total >= need) : "",
                told ? chill.path(y, total -> total < need) : "",
                told ? Svg.path("M# #l-5 -8h10zM# #v54", chill.x(need), y + 12, chill.x(need), y + 12) : "",
                told ? chill.x(need - verdict.needHalfWidth()) : 0,
                told ? chill.x(need + verdict.needHalfWidth()) : 0,
                verdict.match().map(match -> match.ofTen() + " in 10").orElse(need > 0 ? "" : "no chill needed"),
                own.map(s -> springs.frost(s, y)).orElse(""),
                own.map(s -> springs.bloom(s, y, false)).orElse(""),
                own.map(s -> springs.bloom(s, y, true)).orElse(""),
                own.filter(s -> !s.frosts().isEmpty())
                        .map(s -> Math.round((double) TEN
                                        * s.hit(VarietySprings.FELT)
                                        / s.frosts().size())
                                + " in 10 caught")
                        .orElse("no bloom clock"),
                from,
                to,
                Math.min(RIPE + WIDE, to + WIDE * weeks * 7 / DAYS),
                window.first().format(DAY) + " to " + window.last().format(DAY),
                weeks > 0 ? "keeps " + Math.round(weeks) + (weeks == 1 ? " week" : " weeks") : "");
    }

    private static String partner(Variety variety, VarietyStage stage) {
        if (variety.selfFruitful() >= 1) {
            return "Crops alone.";
        }
        BloomTimes times = BloomTimes.at(stage);
        return stage.chosenVarieties().stream()
                .filter(other -> Pairing.related(other, variety))
                .map(other -> new java.util.AbstractMap.SimpleEntry<>(other, Pairing.of(variety, other, times)))
                .filter(pair -> pair.getValue().serves())
                .max(Comparator.comparingDouble(pair -> pair.getValue().value()))
                .map(pair -> "Partner: " + pair.getKey().name()
                        + pair.getValue()
                                .bloom()
                                .springs()
                                .map(springs -> ", " + springs.ofTen(3) + " years in 10")
                                .orElse(""))
                .orElse("No partner for it is chosen yet.");
    }

    /** The first of the month two months before the earliest ripens, so that a harvest over the new year stays whole. */
    private static int start(List<VarietyVerdict> compared, VarietyStage stage) {
        int[] starts = compared.stream()
                .map(v -> stage.ripe(v.variety()))
                .mapToInt(RipeWindow::from)
                .sorted()
                .toArray();
        if (starts.length == 0) {
            return 1;
        }
        int best = starts[0];
        int widest = -1;
        for (int i = 0; i < starts.length; i++) {
            int gap = Math.floorMod(starts[i] - starts[(i + starts.length - 1) % starts.length], DAYS);
            gap = starts.length == 1 ? DAYS : gap;
            if (gap > widest) {
                widest = gap;
                best = starts[i];
            }
        }
        return LocalDate.ofYearDay(2001, best).minusMonths(1).withDayOfMonth(1).getDayOfYear();
    }

    private static double ripeX(int day, int start) {
        return RIPE + WIDE * Math.floorMod(day - start, DAYS) / DAYS;
    }

    private static List<Tick> ripeTicks(int start) {
        List<Tick> ticks = new ArrayList<>();
        for (int month = 1; month <= MONTHS; month++) {
            int day = LocalDate.of(2001, month, 1).getDayOfYear();
            int after = Math.floorMod(month - LocalDate.ofYearDay(2001, start).getMonthValue(), MONTHS);
            if (after % 2 == 0) {
                ticks.add(new Tick(Month.of(month).getDisplayName(TextStyle.SHORT, Locale.ENGLISH), ripeX(day, start)));
            }
        }
        return ticks;
    }

    private record Chill(ChillModel model, double[] totals, double low, double high) {
        static Chill of(List<VarietyVerdict> compared, ChillModel model, double[] totals) {
            double low = Arrays.stream(totals).min().orElse(0);
            double high = Arrays.stream(totals).max().orElse(1);
            for (VarietyVerdict v : compared) {
                if (v.variety().chillNeed() > 0 && v.variety().chillModel() == model) {
                    low = Math.min(low, v.variety().chillNeed() - v.needHalfWidth());
                    high = Math.max(high, v.variety().chillNeed() + v.needHalfWidth());
                }
            }
            double room = 0.05 * Math.max(1, high - low);
            return new Chill(model, totals, Math.max(0, low - room), high + room);
        }

        double x(double total) {
            return CHILL + WIDE * (total - low) / (high - low);
        }

        String path(double y, java.util.function.DoublePredicate which) {
            return Arrays.stream(totals)
                    .filter(which)
                    .mapToObj(total -> Svg.path("M# #v28", x(total), y + 24))
                    .collect(Collectors.joining());
        }

        List<Tick> ticks() {
            double step = Math.pow(10, Math.floor(Math.log10(high - low)));
            double times = (high - low) / step;
            step *= times > 5 ? 2 : times < 2 ? 0.5 : 1;
            List<Tick> ticks = new ArrayList<>();
            for (double at = Math.ceil(low / step) * step; at <= high; at += step) {
                ticks.add(new Tick(String.valueOf(Math.round(at)), x(at)));
            }
            return ticks;
        }
    }

    private record Springs(int first, int last, List<Tick> ticks) {
        static Springs of(List<VarietyVerdict> compared, VarietyStage stage) {
            List<Bloom> all = compared.stream()
                    .flatMap(v -> stage.springs(v.variety(), Exposure.SCREEN).stream())
                    .flatMap(s -> s.blooms().stream())
                    .filter(bloom -> bloom.flowering().isPresent())
                    .toList();
            if (all.isEmpty()) {
                return new Springs(0, 1, List.of());
            }
            int first = all.stream()
                            .mapToInt(b -> day(b, b.flowering().orElseThrow().first()))
                            .min()
                            .orElse(0)
                    - 15;
            int last = all.stream()
                            .mapToInt(b -> day(b, b.flowering().orElseThrow().end()))
                            .max()
                            .orElse(1)
                    + 3;
            Springs scale = new Springs(first, last, List.of());
            List<Tick> ticks = new ArrayList<>();
            LocalDate begins = all.get(0).spring().hours().first();
            for (LocalDate month = begins; day(all.get(0), month) <= last; month = month.plusMonths(1)) {
                if (day(all.get(0), month) >= first && day(all.get(0), month) < last - EDGE) {
                    ticks.add(new Tick(month.format(DAY), scale.x(day(all.get(0), month))));
                }
            }
            return new Springs(first, last, ticks);
        }

        private static int day(Bloom bloom, LocalDate day) {
            return (int) (day.toEpochDay() - bloom.spring().hours().first().toEpochDay());
        }

        double x(int day) {
            return BLOOM + WIDE * Math.max(0, Math.min(1, (double) (day - first) / (last - first)));
        }

        private static List<Bloom> shown(VarietySprings springs) {
            return springs.blooms()
                    .subList(
                            Math.max(0, springs.blooms().size() - MOST_SPRINGS),
                            springs.blooms().size());
        }

        private static double line(int i, int n, double y) {
            return y + 14 + 56.0 * i / Math.max(1, n - 1);
        }

        /** From the left edge to the last night below −2 °C of each spring. */
        String frost(VarietySprings springs, double y) {
            StringBuilder path = new StringBuilder();
            List<Bloom> shown = shown(springs);
            for (int i = 0; i < shown.size(); i++) {
                var days = shown.get(i).spring().hours().days();
                int latest = -1;
                for (int day = 0; day <= Math.min(last, days.size() - 1); day++) {
                    latest = days.get(day).minimum() < FROST ? day : latest;
                }
                if (latest > first) {
                    path.append(Svg.path("M# #H#", x(first), line(i, shown.size(), y), x(latest)));
                }
            }
            return path.toString();
        }

        String bloom(VarietySprings springs, double y, boolean caught) {
            List<Integer> hit = springs.frosts().stream()
                    .filter(frost -> frost.worst() >= VarietySprings.FELT)
                    .map(FrostKill.Spring::year)
                    .toList();
            StringBuilder path = new StringBuilder();
            List<Bloom> shown = shown(springs);
            for (int i = 0; i < shown.size(); i++) {
                Bloom bloom = shown.get(i);
                if (bloom.flowering().isPresent() && hit.contains(bloom.year()) == caught) {
                    Bloom.Open open = bloom.flowering().get();
                    path.append(Svg.path(
                            "M# #H#",
                            x(day(bloom, open.first())),
                            line(i, shown.size(), y),
                            x(day(bloom, open.end()) + 1)));
                }
            }
            return path.toString();
        }
    }
}
