package idlebough.core.judge;

import java.util.List;
import java.util.Optional;

/** One stage of the work for one orchard: its answers are typed in each room; this is what all ten have in common. */
public interface Stage {
    Room room();

    /** Whether the grower has done anything here yet. */
    boolean begun();

    /** What is not known, so that something begun here cannot be judged yet; empty when nothing is. */
    default Optional<Phrase> missing() {
        return Optional.empty();
    }

    /** All judgement of this stage. */
    Findings judged();

    /** All of them, sound ones too, worst first. */
    default List<Finding> findings() {
        return judged().all();
    }

    /** Those whose moving is told. */
    List<KeyFigure> keyFigures();
}
