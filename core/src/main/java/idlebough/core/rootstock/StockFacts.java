package idlebough.core.rootstock;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Cropping;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.VarietyTypes;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/** What the catalogue holds of a stock beside its size and its bearing of the ground. What is not known is absent. */
public final class StockFacts {
    private static final List<String> SUCKERS = List.of("none", "few", "some", "many");
    private static final List<String> ROOTING = List.of("shallow", "as deep as most", "deep");
    private static final List<String> HOLD = List.of("poorly", "fairly", "well", "very well");
    private static final List<String> HURT = List.of("hardly at all", "little", "somewhat", "badly");

    private static final Map<String, CSVRecord> ROOTS = Table.rows("crop/fao56.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), Function.identity()));

    private StockFacts() {}

    /** Each by what it is a value of; what a tree of a crop brings on it first. */
    public static Map<String, Phrase> of(Crop crop, Rootstock stock) {
        Rootstock.Traits traits = stock.traits();
        Map<String, Phrase> facts = new LinkedHashMap<>();
        Cropping.of(crop, Optional.of(stock)).ifPresent(brings -> {
            facts.put(
                    "Crops",
                    Phrase.of(
                            "from year {}, in full from year {}",
                            Amount.count(brings.first()),
                            Amount.count(brings.full())));
            facts.put(
                    "A full crop",
                    Phrase.of(
                            "{} to {}",
                            Amount.of(brings.kg().low(), Quantity.MASS),
                            Amount.of(brings.kg().high(), Quantity.MASS)));
            if (traits.life().isEmpty()) {
                facts.put(
                        "A tree on it is kept",
                        Phrase.of(
                                "{} to {} years",
                                Amount.count(brings.life().low()),
                                Amount.count(brings.life().high())));
            }
        });
        Optional.ofNullable(ROOTS.get(crop.key()))
                .ifPresent(row -> facts.put(
                        "Roots of its kind of fruit go down",
                        Phrase.of(
                                "{} to {}, where the soil lets them (FAO-56, table 22)",
                                Amount.metres(Table.number(row, "low")),
                                Amount.metres(Table.number(row, "high")))));
        traits.coldCelsius()
                .ifPresent(cold -> facts.put(
                        "Roots are badly hurt in soil of", Phrase.of("{}", Amount.of(cold, Quantity.TEMPERATURE))));
        traits.life()
                .ifPresent(years -> facts.put(
                        "A tree on it is kept",
                        Phrase.of("{} to {} years", Amount.count(years.low()), Amount.count(years.high()))));
        if (!traits.ills().isEmpty()) {
            facts.put(
                    "Ills hurt it",
                    Phrase.of(traits.ills().entrySet().stream()
                            .map(ill ->
                                    VarietyTypes.ill(ill.getKey()).orElseThrow().words() + " "
                                            + HURT.get(ill.getValue()))
                            .collect(Collectors.joining(", "))));
        }
        traits.suckers().ifPresent(many -> facts.put("Suckers", Phrase.of(SUCKERS.get(many))));
        traits.roots().ifPresent(deep -> facts.put("Its own roots go", Phrase.of(ROOTING.get(deep))));
        traits.replant().ifPresent(well -> facts.put("Bears replanting", Phrase.of(HOLD.get(well))));
        traits.anchorage().ifPresent(hold -> facts.put("Holds in the ground", Phrase.of(HOLD.get(hold))));
        if (!stock.told().points().isEmpty()) {
            facts.put("Also", Phrase.of(stock.told().points()));
        }
        facts.put("How sure", Phrase.of(stock.told().certainty().word() + ", from memory"));
        return facts;
    }
}
