package idlebough.core.variety;

import idlebough.core.crop.Variety;
import java.time.Month;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;

/**
 * What a grower would like of a variety. A wish orders the shortlist; it excludes nothing.
 *
 * @param month in which it should be ripe
 * @param use what it is wanted for
 * @param fewSprays whether the crop's main ills should hardly touch it
 * @param soon whether it should bear within three years
 * @param easy whether it should ask for little work
 */
public record Wishes(Optional<Month> month, Optional<Use> use, boolean fewSprays, boolean soon, boolean easy) {
    public static final Wishes NONE = new Wishes(Optional.empty(), Optional.empty(), false, false, false);
    private static final int HARDLY = 1;
    private static final int SOON = 3;
    private static final int GOOD_STORE = 8;

    /** What fruit is wanted for. */
    public enum Use {
        FRESH("to eat fresh", "eating"),
        COOK("to cook and preserve", "cooking", "preserving", "pies", "jelly", "baking", "marmalade"),
        KEEP("to keep", "keeping", "nuts"),
        DRY("to dry", "drying", "nuts"),
        PRESS("to press", "juice", "oil");
        private final String words;
        private final String[] told;

        Use(String words, String... told) {
            this.words = words;
            this.told = told;
        }

        public String words() {
            return words;
        }

        boolean of(Variety variety) {
            if (this == KEEP
                    && variety.habit()
                            .ripening()
                            .keepsWeeks()
                            .filter(weeks -> weeks >= GOOD_STORE)
                            .isPresent()) {
                return true;
            }
            String uses = variety.uses().toLowerCase(Locale.ROOT);
            for (String word : told) {
                if (uses.contains(word)) {
                    return true;
                }
            }
            return false;
        }
    }

    /** How many there are. */
    public int count() {
        return (month.isPresent() ? 1 : 0)
                + (use.isPresent() ? 1 : 0)
                + (fewSprays ? 1 : 0)
                + (soon ? 1 : 0)
                + (easy ? 1 : 0);
    }

    /** How many of them a variety meets; what is not known of it is not met. */
    public int met(Variety variety, RipeWindow window) {
        int met = 0;
        met += month.filter(wanted -> ripeIn(wanted, window)).isPresent() ? 1 : 0;
        met += use.filter(wanted -> wanted.of(variety)).isPresent() ? 1 : 0;
        met += fewSprays && hardly(variety) ? 1 : 0;
        met += soon && variety.crop().life().firstCropYear() <= SOON ? 1 : 0;
        met += easy && Effort.of(variety.crop()).grade() == 1 ? 1 : 0;
        return met;
    }

    private static boolean hardly(Variety variety) {
        return !variety.ills().isEmpty() && variety.ills().values().stream().allMatch(grade -> grade <= HARDLY);
    }

    private static boolean ripeIn(Month month, RipeWindow window) {
        for (int i = 0; i < window.days(); i++) {
            if (window.first().plusDays(i).getMonth() == month) {
                return true;
            }
        }
        return false;
    }

    /**
     * The order of the shortlist: sound before not judged before doubtful before stopped, then those that meet more
     * wishes, then more winters of ten, then by name.
     */
    public Comparator<VarietyVerdict> order(java.util.function.Function<Variety, RipeWindow> window) {
        return Comparator.comparingInt(VarietyVerdict::step)
                .thenComparingInt(verdict -> -met(verdict.variety(), window.apply(verdict.variety())))
                .thenComparingDouble(VarietyVerdict::rank)
                .thenComparing(verdict -> verdict.variety().label());
    }
}
