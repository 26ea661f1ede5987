package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Form;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Way;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.DayClimate;
import idlebough.core.winter.FrostDates;
import idlebough.core.winter.SoilWarmth;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * When a tree may go in (common practice): bare roots while they sleep in ground that is not frozen, pots when soil is
 * not cold and days not hot, evergreens of warm countries in warm soil after the frosts, avocados by whether there are
 * any.
 */
public final class PlantingSeason {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double FROST = 0;
    /** A frost that one spring in ten has. */
    private static final double RARE = 0.1;

    private static final int FORTNIGHT = 14;
    private static final int YEAR = 366;
    private final Kind kind;
    private final Around around;
    private final Optional<Dormancy> dormancy;
    private final String school;

    /** What decides the season of a tree. */
    public enum Kind {
        BARE("bare roots"),
        POT("in a pot or with a ball"),
        TENDER("evergreen, tender"),
        AVOCADO("avocado"),
        EVERGREEN("evergreen, hardy");
        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        static Kind of(Crop crop, Form form) {
            if (crop.key().equals("avocado")) {
                return AVOCADO;
            }
            if (crop.evergreen()) {
                return crop.coldCelsius() >= TABLE.value("tender") ? TENDER : EVERGREEN;
            }
            return form == Form.BARE ? BARE : POT;
        }
    }

    /** The year of a place. */
    record Around(SoilWarmth soil, DayClimate climate, FrostDates frost) {
        static Around of(WinterStage winters) {
            return new Around(winters.soil(), winters.climate(), winters.frost(FROST));
        }

        Optional<LocalDate> lastFrost() {
            return frost.spring(RARE);
        }

        /** Days until frosts are over; 0 outside the season in which one year in ten has one. */
        long frostFor(LocalDate day) {
            Optional<LocalDate> ends = lastFrost();
            Optional<LocalDate> begins = frost.autumn(RARE);
            if (ends.isEmpty() || begins.isEmpty()) {
                return 0;
            }
            LocalDate end = next(MonthDay.from(ends.get()), day);
            LocalDate begin = next(MonthDay.from(begins.get()), day);
            return end.isBefore(begin) ? ChronoUnit.DAYS.between(day, end) : 0;
        }

        boolean hot(LocalDate day, double above) {
            return climate.after(day, FORTNIGHT)
                    .filter(means -> means.high() > above)
                    .isPresent();
        }

        boolean warm(LocalDate day, double least) {
            OptionalDouble known = soil.on(day);
            return known.isEmpty() || known.getAsDouble() >= least;
        }

        private static LocalDate next(MonthDay of, LocalDate from) {
            LocalDate same = of.atYear(from.getYear());
            return same.isBefore(from) ? of.atYear(from.getYear() + 1) : same;
        }
    }

    private PlantingSeason(Kind kind, Around around, Optional<Dormancy> dormancy, String school) {
        this.kind = kind;
        this.around = around;
        this.dormancy = dormancy;
        this.school = school;
    }

    /**
     * @param dormancy of a bare-root tree; empty for others
     * @param ways school by way
     * @return empty where no record tells of the place, and it is no bare-root tree
     */
    static Optional<PlantingSeason> of(
            Crop crop, Form form, WinterStage winters, Optional<Dormancy> dormancy, Map<String, String> ways) {
        Kind kind = Kind.of(crop, form);
        Way way = kind == Kind.AVOCADO
                ? PlantingWays.AVOCADO
                : kind == Kind.TENDER ? PlantingWays.CITRUS : PlantingWays.POTS;
        return winters.climate().after(LocalDate.of(2027, 6, 1), 1).isEmpty() && dormancy.isEmpty()
                ? Optional.empty()
                : Optional.of(new PlantingSeason(
                        kind,
                        Around.of(winters),
                        dormancy,
                        way.choose(ways.get(way.key())).key()));
    }

    public Kind kind() {
        return kind;
    }

    /** Of the soil on a day, °C; empty where no record tells it. */
    public OptionalDouble soil(LocalDate day) {
        return around.soil().on(day);
    }

    /** Days of frost that lie ahead of a tender tree set on a day; 0 for what stands frost. */
    public long frostAhead(LocalDate day) {
        return kind == Kind.TENDER || kind == Kind.AVOCADO ? around.frostFor(day) : 0;
    }

    /** How warm the soil should be, °C. */
    public double soilWanted() {
        return switch (kind) {
            case BARE -> TABLE.value("soil-least.frozen");
            case POT -> TABLE.value("soil-least.pot");
            case EVERGREEN -> TABLE.value("soil-least.evergreen");
            case AVOCADO -> TABLE.value("soil-least.avocado");
            case TENDER -> school.equals("flush") ? TABLE.value("soil-least.flush") : warm();
        };
    }

    /** Warm soil, or where it never gets so warm the warm part of the year, °C. */
    private double warm() {
        double wanted = TABLE.value("soil-least.tender");
        OptionalDouble warmest = around.soil().warmest();
        return warmest.isEmpty() ? wanted : Math.min(wanted, warmest.getAsDouble() - SoilWarmth.KNOWN_TO);
    }

    /** Above which mean highs it is too hot to plant, °C. */
    private double heat() {
        return TABLE.value(kind == Kind.TENDER ? "heat-most.tender" : "heat-most.usual");
    }

    /** Whether it may go in on that day. */
    public boolean fits(LocalDate day) {
        if (kind == Kind.BARE) {
            return dormancy.map(sleeps -> sleeps.outside(day) < 0).orElse(true) && around.warm(day, soilWanted());
        }
        return around.warm(day, soilWanted()) && !around.hot(day, heat()) && frostAhead(day) == 0;
    }

    /** Whether it is the season that its school prefers. */
    private boolean preferred(LocalDate day) {
        boolean falling = around.soil().on(day).orElse(0)
                > around.soil().on(day.plusDays(FORTNIGHT)).orElse(0);
        return switch (kind) {
            case POT -> school.equals("any") || school.equals("autumn") == falling;
            case AVOCADO -> school.equals("spring") || around.lastFrost().isPresent() ? !falling : falling;
            default -> true;
        };
    }

    /** Days from a day to the nearest on which it may go in; 0 where it may. */
    public long outside(LocalDate day) {
        for (int off = 0; off < YEAR / 2; off++) {
            if (fits(day.plusDays(off)) || fits(day.minusDays(off))) {
                return off;
            }
        }
        return YEAR / 2;
    }

    /** The first day from then on that begins a good fortnight; empty where the year has none. */
    public Optional<LocalDate> next(LocalDate from) {
        return fortnight(from, true).or(() -> fortnight(from, false));
    }

    private Optional<LocalDate> fortnight(LocalDate from, boolean preferred) {
        int good = 0;
        for (int off = 0; off < YEAR + FORTNIGHT; off++) {
            LocalDate day = from.plusDays(off);
            good = fits(day) && (!preferred || preferred(day)) ? good + 1 : 0;
            if (good == FORTNIGHT) {
                return Optional.of(day.minusDays(FORTNIGHT - 1));
            }
        }
        return Optional.empty();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof PlantingSeason season
                && kind == season.kind
                && around.equals(season.around)
                && dormancy.equals(season.dormancy)
                && school.equals(season.school);
    }

    @Override
    public int hashCode() {
        return Objects.hash(kind, dormancy, school);
    }

    public Working soilWorking(LocalDate day) {
        return Working.of(
                        "How {} comes about", Amount.of(around.soil().on(day).orElse(Double.NaN), Quantity.TEMPERATURE))
                .step("The soil at {} follows the air by a tenth of the difference a day", cm(0.2))
                .step("over all days of the record; the mean of this day of the year, to 2 K")
                .sensitive("Most sensitive to cover: bare dark soil is warmer in spring, mulch keeps it cool.")
                .from(RuleTable.of("winter").source("soil-follows"));
    }
}
