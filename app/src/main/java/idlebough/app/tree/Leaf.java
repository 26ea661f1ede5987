package idlebough.app.tree;

import idlebough.core.crop.Crop;
import java.util.Set;

/** The mark that a crown is hachured with, by the kind of fruit; on the plan the ring has the same. */
public enum Leaf {
    TICK(0.085, 0.62),
    SCALLOP(0.085, 1.05),
    LANCE(0.1, 0.85),
    DOT(0.09, 0.95),
    HANGING(0.12, 1),
    LOBE(0.13, 1.6);

    private static final Set<String> NARROW = Set.of("peach", "almond", "nectarine", "chestnut");
    private final double metres;
    private final double apart;

    Leaf(double metres, double apart) {
        this.metres = metres;
        this.apart = apart;
    }

    /** Of one mark, m. */
    double metres() {
        return metres;
    }

    /** From mark to mark, in marks. */
    double apart() {
        return apart;
    }

    public static Leaf of(Crop crop) {
        return switch (crop.kind()) {
            case POME -> TICK;
            case STONE -> NARROW.contains(crop.key()) ? LANCE : SCALLOP;
            case CITRUS -> DOT;
            case NUT -> LANCE;
            case OTHER ->
                switch (crop.key()) {
                    case "fig", "mulberry" -> LOBE;
                    case "avocado", "mango", "loquat" -> HANGING;
                    default -> SCALLOP;
                };
        };
    }
}
