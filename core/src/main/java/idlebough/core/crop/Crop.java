package idlebough.core.crop;

/**
 * What a crop is, as far as several rooms need to know.
 *
 * @param wetRank 1 stands wet feet best, 6 worst (Rowe & Beardsell 1973)
 * @param sunHours hours of direct sun a day wanted in the growing season
 * @param coldCelsius usual limit of hardened wood, or of the tree where it is evergreen
 * @param bloomDays usual days of open bloom
 * @param selfFruitful 0 sets nothing with its own pollen, 1 a full crop
 * @param spreadMetres and height on a stock that leaves the full size
 */
public record Crop(
        String key,
        String name,
        Kind kind,
        int wetRank,
        double phLow,
        double phHigh,
        double sunHours,
        double coldCelsius,
        int bloomDays,
        Vector vector,
        double selfFruitful,
        double spreadMetres,
        double heightMetres,
        boolean evergreen,
        int firstCropYear) {

    /** The kind of fruit; drawings hachure crowns by it. */
    public enum Kind {
        POME,
        STONE,
        CITRUS,
        NUT,
        OTHER
    }

    /** What carries the pollen. */
    public enum Vector {
        INSECT,
        WIND,
        NONE
    }

    /** “a pear”, “an apple”. */
    public String withArticle() {
        return ("aeiou".indexOf(Character.toLowerCase(name.charAt(0))) >= 0 && !name.startsWith("Eu") ? "an " : "a ")
                + name;
    }
}
