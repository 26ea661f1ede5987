package idlebough.core.variety;

import idlebough.core.crop.Ripening;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.time.LocalDate;
import java.time.Month;
import java.util.Optional;

/**
 * When a variety ripens at one site.
 *
 * @param from and to: days of a year without 29 February, 1 to 365, both inclusive; {@code to} before {@code from} runs
 *     over the new year
 * @param working how it comes about
 * @param byBloom whether it was counted from the bloom of the springs here, and not moved from another latitude
 */
public record RipeWindow(int from, int to, boolean byBloom, Working working) {
    private static final RuleTable TABLE = RuleTable.of("variety");
    private static final int YEAR = 365;
    private static final int WEEKS = 52;
    private static final int DAYS_OF_WEEK = 7;
    private static final int ANY_YEAR = 2001;

    /**
     * From the days between bloom and ripeness where they are known and its bloom here can be reckoned; else from the
     * days told for another latitude, later towards the pole.
     *
     * @param springs of the variety here
     * @param latitude south negative
     */
    public static RipeWindow of(Variety variety, Optional<VarietySprings> springs, double latitude) {
        Ripening ripening = variety.habit().ripening();
        return ripening.afterBloom()
                .flatMap(span -> springs.flatMap(VarietySprings::middle).map(full -> byBloom(variety, span, full)))
                .orElseGet(() -> moved(variety, ripening, latitude));
    }

    private static RipeWindow byBloom(Variety variety, Ripening.Span span, LocalDate full) {
        return new RipeWindow(
                day(full.plusDays(Math.round(span.low()))),
                day(full.plusDays(Math.round(span.high()))),
                true,
                Working.of("When {} ripens", variety.name())
                        .step("full bloom in a median spring {}", full)
                        .step(
                                "{} to {} days from full bloom to ripe",
                                Amount.count(span.low()),
                                Amount.count(span.high()))
                        .sensitive("Warm weeks after bloom bring it forward: ten days either way are usual.")
                        .from(TABLE.source("ripe-by-bloom")));
    }

    private static RipeWindow moved(Variety variety, Ripening ripening, double latitude) {
        double degrees =
                ripening.latitude().map(told -> Math.abs(latitude) - told).orElse(0.0);
        double most = TABLE.value("ripe-most");
        double later = variety.crop().evergreen()
                ? 0
                : Math.max(-most, Math.min(most, degrees * TABLE.value("ripe-per-degree")));
        long shift = Math.round(later);
        LocalDate first = ripening.from().atYear(ANY_YEAR).plusDays(shift).plusMonths(latitude < 0 ? 6 : 0);
        LocalDate last = first.plusDays(ripening.days());
        Working.Builder steps = Working.of("When {} ripens", variety.name());
        if (ripening.latitude().isPresent()) {
            steps.step(
                    "told for {} degrees of latitude: {} to {} in the north",
                    Amount.count(ripening.latitude().get()),
                    ripening.from().atYear(ANY_YEAR),
                    ripening.to().atYear(ANY_YEAR));
        } else {
            steps.step("only a month of the north is told");
        }
        return new RipeWindow(
                day(first),
                day(last),
                false,
                steps.step(
                                variety.crop().evergreen()
                                        ? "an evergreen holds its fruit: not moved"
                                        : "moved {} days by latitude",
                                Amount.count(shift))
                        .step(latitude < 0 ? "half a year later in the south" : "as told in the north")
                        .sensitive("An estimate: height, walls and warm springs move it by weeks.")
                        .from(TABLE.source("ripe-per-degree")));
    }

    private static int day(LocalDate date) {
        return Math.min(YEAR, date.withYear(ANY_YEAR).getDayOfYear());
    }

    /** Days, both ends counted. */
    public int days() {
        return Math.floorMod(to - from, YEAR) + 1;
    }

    public LocalDate first() {
        return LocalDate.ofYearDay(ANY_YEAR, from);
    }

    public LocalDate last() {
        return LocalDate.ofYearDay(ANY_YEAR, to);
    }

    /** The month of the day half way. */
    public Month month() {
        return LocalDate.ofYearDay(ANY_YEAR, Math.floorMod(from + days() / 2 - 1, YEAR) + 1)
                .getMonth();
    }

    /** Whether some of it falls in a week of the year, 1 to 52, the last one eight days long. */
    public boolean covers(int week) {
        for (int i = 0; i < days(); i++) {
            if (week(from + i) == week) {
                return true;
            }
        }
        return false;
    }

    /** The week in which a day of the year falls; days past the year’s end count on into the next. */
    static int week(int day) {
        return Math.min(WEEKS, (Math.floorMod(day - 1, YEAR)) / DAYS_OF_WEEK + 1);
    }

    /** How sure it is. */
    public Source source() {
        return new Source(
                Source.Kind.OWN_CHOICE,
                TABLE.source(byBloom ? "ripe-by-bloom" : "ripe-per-degree").citation(),
                byBloom ? Certainty.FAIR : Certainty.WEAK);
    }
}
