package idlebough.core.variety;

import static idlebough.core.measure.Quantity.PERCENT;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.SpringHours;
import java.time.Month;
import java.util.List;
import java.util.Optional;

/**
 * Whether the months of bloom are warm enough for blossom to set: in how many springs of ten they have the hours that
 * the crop needs ({@code variety/setting.csv}).
 *
 * @param from and to: months of the north in which it blooms, both inclusive
 * @param celsius from which an hour counts
 * @param hours wanted within those months
 */
public record SettingWarmth(Month from, Month to, double celsius, double hours, Source source) {
    public static final Rule RULE = Rule.of("variety.setting");
    private static final RuleTable TABLE = RuleTable.of("variety");
    private static final int HALF_YEAR = 6;
    private static final double WHOLE = 100;
    private static final List<Row> ROWS = Table.rows("variety/setting.csv").stream()
            .map(row -> new Row(
                    row.get("crop"),
                    row.get("type"),
                    new SettingWarmth(
                            Month.of(Integer.parseInt(row.get("from"))),
                            Month.of(Integer.parseInt(row.get("to"))),
                            Table.number(row, "warm"),
                            Table.number(row, "hours"),
                            Source.published(row.get("source"), Certainty.of(row.get("sure"))))))
            .toList();

    private record Row(String crop, String type, SettingWarmth warmth) {}

    /** What a variety needs; empty where that of its crop is not known. */
    public static Optional<SettingWarmth> of(Variety variety) {
        return ROWS.stream()
                .filter(row ->
                        row.crop().equals(variety.crop().key()) && row.type().equals(variety.type()))
                .findFirst()
                .map(Row::warmth)
                .map(usual -> variety.blossom()
                        .months()
                        .map(own -> new SettingWarmth(own.from(), own.to(), usual.celsius, usual.hours, usual.source))
                        .orElse(usual));
    }

    /** Warm hours within the months of bloom of one spring. */
    long warm(SpringHours spring) {
        Month first = spring.southern() ? from.plus(HALF_YEAR) : from;
        int months = Math.floorMod(to.getValue() - from.getValue(), Month.values().length) + 1;
        return spring.hoursFrom(celsius, month -> Math.floorMod(month.getValue() - first.getValue(), 12) < months);
    }

    /** Empty where nothing is known of its need, or springs are too few to tell a share. */
    static Optional<Finding> judge(Variety variety, List<SpringHours> springs) {
        return of(variety)
                .filter(need -> springs.size() >= TABLE.value("share-from"))
                .map(need -> need.judged(variety, springs));
    }

    private Finding judged(Variety variety, List<SpringHours> springs) {
        ChillMatch met = ChillMatch.of(
                hours, springs.stream().mapToDouble(spring -> warm(spring)).toArray());
        int half = springs.get(0).southern() ? HALF_YEAR : 0;
        return RULE.about(Subject.variety(variety.key()))
                .with("variety", variety.name())
                .with("ofTen", Amount.count(met.ofTen()))
                .with("springs", Amount.count(met.winters()))
                .with("hours", Amount.count(hours))
                .with("warm", Amount.of(celsius, TEMPERATURE))
                .with("from", Phrase.of(name(from.plus(half))))
                .with("to", Phrase.of(name(to.plus(half))))
                .remedies(List.of(VarietyRules.seeOthers("remedy.other-bloom", variety)))
                .judge(
                        Measured.of(WHOLE * met.share(), WHOLE * (met.high() - met.low()) / 2, PERCENT),
                        TABLE.atLeast("setting", Quantity.PERCENT).from(source));
    }

    private static String name(Month month) {
        return month.getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.ENGLISH);
    }
}
