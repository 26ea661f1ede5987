package idlebough.core.planting;

import idlebough.core.judge.Way;
import idlebough.core.judge.Way.School;
import java.util.List;

/** The matters of this room on which good growers disagree. */
public final class PlantingWays {
    /** Value: hole width over ball width. */
    public static final Way WIDTH = new Way(
            "planting.width",
            "How wide to dig",
            List.of(
                    new School("narrow", "one and a half balls", "Less digging; enough in loose, living soil.", 1.5),
                    new School(
                            "double",
                            "two balls",
                            "Roots run sideways; loose soil beside the ball is where they go first.",
                            2),
                    new School("wide", "three balls", "For packed or poor soil: width matters more than depth.", 3)),
            "double",
            "Wide enough for the first year's roots in ordinary soil.");
    /** Value: share of organic matter in the fill. */
    public static final Way MIX = new Way(
            "planting.mix",
            "What to fill with",
            List.of(
                    new School(
                            "native",
                            "native soil only",
                            "Roots must live in it; other fill makes a bathtub or a pot. Trials found little or "
                                    + "no gain from amending.",
                            0),
                    new School("fifth", "a fifth compost", "Opens clay a little; more compost rots and sinks.", 0.2),
                    new School("third", "a third compost", "Holds water in sand; helps to establish.", 1.0 / 3),
                    new School(
                            "half",
                            "half compost",
                            "Easy rooting at first in heavy red clay of warm places; expect it to sink. Never in "
                                    + "a pit of clay that holds water.",
                            0.5)),
            "native",
            "The trials lean this way, and nothing in it rots and sinks.");
    /** Value: firming factor of the settling. */
    public static final Way FIRMING = new Way(
            "planting.firming",
            "How to firm",
            List.of(
                    new School("loose", "fingers and palms", "Keeps air in clay; kind to citrus and avocado.", 1),
                    new School(
                            "watered",
                            "let water do it",
                            "Half fill, water, wiggle, fill again: soil runs into the voids.",
                            0.6),
                    new School("boot", "tread it in", "For windy places, big staked trees and light soil.", 0.4)),
            "watered",
            "Fills the voids without packing the soil.");
    /** Value: depth of loosened soil below the ball, m. */
    public static final Way BASE = new Way(
            "planting.base",
            "The bottom of the hole",
            List.of(
                    new School("firm", "left firm", "Loose fill sinks and takes the tree with it.", 0),
                    new School(
                            "loosened",
                            "loosened a spade deep",
                            "Lets roots down where the subsoil is packed; the tree sinks with it.",
                            0.2)),
            "firm",
            "An undisturbed base settles nothing.");
    /** Value: mulch depth, m. */
    public static final Way MULCH = new Way(
            "planting.mulch",
            "How deep to mulch",
            List.of(
                    new School("thin", "5 cm (2 in)", "Bark, humid and warm: enough against weeds.", 0.05),
                    new School(
                            "middle",
                            "8 cm (3 in)",
                            "Coarse chips; at most this in dry windy country, where a thick mat sheds rain.",
                            0.08),
                    new School("thick", "10 cm (4 in)", "Hot and dry.", 0.10),
                    new School("deep", "15 cm (6 in)", "Avocado, coarse.", 0.15)),
            "middle",
            "Keeps the soil moist and still lets rain through.");

    /** Value: ring of bare ground between stem and mulch, m. */
    public static final Way RING = new Way(
            "planting.ring",
            "How far the mulch stays off the stem",
            List.of(
                    new School("close", "8 cm (3 in)", "More ground covered; the mulch comes near the union.", 0.08),
                    new School("usual", "12 cm (5 in)", "A hand’s length: the bark stays dry.", 0.12),
                    new School("wide", "20 cm (8 in)", "Where voles and wet bark are the trouble.", 0.20)),
            "usual",
            "With 10 cm or more of bare ground the union need clear the soil alone.");

    public static final List<Way> ALL = List.of(WIDTH, MIX, FIRMING, BASE, MULCH, RING);

    private PlantingWays() {}
}
