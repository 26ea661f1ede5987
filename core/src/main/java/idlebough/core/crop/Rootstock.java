package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One rootstock of the catalogue.
 *
 * @param crops keys of the crops it takes
 * @param vigour how large and how soon
 * @param support how long it must be held
 * @param tolerance of the ground and the winter
 * @param union how high it must stand
 * @param traits what it suffers from, how it holds and how long it lives, as far as that is known
 * @param told its points in words, and how sure they are
 */
public record Rootstock(
        String key,
        String name,
        Set<String> crops,
        Vigour vigour,
        Support support,
        Tolerance tolerance,
        Union union,
        Traits traits,
        Told told) {

    /**
     * @param factor linear, on the crop's full size, with low and high
     * @param own factors for single crops, by their keys, in place of the usual one
     * @param growth yearly rate of the monomolecular approach to full size
     * @param firstCrop year in the ground
     */
    public record Vigour(
            double factor, double low, double high, Map<String, Double> own, double growth, int firstCrop) {}

    /** Each from 0 poor to 3 good. */
    public record Tolerance(int wet, int drought, int cold, int lime, int salt) {}

    /**
     * @param least height of the union above the finished ground, m
     * @param most usual height at most, m; no limit
     * @param ownRooted there is no union
     * @param level whether its roots burn on show and the stem rots under soil, so that the flare ends level
     * @param deep how far below the ground the collar is set, m; 0 for what must never sink: palms and bananas root from
     *     their stems
     */
    public record Union(double least, double most, boolean ownRooted, boolean level, double deep) {}

    /**
     * @param coldCelsius of the soil, at which its roots are badly hurt
     * @param life years that a tree on it is kept
     * @param ills 0 hardly touched to 3 badly hurt; those not told are absent
     * @param suckers 0 none to 3 many
     * @param anchorage 0 poor to 3 good
     * @param roots 0 shallow to 2 deep
     * @param replant how it bears ground where its kind of fruit stood, 0 poorly to 3 well
     */
    public record Traits(
            Optional<Double> coldCelsius,
            Optional<Ripening.Span> life,
            Map<String, Integer> ills,
            Optional<Integer> suckers,
            Optional<Integer> anchorage,
            Optional<Integer> roots,
            Optional<Integer> replant) {}

    /** @param points in words */
    public record Told(String points, Certainty certainty) {}

    /** How long it must be held. */
    public enum Support {
        PERMANENT("stake for life", "life", 0),
        TEMPORARY("stake 2 to 5 years", "2–5 y", 3),
        NONE("no stake after the first year", "1 y", 1);
        private final String words;
        private final String brief;
        private final int years;

        Support(String words, String brief, int years) {
            this.words = words;
            this.brief = brief;
            this.years = years;
        }

        public String words() {
            return words;
        }

        /** How long, for a column. */
        public String brief() {
            return brief;
        }

        /** After how many years the stake comes off; 0 never. */
        public int years() {
            return years;
        }
    }

    public double factor() {
        return vigour.factor();
    }

    /** Linear, on the full size of a crop. */
    public double factor(Crop crop) {
        return vigour.own().getOrDefault(crop.key(), vigour.factor());
    }

    public int firstCrop() {
        return vigour.firstCrop();
    }

    public int wet() {
        return tolerance.wet();
    }

    public int lime() {
        return tolerance.lime();
    }

    /** Least height of the union above the finished ground, m. */
    public double unionMin() {
        return union.least();
    }

    public boolean ownRooted() {
        return union.ownRooted();
    }

    /** The size of tree it makes, in the nursery's words (project choice of the limits). */
    public String sizeWord() {
        return factor() < 0.45
                ? "dwarfing"
                : factor() < 0.65 ? "semi-dwarfing" : factor() < 0.8 ? "semi-vigorous" : "vigorous";
    }
}
