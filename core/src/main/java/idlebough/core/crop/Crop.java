package idlebough.core.crop;

/**
 * What a crop is, as far as several rooms need to know.
 *
 * @param key stable text
 * @param name as growers say it
 * @param ground what it asks of the soil
 * @param climate what it asks of sun and winter
 * @param bloom how it flowers
 * @param size full grown, on a stock that leaves the full size
 * @param life how it lives
 */
public record Crop(
        String key, String name, Kind kind, Ground ground, Climate climate, Bloom bloom, Size size, Life life) {

    /**
     * @param wetRank 1 stands wet feet best, 6 worst (Rowe & Beardsell 1973)
     * @param phLow and phHigh: the range in which it is at ease
     */
    public record Ground(int wetRank, double phLow, double phHigh) {}

    /**
     * @param sunHours hours of direct sun a day wanted in the growing season
     * @param coldCelsius usual limit of hardened wood, or of the tree where it is evergreen, °C
     * @param chillLow and chillHigh: hours of 0 to 7.2 °C that its varieties ask for; 0 for none
     */
    public record Climate(double sunHours, double coldCelsius, double chillLow, double chillHigh) {}

    /**
     * @param days usual days of open bloom
     * @param selfFruitful 0 sets nothing with its own pollen, 1 a full crop
     * @param like key of the crop whose clock, frost stages and pollen it shares; its own for most
     */
    public record Bloom(int days, Vector vector, double selfFruitful, String like) {}

    /** Metres. */
    public record Size(double spread, double height) {}

    /** @param firstCropYear in the ground, on a stock that leaves the full size */
    public record Life(boolean evergreen, int firstCropYear) {}

    /** The kind of fruit; drawings hachure crowns by it. */
    public enum Kind {
        POME("pome"),
        STONE("stone"),
        CITRUS("citrus"),
        NUT("nut"),
        OTHER("other");
        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** What carries the pollen. */
    public enum Vector {
        INSECT,
        WIND,
        NONE
    }

    public int wetRank() {
        return ground.wetRank();
    }

    public double phLow() {
        return ground.phLow();
    }

    public double phHigh() {
        return ground.phHigh();
    }

    public double sunHours() {
        return climate.sunHours();
    }

    public double coldCelsius() {
        return climate.coldCelsius();
    }

    public int bloomDays() {
        return bloom.days();
    }

    /** Key of the crop whose bloom clock, frost stages and pollen it shares: a crab apple’s is the apple. */
    public String like() {
        return bloom.like();
    }

    public Vector vector() {
        return bloom.vector();
    }

    /** m. */
    public double spreadMetres() {
        return size.spread();
    }

    /** m. */
    public double heightMetres() {
        return size.height();
    }

    public boolean evergreen() {
        return life.evergreen();
    }

    /** “a pear”, “an apple”. */
    public String withArticle() {
        return ("aeiou".indexOf(Character.toLowerCase(name.charAt(0))) >= 0 && !name.startsWith("Eu") ? "an " : "a ")
                + name;
    }

    /** “pears”, “cherries”, “peaches”. */
    public String plural() {
        if (name.endsWith("y")) {
            return name.substring(0, name.length() - 1) + "ies";
        }
        return name + (name.endsWith("ch") || name.endsWith("o") && !name.endsWith("ado") ? "es" : "s");
    }
}
