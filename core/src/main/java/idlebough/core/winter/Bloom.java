package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * When a variety blooms in one spring, by the sequential model: chill from the season's start until its need is met,
 * then
 * heat from the next hour until its need is met (common practice; heat after Anderson, Richardson & Kesner 1986, Acta
 * Hort. 184:71). A date is good to
 * ±5 to
 * 7 days (common practice), never to the hour.
 *
 * @param chillMet null when the chill was never met; then nothing else is known
 * @param chill sum at that hour, or at the window's end
 * @param full full bloom; null when the heat was never met
 * @param heat sum at that hour, or at the window's end
 * @param first and end: first open flowers and last petals, at 0.96 and 1.12 of the heat, 4 to 18 days apart; null when
 *     full is
 */
public record Bloom(
        int year,
        LocalDateTime chillMet,
        double chill,
        LocalDateTime full,
        double heat,
        LocalDate first,
        LocalDate end,
        SeasonHours hours,
        double heatNeed) {
    /** Fractions of the heat need at which the stages come (project choice, weak: own dates correct them). */
    public static final double FIRST = 0.96;

    public static final double END = 1.12;
    private static final int SHORTEST = 4;
    private static final int LONGEST = 18;

    /** @param hours from the start of the season to well after bloom */
    public static Bloom of(int year, SeasonHours hours, ChillModel model, double chillNeed, double heatNeed) {
        ChillState chill = ChillState.of(model);
        double[] celsius = hours.celsius();
        int met = -1;
        for (int h = 0; h < celsius.length; h++) {
            if (chill.accept(celsius[h]) >= chillNeed) {
                met = h;
                break;
            }
        }
        if (met < 0) {
            return new Bloom(year, null, chill.total(), null, 0, null, null, hours, heatNeed);
        }
        double heat = 0;
        double atFull = 0;
        int first = -1;
        int full = -1;
        int end = -1;
        for (int h = met + 1; h < celsius.length && end < 0; h++) {
            heat += Heat.of(celsius[h]);
            first = first < 0 && heat >= FIRST * heatNeed ? h : first;
            if (full < 0 && heat >= heatNeed) {
                full = h;
                atFull = heat;
            }
            end = heat >= END * heatNeed ? h : end;
        }
        if (full < 0) {
            return new Bloom(year, hours.at(met), chill.total(), null, heat, null, null, hours, heatNeed);
        }
        LocalDate begins = hours.at(first).toLocalDate();
        LocalDate ends = end < 0 ? begins.plusDays(LONGEST) : hours.at(end).toLocalDate();
        ends = ends.isBefore(begins.plusDays(SHORTEST - 1)) ? begins.plusDays(SHORTEST - 1) : ends;
        ends = ends.isAfter(begins.plusDays(LONGEST - 1)) ? begins.plusDays(LONGEST - 1) : ends;
        return new Bloom(year, hours.at(met), chill.total(), hours.at(full), atFull, begins, ends, hours, heatNeed);
    }

    /**
     * Heat from the hour after the chill was met to noon of a day, °C·h; null when the day is before it or beyond the
     * window.
     */
    public Double heatUntil(LocalDate day) {
        if (chillMet == null || !day.atTime(12, 0).isAfter(chillMet)) {
            return null;
        }
        long from = java.time.Duration.between(hours.first().atStartOfDay(), chillMet)
                        .toHours()
                + 1;
        long to = java.time.Duration.between(hours.first().atStartOfDay(), day.atTime(12, 0))
                .toHours();
        if (to >= hours.celsius().length) {
            return null;
        }
        double heat = 0;
        for (int h = (int) from; h <= to; h++) {
            heat += Heat.of(hours.celsius()[h]);
        }
        return heat;
    }
}
