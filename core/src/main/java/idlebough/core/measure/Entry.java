package idlebough.core.measure;

import java.util.Optional;

/**
 * What became of a typed figure: a value in base units, or a sentence that says what would be right. Exactly one of the
 * two is there; an empty field is a value-less entry without complaint.
 *
 * @param value in the base unit of the quantity, when there is one
 * @param complaint a plain sentence for beside the field, when something is the matter
 */
public record Entry(Optional<Double> value, Optional<String> complaint) {

    public static Entry of(double value) {
        return new Entry(Optional.of(value), Optional.empty());
    }

    public static Entry empty() {
        return new Entry(Optional.empty(), Optional.empty());
    }

    public static Entry wrong(String complaint) {
        return new Entry(Optional.empty(), Optional.of(complaint));
    }

    public boolean isWrong() {
        return complaint.isPresent();
    }
}
