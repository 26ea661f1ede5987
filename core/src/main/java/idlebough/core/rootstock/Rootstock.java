package idlebough.core.rootstock;

import idlebough.core.judge.Certainty;
import java.util.Set;

/**
 * One rootstock of the catalogue.
 *
 * @param crops keys of the crops it takes
 * @param factor linear, on the crop's full size, with low and high
 * @param firstCrop year in the ground
 * @param support for life, for some years, or none
 * @param wet 0 poor to 3 good, as the other tolerances
 * @param unionMin least height of the union above the finished ground, m
 * @param unionMax above which burr knots and borers come, m
 * @param ownRooted there is no union
 * @param growth yearly rate of the monomolecular approach to full size
 */
public record Rootstock(
        String key,
        String name,
        Set<String> crops,
        double factor,
        double factorLow,
        double factorHigh,
        int firstCrop,
        Support support,
        int wet,
        int drought,
        int cold,
        int lime,
        int salt,
        double unionMin,
        double unionMax,
        boolean ownRooted,
        double growth,
        String points,
        Certainty certainty) {

    /** How long it must be held. */
    public enum Support {
        PERMANENT("stake for life", 0),
        TEMPORARY("stake 2 to 5 years", 3),
        NONE("no stake after the first year", 1);
        private final String words;
        private final int years;

        Support(String words, int years) {
            this.words = words;
            this.years = years;
        }

        public String words() {
            return words;
        }

        /** After how many years the stake comes off; 0 never. */
        public int years() {
            return years;
        }
    }

    public String sizeWord() {
        return factor < 0.45
                ? "dwarfing"
                : factor < 0.65 ? "semi-dwarfing" : factor < 0.8 ? "semi-vigorous" : "vigorous";
    }
}
