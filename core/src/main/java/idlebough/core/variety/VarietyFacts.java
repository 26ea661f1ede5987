package idlebough.core.variety;

import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Ripening;
import idlebough.core.crop.Variety;
import idlebough.core.crop.VarietyTypes;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What the catalogue holds of a variety, value by value, each with where it comes from. What is not known is absent. */
public final class VarietyFacts {
    /** Inter-incompatible groups of sweet cherries by their alleles (Crane & Brown 1937; Tobutt et al. 2004). */
    private static final Map<String, String> CHERRY_GROUPS = Table.rows("pollination/cherry_groups.csv").stream()
            .collect(Collectors.toMap(
                    row -> row.get("s"), row -> row.get("group"), (first, again) -> first, LinkedHashMap::new));

    private VarietyFacts() {}

    /** @param name what it is a value of */
    public record Fact(String name, Phrase value, Source source) {}

    public static List<Fact> of(Variety variety) {
        List<Fact> facts = new ArrayList<>();
        chill(variety, facts);
        if (variety.bloomGroup() != 0) {
            tell(facts, variety, "bloom", "Bloom within its crop", Phrase.of("{}", bloom(variety.bloomGroup())));
        }
        variety.blossom()
                .days()
                .ifPresent(days -> tell(
                        facts,
                        variety,
                        "bloom_days",
                        "Full bloom against the crop’s middle",
                        Phrase.of(days < 0 ? "{} days before" : "{} days after", Amount.count(Math.abs(days)))));
        genes(variety, facts);
        if (!variety.type().isEmpty()) {
            tell(
                    facts,
                    variety,
                    "type",
                    "Kind",
                    Phrase.of(VarietyTypes.words(variety.crop().key(), variety.type())
                            .orElseThrow()));
        }
        tell(facts, variety, "self", "Alone it sets", Phrase.of(alone(variety.selfFruitful())));
        tell(
                facts,
                variety,
                "pollen",
                "Its pollen",
                Phrase.of(variety.givesPollen() ? "serves others" : "serves nobody"));
        ripening(variety, facts);
        tell(
                facts,
                variety,
                "cold_c",
                "Hardened wood is usually safe to",
                Phrase.of("{}", Amount.of(variety.coldCelsius(), Quantity.TEMPERATURE)));
        if (!variety.ills().isEmpty()) {
            tell(facts, variety, "ills", "Ills", ills(variety));
        }
        tell(facts, variety, "uses", "Wanted for", Phrase.of(variety.uses()));
        return List.copyOf(facts);
    }

    private static void tell(List<Fact> facts, Variety variety, String column, String name, Phrase value) {
        facts.add(new Fact(name, value, VarietyTypes.origin(column, variety)));
    }

    private static void chill(Variety variety, List<Fact> facts) {
        Variety.ChillNeed need = variety.chill();
        if (need.amount() <= 0) {
            return;
        }
        ChillModel model = need.model();
        facts.add(new Fact(
                "Chill needed",
                need.low() == need.high()
                        ? Phrase.of("{} " + model.unit(), Amount.count(need.amount()))
                        : Phrase.of("{} to {} " + model.unit(), Amount.count(need.low()), Amount.count(need.high())),
                variety.chillSource()));
    }

    private static void genes(Variety variety, List<Fact> facts) {
        tell(facts, variety, "ploidy", "Sets of chromosomes", Phrase.of("{}", Amount.count(variety.ploidy())));
        if (!variety.alleles().isEmpty()) {
            String group = variety.crop().key().equals("sweet-cherry") ? CHERRY_GROUPS.get(variety.alleles()) : null;
            String shown = variety.blossom().shown();
            String words = variety.alleles()
                    + (group == null ? "" : ", incompatibility group " + group)
                    + (shown.isEmpty() ? "" : "; its pollen shows " + shown);
            tell(facts, variety, "s", "S alleles", Phrase.of(words));
        }
    }

    private static void ripening(Variety variety, List<Fact> facts) {
        Ripening ripening = variety.habit().ripening();
        ripening.afterBloom()
                .ifPresent(span -> tell(
                        facts,
                        variety,
                        "after_bloom",
                        "From full bloom to ripe",
                        Phrase.of("{} to {} days", Amount.count(span.low()), Amount.count(span.high()))));
        ripening.keepsWeeks()
                .filter(weeks -> weeks > 0)
                .ifPresent(weeks -> tell(
                        facts,
                        variety,
                        "keeps",
                        "Keeps",
                        Phrase.of(weeks == 1 ? "{} week" : "{} weeks", Amount.count(weeks))));
    }

    private static String bloom(char letter) {
        return letter
                + (letter == 'A' ? ", the earliest" : letter < 'C' ? ", early" : letter == 'C' ? ", middle" : ", late");
    }

    private static String alone(double self) {
        return self >= 0.8 ? "a full crop" : self >= 0.3 ? "something" : "little or nothing";
    }

    private static Phrase ills(Variety variety) {
        return Phrase.of(variety.ills().entrySet().stream()
                .map(ill -> VarietyTypes.ill(ill.getKey()).orElseThrow().words() + " " + grade(ill.getValue()))
                .collect(Collectors.joining(", ")));
    }

    private static String grade(int grade) {
        return switch (grade) {
            case 0 -> "hardly at all";
            case 1 -> "little";
            case 2 -> "somewhat";
            default -> "badly";
        };
    }
}
