package idlebough.app.winter;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.SafeChill;
import idlebough.core.winter.Stations;
import idlebough.core.winter.Winter;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Sentences of the winters' pages. */
final class WinterWords {
    private static final int ENOUGH = 10;
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private WinterWords() {}

    /** What nine winters of ten reach, and how well that is known. */
    static Phrase reaches(SafeChill safe, SafeChill.Interval interval, boolean synthetic) {
        boolean few = safe.winters() < ENOUGH;
        return Phrase.of(
                (few
                                ? "What nine winters of ten reach cannot be said yet: it may be anything from {} to {}"
                                : "The true level of nine in ten lies between {} and {}")
                        + (synthetic
                                ? ", and a degree in the means is in that."
                                : ", as far as " + safe.winters() + " winters can tell.")
                        + " Half of the winters gave more than the median one, half less.",
                chill(interval.low(), safe.model()),
                chill(interval.high(), safe.model()));
    }

    static Phrase soFar(WinterController.SoFar now, ChillModel model) {
        return Phrase.of(
                "This winter so far, on {}: {} {}. On that day a median winter had {}, the mildest {}.",
                SHORT.format(now.day()),
                chill(now.total(), model),
                model.unit(),
                chill(now.median(), model),
                chill(now.least(), model));
    }

    /** What is special about one winter of the table. */
    static String note(Winter winter, ChillModel model) {
        List<String> notes = new ArrayList<>();
        if (winter.missingDays() > 0) {
            notes.add(winter.missingDays() + " bridged");
        }
        if (winter.neighbourDays() > 0) {
            notes.add(winter.neighbourDays() + " borrowed");
        }
        if (winter.utahFrom().isPresent() && model == ChillModel.UTAH) {
            notes.add("from " + SHORT.format(winter.utahFrom().get()));
        }
        return String.join(", ", notes);
    }

    static Phrase lends(Stations.Borrowed lent) {
        if (lent.days() == 0) {
            return Phrase.of("Lends no days.");
        }
        return lent.paired() == 0
                ? Phrase.of(
                        "Lends {} days, by its correction: too few days in common to measure the difference.",
                        lent.days())
                : Phrase.of(
                        "Lends {} days, {} of them by the difference measured on common days: minima {}, maxima {} in "
                                + "the mean.",
                        lent.days(),
                        lent.paired(),
                        Amount.of(lent.minima(), Quantity.TEMPERATURE_STEP),
                        Amount.of(lent.maxima(), Quantity.TEMPERATURE_STEP));
    }

    private static Amount chill(double total, ChillModel model) {
        return Amount.of(total, model == ChillModel.PORTIONS ? Quantity.DECIMAL : Quantity.COUNT);
    }
}
