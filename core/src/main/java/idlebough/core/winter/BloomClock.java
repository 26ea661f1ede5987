package idlebough.core.winter;

import static idlebough.core.judge.Table.number;

import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * What makes one crop and bloom letter open: each hour's heat ({@link Heat}) counts with a weight that rises with the
 * chill portions C so far, w = 1 / (1 + e^(−0.07 (C − C½))); full bloom is the first hour at which Σ w·heat reaches the
 * need (project choice, fitted; {@code winter/bloom.csv} says to what).
 *
 * <p>C½ says when half of the warmth counts. It is no requirement: whether a variety's own chill is met is judged apart,
 * and a winter too short makes bloom late, not absent. Needs are good only with the season starts of {@link Season}.
 *
 * @param half C½, portions
 * @param need Σ w·heat to full bloom, °C·h
 * @param first and end: shares of the need at which the flowers open and the petals fall
 * @param told how the need came to be known
 * @see Bloom
 */
public record BloomClock(double half, double need, double first, double end, Told told) {
    private static final double SLOPE = 0.07;
    private static final String LOW = "-low";
    private static final double LOW_HOURS = 350;
    private static final double LOW_PORTIONS = 30;
    private static final Map<String, CSVRecord> TABLE = Table.rows("winter/bloom.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), row -> row));

    /**
     * @param crop in words
     * @param letter bloom letter; 0 for none
     * @param low and high: middle 80 % of the districts to which letter C was fitted; NaN when they are too few
     * @param rms of the predicted less the remembered mean dates, days
     */
    public record Told(
            String crop, char letter, double atC, double low, double high, double rms, Certainty certainty) {}

    /** Empty where the crop was not fitted: no date is told, and no years in ten. */
    public static Optional<BloomClock> of(Variety variety) {
        return of(variety.crop().like(), variety.bloomGroup(), lowChill(variety));
    }

    /** @param letter A the earliest; 0 stands for C */
    public static Optional<BloomClock> of(String crop, char letter, boolean lowChill) {
        CSVRecord row = lowChill && TABLE.containsKey(crop + LOW) ? TABLE.get(crop + LOW) : TABLE.get(crop);
        if (row == null) {
            return Optional.empty();
        }
        double step = row.get("step").isEmpty() ? 0 : number(row, "step");
        double atC = number(row, "need");
        return Optional.of(new BloomClock(
                number(row, "half"),
                atC * (1 + step * (letter == 0 ? 0 : letter - 'C')),
                number(row, "first"),
                number(row, "end"),
                new Told(
                        row.get("words"),
                        step == 0 ? 0 : letter,
                        atC,
                        row.get("low").isEmpty() ? Double.NaN : number(row, "low"),
                        row.get("high").isEmpty() ? Double.NaN : number(row, "high"),
                        number(row, "rms"),
                        Certainty.of(row.get("sure")))));
    }

    private static boolean lowChill(Variety variety) {
        ChillModel model = variety.chillModel();
        return model == ChillModel.PORTIONS
                ? variety.chillNeed() <= LOW_PORTIONS
                : (model == ChillModel.HOURS || model == ChillModel.HOURS_BELOW) && variety.chillNeed() <= LOW_HOURS;
    }

    /** The same clock with a need of one's own. */
    public BloomClock withNeed(double own) {
        return new BloomClock(half, own, first, end, told);
    }

    /** Share of an hour's heat that counts after so many portions. */
    static double weight(double portions, double half) {
        return 1 / (1 + Math.exp(-SLOPE * (portions - half)));
    }

    /** Σ w·heat from the season's start to noon of a day, °C·h; empty outside the spring. */
    public Optional<Double> forcedBy(LocalDate day, SpringHours spring) {
        return spring.index(day.atTime(12, 0)).map(noon -> spring.forced(half)[noon]);
    }

    /** How the need comes about when no date of one's own tells it. */
    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", Amount.of(need, Quantity.HEAT))
                .step(
                        "Each hour’s warmth counts by 1 / (1 + e^(−0.07·(C − {}))), C the chill portions so far",
                        Amount.count(half));
        if (Double.isNaN(told.low())) {
            steps.step("{}: {}", told.crop(), Amount.of(told.atC(), Quantity.HEAT));
        } else {
            steps.step(
                    "{} of letter C: {}; the middle eight tenths of districts {} to {}",
                    told.crop(),
                    Amount.of(told.atC(), Quantity.HEAT),
                    Amount.of(told.low(), Quantity.HEAT),
                    Amount.of(told.high(), Quantity.HEAT));
        }
        if (told.letter() != 0) {
            steps.step("bloom letter {}: {}", String.valueOf(told.letter()), Amount.of(need, Quantity.HEAT));
        }
        return steps.step(
                        "against {} mean bloom dates of districts, root mean square {} days",
                        told.crop(),
                        Amount.of(told.rms(), Quantity.DECIMAL))
                .sensitive("An estimate. Five bloom dates of your own put it right for this place.")
                .from(new Source(
                        Source.Kind.OWN_CHOICE,
                        "fitted to mean full-bloom dates of 46 fruit districts, from memory; heat after Anderson et al."
                                + " 1986, chill after Fishman et al. 1987",
                        told.certainty()));
    }
}
