package idlebough.core.measure;

/**
 * What became of a typed figure: a value in base units, or a sentence that says what would be right. Exactly one of the
 * two is there; an empty field is a value-less entry without complaint.
 *
 * @param value in the base unit of the quantity, null when there is none
 * @param complaint a plain sentence for beside the field, null when all is well
 */
public record Entry(Double value, String complaint) {

    public static Entry of(double value) {
        return new Entry(value, null);
    }

    public static Entry empty() {
        return new Entry(null, null);
    }

    public static Entry wrong(String complaint) {
        return new Entry(null, complaint);
    }

    public boolean isWrong() {
        return complaint != null;
    }
}
