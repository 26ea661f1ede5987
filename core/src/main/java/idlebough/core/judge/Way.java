package idlebough.core.judge;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A matter on which good growers disagree: the schools with their reasons, our default and why.
 *
 * @param key stable, {@code room.matter}
 * @param choices in the order shown
 * @param usual key of the default choice
 * @param whyUsual in one sentence
 * @param ofCrops key of the default choice by key of the crop, where another one is usual for it
 */
public record Way(
        String key, String title, List<School> choices, String usual, String whyUsual, Map<String, String> ofCrops) {
    /** With the same default for every crop. */
    public Way(String key, String title, List<School> choices, String usual, String whyUsual) {
        this(key, title, choices, usual, whyUsual, Map.of());
    }

    /** One school. The value is what the computation takes from it, in the base unit the way's class documents. */
    public record School(String key, String name, String reason, double value) {}

    /** The school chosen, or the usual one when the key is unknown or null. */
    public School choose(String choice) {
        return find(choice).orElseGet(this::usualSchool);
    }

    /** The school chosen, or the one that is usual for a crop. */
    public School choose(String choice, String crop) {
        return find(choice).orElseGet(() -> usualFor(crop));
    }

    public School usualSchool() {
        return find(usual).orElseThrow();
    }

    /** The usual school for a crop. */
    public School usualFor(String crop) {
        return find(ofCrops.getOrDefault(crop, usual)).orElseThrow();
    }

    private Optional<School> find(String choice) {
        return choices.stream().filter(school -> school.key().equals(choice)).findFirst();
    }

    public boolean offers(String choice) {
        return choices.stream().anyMatch(school -> school.key().equals(choice));
    }
}
