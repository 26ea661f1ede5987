package idlebough.core.rootstock;

import idlebough.core.crop.Misfit;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/**
 * One stock offered to a variety at the places of its trees.
 *
 * @param size full grown
 * @param known how wide at least and at most: the size itself is told to a range
 * @param misfit why the graft may not hold; empty where nothing is against it
 * @param stands what is asked of it here, and how it stands that; what nothing asks is not in it
 */
public record StockOffer(
        Rootstock stock, TreeSize size, Range known, Optional<Misfit> misfit, Map<Aspect, Standing> stands) {

    /** Metres. */
    public record Range(double low, double high) {
        static Range of(Variety variety, Rootstock stock, Habit habit) {
            TreeSize size = TreeSize.of(variety, Optional.of(stock), habit);
            if (size.flat()) {
                return new Range(size.spread(), size.spread());
            }
            double usual = stock.factor();
            return new Range(
                    size.spread() * stock.vigour().low() / usual,
                    size.spread() * stock.vigour().high() / usual);
        }
    }

    /** What decides between stocks. */
    public enum Aspect {
        ROOM("its width between the pegs"),
        WET("wet feet"),
        DROUGHT("drought"),
        COLD("the cold"),
        LIME("lime"),
        SALT("salt"),
        REPLANT("replanting"),
        TRAINING("its training");
        private final String words;

        Aspect(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Its rank, 0 poor to 3 good; −1 for room and training, which are no properties of the stock, and for what is not told. */
        public int rank(Rootstock stock) {
            Rootstock.Tolerance of = stock.tolerance();
            return switch (this) {
                case ROOM, TRAINING -> -1;
                case WET -> of.wet();
                case DROUGHT -> of.drought();
                case COLD -> of.cold();
                case LIME -> of.lime();
                case SALT -> of.salt();
                case REPLANT -> stock.traits().replant().orElse(-1);
            };
        }
    }

    /** Sound where nothing asks for it. */
    public Standing standing(Aspect aspect) {
        return stands.getOrDefault(aspect, Standing.SOUND);
    }

    /** A graft that fails, or something that it does not stand here. */
    public boolean stopped() {
        return misfit.filter(Misfit::fails).isPresent() || stands.containsValue(Standing.STOP);
    }

    /** Whether anything but slow soil stops it, from which a mound lifts it. */
    public boolean stoppedOnAMound() {
        return misfit.filter(Misfit::fails).isPresent()
                || stands.entrySet().stream()
                        .anyMatch(each -> each.getKey() != Aspect.WET && each.getValue() == Standing.STOP);
    }

    /** How many doubts are against it. */
    public long doubts() {
        return (misfit.isPresent() ? 1 : 0)
                + stands.values().stream().filter(Standing.DOUBTFUL::equals).count();
    }

    /** The widest of those with the fewest doubts: it fills its place, and no tree is smaller than it need be. */
    static Comparator<StockOffer> best() {
        return Comparator.comparingLong(StockOffer::doubts)
                .thenComparing(Comparator.comparingDouble(
                                (StockOffer offer) -> offer.size().spread())
                        .reversed());
    }
}
