package idlebough.core.judge;

import java.util.List;

/**
 * A matter on which good growers disagree: the schools with their reasons, our default and why.
 *
 * @param key stable, {@code room.matter}
 * @param choices in the order shown
 * @param usual key of the default choice
 * @param whyUsual in one sentence
 */
public record Way(String key, String title, List<School> choices, String usual, String whyUsual) {

    /** One school. The value is what the computation takes from it, in the base unit the way's class documents. */
    public record School(String key, String name, String reason, double value) {}

    /** The school chosen, or the usual one when the key is unknown or null. */
    public School choose(String choice) {
        return choices.stream()
                .filter(school -> school.key().equals(choice))
                .findFirst()
                .orElseGet(this::usualSchool);
    }

    public School usualSchool() {
        return choices.stream()
                .filter(school -> school.key().equals(usual))
                .findFirst()
                .orElseThrow();
    }

    public boolean offers(String choice) {
        return choices.stream().anyMatch(school -> school.key().equals(choice));
    }
}
