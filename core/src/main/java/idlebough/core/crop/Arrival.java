package idlebough.core.crop;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What was seen of a tree when it came; the first value of every list stands for “not looked at”.
 *
 * @param lifted day on which the nursery lifted it; the countdown of bare roots runs from it
 * @param flareDepth how deep below the top of the pot or ball the flare was found, m
 * @param height from the flare to the tip, m
 * @param kept where it waits for its planting; empty where nobody said
 */
public record Arrival(
        Optional<LocalDate> day,
        Optional<LocalDate> lifted,
        Seen seen,
        Optional<Double> flareDepth,
        Optional<Double> height,
        Optional<Kept> kept) {
    public static final Arrival NOT_SEEN = new Arrival(
            Optional.empty(), Optional.empty(), Seen.NOTHING, Optional.empty(), Optional.empty(), Optional.empty());

    /** What the eye and a fingernail told. */
    public record Seen(Label label, Bark bark, Branches branches, Roots roots, Joint joint) {
        public static final Seen NOTHING =
                new Seen(Label.NOT_SEEN, Bark.NOT_SEEN, Branches.NOT_SEEN, Roots.NOT_SEEN, Joint.NOT_SEEN);
    }

    /** Where it waits. @param until empty where no day was set */
    public record Kept(Place place, Optional<LocalDate> until) {}

    public boolean looked() {
        return day.isPresent();
    }

    /** What is offered in a form. */
    public interface Choice {
        String name();

        String words();
    }

    /** What the label names. */
    public enum Label implements Choice {
        NOT_SEEN("not looked at"),
        BOTH("variety and stock"),
        VARIETY("the variety alone"),
        NONE("neither");
        private final String words;

        Label(String words) {
            this.words = words;
        }

        @Override
        public String words() {
            return words;
        }
    }

    /** Where a scratch of the bark is green, from the tip down. */
    public enum Bark implements Choice {
        NOT_SEEN("not looked at"),
        TIP("green at the tip"),
        MIDDLE("brown at the tip, green in the middle"),
        BASE("green only near the base"),
        DEAD("brown everywhere");
        private final String words;

        Bark(String words) {
            this.words = words;
        }

        @Override
        public String words() {
            return words;
        }
    }

    /** Branches and their angles. */
    public enum Branches implements Choice {
        NOT_SEEN("not looked at"),
        GOOD("whole, wide angles"),
        WHIP("none: a whip"),
        NARROW("narrow crotches"),
        BROKEN("some broken");
        private final String words;

        Branches(String words) {
            this.words = words;
        }

        @Override
        public String words() {
            return words;
        }
    }

    /** Roots: of bare ones what state they are in, of a ball how they are bound. */
    public enum Roots implements Choice {
        NOT_SEEN("not looked at"),
        GOOD("good: spread, moist; in a pot just turning"),
        SPARSE("sparse: freshly potted, or few"),
        LIGHT("lightly bound: some circle"),
        MODERATE("bound: they circle all round"),
        HEAVY("a mat, or thick ones that circle"),
        BENT("a bent or curled taproot"),
        TORN("torn or over-long"),
        DRY("dried out"),
        MOULDY("mouldy or black");
        private final String words;

        Roots(String words) {
            this.words = words;
        }

        @Override
        public String words() {
            return words;
        }

        /** Whether roots go round and round and have to be opened. */
        public boolean bound() {
            return this == MODERATE || this == HEAVY;
        }
    }

    /** The join of stock and variety. */
    public enum Joint implements Choice {
        NOT_SEEN("not looked at"),
        FIRM("firm and clean"),
        SHOOTS("shoots from below it"),
        CRACKED("cracked or weeping"),
        BURIED("under the soil of the pot");
        private final String words;

        Joint(String words) {
            this.words = words;
        }

        @Override
        public String words() {
            return words;
        }
    }

    /** Where a tree may wait. */
    public enum Place implements Choice {
        SHED("in its wrapping in a cool shed, roots moist"),
        HEELED("heeled in: roots under moist soil in the shade"),
        POTTED("potted on"),
        SHADE("in its pot, in light shade out of the wind");
        private final String words;

        Place(String words) {
            this.words = words;
        }

        @Override
        public String words() {
            return words;
        }
    }
}
