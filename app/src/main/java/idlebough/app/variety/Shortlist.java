package idlebough.app.variety;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Standing;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import idlebough.core.variety.Wishes;
import java.time.DateTimeException;
import java.time.Month;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * The varieties of the catalogue that were asked for, in the order of the wishes.
 *
 * @param crop key; empty for all
 * @param words that the name must hold; empty for any
 * @param hideStops whether those that will not do here are left out
 * @param listed in order
 */
public record Shortlist(String crop, String words, boolean hideStops, Wishes wishes, List<VarietyVerdict> listed) {

    /** @param pins varieties that go first whatever their standing */
    static Shortlist of(VarietyStage stage, Map<String, String> asked, Set<String> pins) {
        String typed = asked.getOrDefault("crop", "");
        Optional<Crop> crop = stage.catalogue().findCrop(typed);
        String words = asked.getOrDefault("q", "").strip();
        boolean hide = asked.containsKey("hide");
        Wishes wishes = new Wishes(
                month(asked.getOrDefault("month", "")),
                use(asked.getOrDefault("use", "")),
                asked.containsKey("sprays"),
                asked.containsKey("soon"),
                asked.containsKey("easy"));
        String like = words.toLowerCase(Locale.ROOT);
        List<VarietyVerdict> listed = stage.verdicts().stream()
                .filter(v -> crop.isEmpty() || v.variety().crop().equals(crop.get()))
                .filter(v -> v.variety().label().toLowerCase(Locale.ROOT).contains(like))
                .filter(v ->
                        !hide || v.standing().filter(s -> s == Standing.STOP).isEmpty())
                .sorted(Comparator.comparing(
                                (VarietyVerdict v) -> !pins.contains(v.variety().key()))
                        .thenComparing(wishes.order(stage::ripe)))
                .toList();
        return new Shortlist(crop.map(Crop::key).orElse(""), words, hide, wishes, listed);
    }

    private static Optional<Month> month(String typed) {
        try {
            return typed.matches("[0-9]{1,2}") ? Optional.of(Month.of(Integer.parseInt(typed))) : Optional.empty();
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    private static Optional<Wishes.Use> use(String typed) {
        return Stream.of(Wishes.Use.values())
                .filter(use -> use.name().equals(typed))
                .findFirst();
    }

    /** Number of the month wished for; 0 for none. */
    public int month() {
        return wishes.month().map(Month::getValue).orElse(0);
    }

    /** Name of the use wished for; empty for none. */
    public String use() {
        return wishes.use().map(Enum::name).orElse("");
    }

    public Wishes.Use[] uses() {
        return Wishes.Use.values();
    }

    /** The question as a query that asks it again, without a question mark. */
    public String query() {
        UriComponentsBuilder query = UriComponentsBuilder.newInstance();
        if (!crop.isEmpty()) {
            query.queryParam("crop", crop);
        }
        if (!words.isEmpty()) {
            query.queryParam("q", "{q}");
        }
        wishes.month().ifPresent(month -> query.queryParam("month", month.getValue()));
        wishes.use().ifPresent(use -> query.queryParam("use", use.name()));
        Stream.of(
                        Map.entry("sprays", wishes.fewSprays()),
                        Map.entry("soon", wishes.soon()),
                        Map.entry("easy", wishes.easy()),
                        Map.entry("hide", hideStops))
                .filter(Map.Entry::getValue)
                .forEach(each -> query.queryParam(each.getKey(), "1"));
        String built = words.isEmpty()
                ? query.build().toUriString()
                : query.buildAndExpand(words).encode().toUriString();
        return built.startsWith("?") ? built.substring(1) : built;
    }
}
