package idlebough.core.site;

import idlebough.core.crop.Variety;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Limit;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How much direct sun a variety wants while in leaf: what its crop wants, or less where it is known to bear shade
 * ({@code site/shade.csv}).
 *
 * @param hours a day
 * @param late hours after noon that are among them and without which the crop's full hours are wanted; 0 for none
 * @param source of what stands in the place of the crop's hours; empty where the crop's hold
 */
public record SunWanted(double hours, double late, Optional<Source> source) {
    private static final RuleTable TABLE = RuleTable.of("site");
    private static final List<Bears> SHADE = Table.rows("site/shade.csv").stream()
            .map(row -> new Bears(
                    row.get("about"),
                    Table.number(row, "hours"),
                    row.get("late").isEmpty() ? 0 : Table.number(row, "late"),
                    Source.published(row.get("source"), Certainty.of(row.get("sure")))))
            .toList();

    private record Bears(String about, double hours, double late, Source source) {}

    /** @param afternoon hours after noon that the place has; empty where that is not known */
    public static SunWanted of(Variety variety, Optional<Double> afternoon) {
        double full = variety.crop().sunHours();
        return Stream.of(variety.key(), variety.crop().key())
                .flatMap(about -> SHADE.stream().filter(row -> row.about().equals(about)))
                .findFirst()
                .filter(row -> row.late() <= afternoon.orElse(0.0))
                .map(row -> new SunWanted(row.hours(), row.late(), Optional.of(row.source())))
                .orElseGet(() -> new SunWanted(full, 0, Optional.empty()));
    }

    /** Of a place's hours in leaf. */
    public Limit limit() {
        Limit usual = TABLE.limit("sun", hours, Quantity.HOURS, Limit.Side.AT_LEAST);
        return source.map(usual::from).orElse(usual);
    }

    /** Which sentence says so. */
    public String variant() {
        return late > 0 ? "late" : source.isPresent() ? "shade" : "";
    }
}
