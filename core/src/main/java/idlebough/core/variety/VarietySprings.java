package idlebough.core.variety;

import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.FrostKill;
import idlebough.core.winter.HeatFit;
import idlebough.core.winter.Season;
import idlebough.core.winter.SeasonHours;
import idlebough.core.winter.StationRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * The springs of one variety at one site: when it would have bloomed in each, and what the frost would have taken.
 *
 * @param heatNeed °C·h from chill met to full bloom
 * @param fit the grower's own dates; null when none can be used
 * @param blooms one for each winter with a whole record to midsummer, oldest first
 * @param frosts the worst night of each, in the same order; empty when the crop's critical temperatures are not known
 */
public record VarietySprings(
        Variety variety, double heatNeed, HeatFit fit, List<Bloom> blooms, List<FrostKill.Spring> frosts) {
    /** A night that takes this share of the blossom is felt in the crop. */
    public static final double FELT = 0.5;

    private static final Map<String, CSVRecord> HEAT = Table.rows("winter/heat.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), row -> row));
    private static final int LAST_GROUP = 5;

    /** Whether bloom can be predicted: a chill need and a heat range of the crop are known. */
    public static boolean known(Variety variety) {
        return variety.chillNeed() > 0 && HEAT.containsKey(variety.crop().key());
    }

    /** @param seen days on which the grower saw it in full bloom */
    public static VarietySprings of(Variety variety, StationRecord record, double latitude, List<LocalDate> seen) {
        double need = usual(variety);
        List<SeasonHours> seasons = new ArrayList<>();
        List<Integer> years = new ArrayList<>();
        Season season = Season.at(latitude);
        if (!record.isEmpty()) {
            for (int year = record.first().getYear(); year <= record.last().getYear() + 1; year++) {
                LocalDate to = season.southern() ? LocalDate.of(year, 12, 15) : LocalDate.of(year, 6, 15);
                SeasonHours hours = SeasonHours.of(record, latitude, season.first(year), to);
                if (hours != null) {
                    seasons.add(hours);
                    years.add(year);
                }
            }
        }
        List<Bloom> blooms = blooms(variety, years, seasons, need);
        HeatFit fit = HeatFit.of(seen, blooms, variety.chillModel(), variety.chillNeed());
        if (fit != null) {
            need = fit.need();
            blooms = blooms(variety, years, seasons, need);
        }
        List<FrostKill.Stage> stages = FrostKill.stages(variety.crop().key());
        return new VarietySprings(
                variety,
                need,
                fit,
                blooms,
                stages.isEmpty()
                        ? List.of()
                        : blooms.stream().map(b -> FrostKill.of(b, stages)).toList());
    }

    private static List<Bloom> blooms(
            Variety variety, List<Integer> years, List<SeasonHours> seasons, double heatNeed) {
        List<Bloom> blooms = new ArrayList<>();
        for (int i = 0; i < years.size(); i++) {
            blooms.add(Bloom.of(years.get(i), seasons.get(i), variety.chillModel(), variety.chillNeed(), heatNeed));
        }
        return List.copyOf(blooms);
    }

    /** The crop's range, read by the variety's bloom group: A the least, F the most (project choice, weak). */
    static double usual(Variety variety) {
        CSVRecord row = HEAT.get(variety.crop().key());
        double low = Table.number(row, "low");
        double high = Table.number(row, "high");
        return low + (high - low) * Math.max(0, Math.min(LAST_GROUP, variety.bloomGroup() - 'A')) / LAST_GROUP;
    }

    /** Day of full bloom in the middle of all springs that bloomed, in a common year; null when none did. */
    public LocalDate middle() {
        List<LocalDate> days = blooms.stream()
                .filter(b -> b.full() != null)
                .map(b -> b.full().toLocalDate().withYear(2027))
                .sorted(Comparator.naturalOrder())
                .toList();
        return days.isEmpty() ? null : days.get(days.size() / 2);
    }

    /** Springs in which one night took at least so much of the blossom. */
    public long hit(double share) {
        return frosts.stream().filter(f -> f.worst() >= share).count();
    }

    public Working needWorking() {
        if (fit != null) {
            return fit.working();
        }
        CSVRecord row = HEAT.get(variety.crop().key());
        return Working.of("How {} °C·h comes about", Amount.count(heatNeed))
                .step(
                        "{}: {} to {} °C·h from chill met to full bloom",
                        variety.crop().name(),
                        Amount.count(Table.number(row, "low")),
                        Amount.count(Table.number(row, "high")))
                .step("bloom group {} of A to F: {}", String.valueOf(variety.bloomGroup()), Amount.count(heatNeed))
                .sensitive("An estimate. Five bloom dates of your own put it right for this place.")
                .from(Source.published("crop ranges of heat (see the table’s header)", Certainty.WEAK));
    }

    public Working frostWorking() {
        Working.Builder working = Working.of(
                        "How {} of {} springs come about", Amount.count(hit(FELT)), Amount.count(frosts.size()))
                .step("The stage of the buds by the share of the heat need reached, each night")
                .step("the night’s minimum against the temperatures that kill a tenth and nine tenths at that stage");
        frosts.stream()
                .filter(f -> f.worst() >= FELT)
                .forEach(f -> working.step(
                        "{}: {} at {}, {} killed",
                        f.night(),
                        Amount.of(f.minimum(), Quantity.TEMPERATURE),
                        f.stage().name(),
                        Amount.of(100 * f.worst(), Quantity.PERCENT)));
        return working.sensitive(
                        "Most sensitive to the day of bloom and to how much colder the trees stand than the screen.")
                .from(Source.published(
                        "Washington State University circulars (Ballard, Proebsting & Tukey)", Certainty.FAIR));
    }
}
