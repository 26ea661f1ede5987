package idlebough.core.winter;

import static idlebough.core.measure.Quantity.DECIMAL;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Working;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One winter computed.
 *
 * @param year in which it ends
 * @param missingDays days of the window without any measurement
 * @param neighbourDays days of the window that another station gave
 * @param totals per model; empty when the winter is left out
 * @param daily running total at the end of each day of the window, per model
 * @param utahFrom first hour that counts in Utah units, where they begin at their own start
 * @param lowest temperature of the window, °C; NaN when left out
 */
public record Winter(
        int year,
        StationRecord.Status status,
        int missingDays,
        int neighbourDays,
        Map<ChillModel, Double> totals,
        Map<ChillModel, List<Double>> daily,
        Optional<LocalDateTime> utahFrom,
        double lowest) {
    public boolean usable() {
        return status.usable();
    }

    /**
     * How this winter's total comes about: its days and where they are from, and how far it was at the end of each
     * month.
     *
     * @throws IllegalStateException when it was left out
     */
    public Working working(ChillModel model, Season season) {
        List<Double> running = daily.get(model);
        if (running == null) {
            throw new IllegalStateException("The winter of " + year + " was left out: " + status.words() + ".");
        }
        LocalDate first = season.first(year);
        Working.Builder steps = Working.of("How {} in {} comes about", Amount.of(totals.get(model), DECIMAL), year)
                .step(
                        "{} days, {} to {}, each by its 24 hours, or by the curve of its extremes where those are not known",
                        Amount.count(running.size()),
                        first,
                        season.last(year));
        if (missingDays + neighbourDays > 0) {
            steps.step(
                    "{} days bridged by straight lines, {} borrowed from another station",
                    Amount.count(missingDays),
                    Amount.count(neighbourDays));
        }
        if (model == ChillModel.UTAH && utahFrom.isPresent()) {
            steps.step(
                    "counted from {} on, when the running sum of autumn was lowest",
                    utahFrom.get().toLocalDate());
        }
        for (int day = 0; day < running.size(); day++) {
            LocalDate date = first.plusDays(day);
            if (date.getDayOfMonth() == date.lengthOfMonth()) {
                steps.step("by {}: {}", date, Amount.of(running.get(day), DECIMAL));
            }
        }
        return steps.sensitive("Most sensitive to the mild days in the middle of it, and to its first day.")
                .from(model.source());
    }
}
