package idlebough.core.variety;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Rule;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.WinterLedger;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A tree in a pot that goes under cover where the ground outdoors is too cold for it ({@code variety/pots.csv}).
 *
 * @param litres that it ends in
 * @param carryIn °C, forecast at which it is carried in
 */
public record Pot(double litres, double carryIn) {
    public static final Rule RULE = Rule.of("variety.pot");
    /** What a pot under cover does away with. */
    private static final Set<Rule> SHELTERED =
            Set.of(VarietyRules.COLD, VarietyRules.FROST, VarietyRules.DRAINAGE, VarietyRules.PH, VarietyRules.SALT);

    private static final Source SOURCE = Source.practice(
            "citrus in open ground from about zone 8 up, colder than that in a container that can be wheeled under cover");
    private static final Map<String, Pot> POTS = Table.rows("variety/pots.csv").stream()
            .collect(Collectors.toUnmodifiableMap(
                    row -> row.get("crop"),
                    row -> new Pot(Table.number(row, "litres"), Table.number(row, "carry_in"))));

    /** Empty for crops that outgrow any pot. */
    public static Optional<Pot> of(Crop crop) {
        return Optional.ofNullable(POTS.get(crop.key()));
    }

    static boolean shelters(Finding finding) {
        return SHELTERED.contains(finding.rule());
    }

    /** In how many winters it has to be carried in; empty without whole winters. */
    public Optional<Finding> judge(Variety variety, WinterLedger winters) {
        double[] lowest = winters.lowest();
        return lowest.length == 0
                ? Optional.empty()
                : Optional.of(RULE.about(Subject.variety(variety.key()))
                        .with("variety", variety.name())
                        .with("carry", Amount.of(carryIn, Quantity.TEMPERATURE))
                        .with("litres", Amount.litres(litres))
                        .with(
                                "cold",
                                Amount.count(Arrays.stream(lowest)
                                        .filter(night -> night < carryIn)
                                        .count()))
                        .with("winters", Amount.count(lowest.length))
                        .stands(Standing.SOUND, SOURCE));
    }
}
