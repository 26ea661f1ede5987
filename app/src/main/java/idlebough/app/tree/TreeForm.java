package idlebough.app.tree;

import idlebough.core.crop.Crop;
import idlebough.core.rootstock.TrainingSystem;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The habit in which a tree is drawn. */
public enum TreeForm {
    WHIP,
    MAIDEN,
    HEADED,
    OPEN,
    LEADER,
    MODIFIED,
    BUSH,
    ROUND,
    WEEPING,
    STOOL,
    ESPALIER,
    FAN,
    HEDGE,
    STANDARD;

    private static final Set<String> STOOLS = Set.of("fig", "pomegranate", "hazel");
    private static final Set<String> OPENED = Set.of("peach", "apricot", "almond", "japanese-plum", "nectarine");
    /** By the names of the systems; one that is not among them is drawn as its crop. */
    private static final Map<String, TreeForm> TRAINED = Map.ofEntries(
            Map.entry("oblique cordon", ESPALIER),
            Map.entry("step-over", ESPALIER),
            Map.entry("espalier", ESPALIER),
            Map.entry("fan", FAN),
            Map.entry("hedge", HEDGE),
            Map.entry("spindle", LEADER),
            Map.entry("dwarf pyramid", LEADER),
            Map.entry("central leader", LEADER),
            Map.entry("dwarf bush", BUSH),
            Map.entry("bush", BUSH),
            Map.entry("half-standard", STANDARD),
            Map.entry("standard", STANDARD),
            Map.entry("open vase", OPEN));

    private static final double TALL = 0.8;

    /**
     * As a crop is usually grown and pruned (common practice).
     *
     * @param factor of its stock, on the crop's full size
     */
    public static TreeForm of(Crop crop, double factor) {
        if (crop.kind() == Crop.Kind.CITRUS) {
            return ROUND;
        }
        if (crop.key().equals("avocado")) {
            return WEEPING;
        }
        if (STOOLS.contains(crop.key())) {
            return STOOL;
        }
        if (OPENED.contains(crop.key())) {
            return OPEN;
        }
        if (crop.kind() == Crop.Kind.NUT || factor >= TALL) {
            return STANDARD;
        }
        return crop.key().endsWith("pear") ? MODIFIED : BUSH;
    }

    /**
     * As it is trained, else as its crop is usually grown.
     *
     * @param training empty for an ordinary bush or open tree
     */
    public static TreeForm of(Crop crop, double factor, Optional<TrainingSystem> training) {
        return training.map(system -> TRAINED.get(system.name())).orElseGet(() -> of(crop, factor));
    }

    /** Stands on wires or against a wall, and is as wide and high as those. */
    boolean tied() {
        return this == ESPALIER || this == FAN || this == HEDGE;
    }

    /** As it comes from the nursery, before it has a habit of its own. */
    boolean nursery() {
        return this == WHIP || this == MAIDEN || this == HEADED;
    }
}
