package idlebough.core.pollination;

import idlebough.core.crop.Variety;
import idlebough.core.variety.VarietySprings;
import idlebough.core.variety.VarietyStage;
import idlebough.core.winter.Exposure;
import java.util.Optional;

/** When the varieties of one orchard were open in each spring. */
public interface BloomTimes {
    /** Of no orchard: bloom is read by groups alone. */
    BloomTimes NONE = new BloomTimes() {
        @Override
        public Optional<VarietySprings> of(Variety variety) {
            return Optional.empty();
        }

        @Override
        public boolean same(BloomTimes other) {
            return other == NONE;
        }
    };

    /** Empty where the crop has no clock, or no spring is known. */
    Optional<VarietySprings> of(Variety variety);

    /** Whether the other would tell the same of every variety. */
    boolean same(BloomTimes other);

    /** At the screen of the stage before. */
    static BloomTimes at(VarietyStage varieties) {
        return new AtScreen(varieties);
    }

    /** @param varieties the stage that computes them */
    record AtScreen(VarietyStage varieties) implements BloomTimes {
        @Override
        public Optional<VarietySprings> of(Variety variety) {
            return varieties.springs(variety, Exposure.SCREEN);
        }

        @Override
        public boolean same(BloomTimes other) {
            return other instanceof AtScreen screen && varieties.sameSprings(screen.varieties);
        }
    }
}
