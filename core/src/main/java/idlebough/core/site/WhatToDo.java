package idlebough.core.site;

import static idlebough.core.measure.Quantity.EARTH;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.List;

/**
 * What can be done about the water in the ground for one crop at one pit, mildest first (common practice), with
 * which of it is enough.
 *
 * @param needed height by which the roots must be lifted, m; 0 when they need not
 * @param drain whether a drain is wanted beside that
 * @param ways in the order of the effort
 */
public record WhatToDo(Crop crop, SoilPit pit, double needed, boolean drain, List<Option> ways) {
    private static final double ROW = 10;
    private static final double DRAIN_LENGTH = 20;
    private static final double SLACK = 1e-9;
    private static final double HIGHEST_RIP = 0.9;
    private static final double SHALLOWEST_RIP = 0.3;
    private static final double USUAL_SETTLING = 0.15;
    private static final double KNEE = 0.5;

    /** The kinds of answers. */
    public enum Kind {
        FINE,
        PROUD,
        LOW_MOUND,
        MOUND,
        BED,
        BERM,
        RIP,
        DRAIN,
        ELSEWHERE
    }

    /**
     * What is heaped up.
     *
     * @param height after settling, m; 0 where nothing is
     * @param top width of the flat top, m
     * @param run side slope, run over rise; 0 for walls
     * @param settled m³ when it has settled
     * @param placed m³ to be put there
     * @param barrows to carry it, heaped
     */
    public record Heap(double height, double top, double run, double settled, double placed, Barrows barrows) {
        static final Heap NONE = new Heap(0, 0, 0, 0, 0, new Barrows(0));

        static Heap of(Mound mound, double swell) {
            return new Heap(
                    mound.height(),
                    mound.top(),
                    mound.run(),
                    mound.settled(),
                    mound.placed(),
                    Barrows.of(mound.placed(), swell));
        }

        /** At the foot, m. */
        public double width() {
            return top + 2 * run * height;
        }

        public Working working() {
            return Working.of("How {} comes about", Amount.of(1000 * placed, EARTH))
                    .step("{} high after settling, {} wide at the foot", Amount.cm(height), Amount.metres(width()))
                    .step("{} when it has settled", Amount.of(1000 * settled, EARTH))
                    .step("placed: {}, before it settles", Amount.of(1000 * placed, EARTH))
                    .step("in the heap, grown by digging: {}", Amount.of(1000 * barrows.heaped(), EARTH))
                    .step(
                            "{} barrows of {}, {} small trailers or {} lorries",
                            Amount.count(barrows.barrows()),
                            Amount.litres(1000 * Barrows.BARROW),
                            Amount.count(barrows.trailers()),
                            Amount.count(barrows.lorries()))
                    .sensitive("Most sensitive to the height: the volume grows with more than its square.")
                    .from(Source.practice("mounds, beds and berms of soil like the native soil"));
        }
    }

    /**
     * @param lead how long before planting
     * @param water what it means for watering
     * @param caution empty where there is none
     */
    public record Care(String lead, String water, String caution) {}

    /**
     * @param enough whether it answers what was found here
     * @param advised the one to take: the mildest that is enough
     * @param heap what is heaped up, or nothing
     * @param words what to do
     */
    public record Option(Kind kind, boolean enough, boolean advised, Heap heap, Phrase words, Care care) {
        Option take() {
            return new Option(kind, enough, true, heap, words, care);
        }
    }

    public static WhatToDo of(Crop crop, SoilPit pit) {
        WantedDrainage.Lift lift = pit.rate()
                .map(rate -> WantedDrainage.lift(WantedDrainage.rate(crop).value(), rate))
                .orElse(WantedDrainage.Lift.NONE);
        double high = pit.profile()
                .wetFrom()
                .map(wet -> WantedDrainage.dryDepth(crop).value() - wet)
                .orElse(0.0);
        boolean stands = pit.test().filter(DrainageTest::waterEntered).isPresent();
        WhatToDo bare = new WhatToDo(crop, pit, Math.max(lift.height(), Math.max(0, high)), lift.drain(), List.of());
        return new WhatToDo(crop, pit, bare.needed, bare.drain, advised(bare.findWays(stands), stands));
    }

    private List<Option> findWays(boolean stands) {
        List<Option> ways = new ArrayList<>();
        Texture.Traits soil = pit.texture().traits();
        ways.add(plain(
                Kind.FINE,
                needed == 0 && !soil.heavy(),
                Phrase.of("Plant on the grade."),
                new Care("none", "as usual", "")));
        ways.add(plain(
                Kind.PROUD,
                needed == 0,
                Phrase.of(
                        "Set the flare {} above the board, soil feathered up to the shoulder of the ball.",
                        Amount.cm(soil.proud().usual())),
                new Care("none", "as usual; no basin in heavy soil", "")));
        ways.add(mound(Kind.LOW_MOUND, Footing.LOW_MOUND, "a month"));
        ways.add(mound(Kind.MOUND, Footing.MOUND, "3 to 6 months"));
        boolean tall = needed > Footing.MOUND.height() + SLACK;
        Footing high = tall ? Footing.TALL_MOUND : Footing.MOUND;
        if (tall) {
            ways.add(mound(Kind.MOUND, Footing.TALL_MOUND, "6 months"));
        }
        ways.add(bed(high.height()));
        ways.add(berm(high.height()));
        pit.pan().map(this::rip).ifPresent(ways::add);
        if (needed > 0 || stands) {
            ways.add(drainUphill());
            ways.add(plain(
                    Kind.ELSEWHERE,
                    true,
                    Phrase.of("Another spot: higher ground, or a pit that drains."),
                    new Care("none", "as usual", "")));
        }
        return ways;
    }

    private boolean lifts(double height) {
        return needed > 0 && needed <= height + SLACK;
    }

    /** What is wanted beside a heap that would be high enough. */
    private Phrase beside(double height) {
        return drain && lifts(height)
                ? Phrase.of(" And a drain uphill of it: the water has nowhere to go under it.")
                : Phrase.of("");
    }

    private Option mound(Kind kind, Footing footing, String lead) {
        Mound mound = Mound.of(footing.height());
        return new Option(
                kind,
                lifts(mound.height()),
                false,
                Heap.of(mound, pit.texture().traits().swell()),
                Phrase.of(
                        "A mound {} high after settling, flat top {} across at least, sides {} to 1, of soil like your own; loosen"
                                + " the ground under it.{}",
                        Amount.cm(mound.height()),
                        Amount.metres(mound.top()),
                        Amount.count(mound.run()),
                        beside(mound.height())),
                new Care(
                        lead,
                        "sheds rain and dries faster: water weekly longer",
                        mound.height() > KNEE - SLACK ? "Keep it off walls and foundations." : ""));
    }

    private Option bed(double height) {
        Bed walled = new Bed(1.8, 1.8, height, 0, USUAL_SETTLING);
        return new Option(
                Kind.BED,
                lifts(height),
                false,
                new Heap(
                        height,
                        walled.width(),
                        0,
                        walled.settled(),
                        walled.placed(),
                        Barrows.of(walled.placed(), pit.texture().traits().swell())),
                Phrase.of(
                        "A walled bed {} square and {} high for one tree.{}",
                        Amount.metres(walled.width()),
                        Amount.cm(height),
                        beside(height)),
                new Care(
                        "3 months",
                        "dries faster than the ground: plan more frequent watering",
                        "Walls over knee height are for a professional."));
    }

    private Option berm(double height) {
        Berm berm = Berm.usual(ROW, height);
        return new Option(
                Kind.BERM,
                lifts(height),
                false,
                new Heap(
                        height,
                        berm.top(),
                        berm.run(),
                        berm.settled(),
                        berm.placed(),
                        Barrows.of(berm.placed(), pit.texture().traits().swell())),
                Phrase.of(
                        "A berm along the row, {} high, sides {} to 1 to be mown; the amounts are for {} of row.{}",
                        Amount.cm(height),
                        Amount.count(berm.run()),
                        Amount.metres(ROW),
                        beside(height)),
                new Care("3 to 6 months", "water along the crest; it dries from the sides", ""));
    }

    private Option drainUphill() {
        FrenchDrain pipe = FrenchDrain.usual(DRAIN_LENGTH, 1);
        return plain(
                Kind.DRAIN,
                false,
                Phrase.of(
                        "A drain uphill of the trees: {} pipe in stone at a fall of 1 in 100; {} need a drop of {} and {}"
                                + " of washed stone, and carry {} when full. Parallel drains about {} apart.",
                        Amount.cm(0.1),
                        Amount.metres(DRAIN_LENGTH),
                        Amount.cm(pipe.drop()),
                        Amount.of(1000 * pipe.gravel(), EARTH),
                        Amount.of(60 * pipe.fullFlow(), Quantity.FLOW),
                        Amount.metres(spacing(pit))),
                new Care(
                        "6 months",
                        "as usual once it drains",
                        "Never near foundations without a professional; outlets and ditches are under local code; locate"
                                + " services before you dig."));
    }

    private static Option plain(Kind kind, boolean enough, Phrase words, Care care) {
        return new Option(kind, enough, false, Heap.NONE, words, care);
    }

    private static List<Option> advised(List<Option> ways, boolean stands) {
        List<Option> marked = new ArrayList<>();
        boolean found = false;
        for (Option way : ways) {
            boolean take = !found && way.enough() && (!stands || way.kind() == Kind.ELSEWHERE);
            found |= take;
            marked.add(take ? way.take() : way);
        }
        return List.copyOf(marked);
    }

    private Option rip(double pan) {
        return plain(
                Kind.RIP,
                pan >= SHALLOWEST_RIP && pan <= HIGHEST_RIP && needed == 0,
                Phrase.of(
                        "Rip along the rows, {} to {} deep, to break the pan at {}; in dry soil.",
                        Amount.cm(0.6),
                        Amount.cm(1),
                        Amount.cm(pan)),
                new Care(
                        "3 to 9 months",
                        "water goes deeper: longer, rarer sets",
                        "Have buried services located first. No wheel on ripped ground afterwards."));
    }

    /**
     * Hooghoudt for the pit's own rate: drains 0.9 m deep, water kept 0.6 m below the surface, 7 mm a day (common
     * design).
     */
    static double spacing(SoilPit pit) {
        double k = pit.rate()
                .map(rate -> Math.max(0.02, rate.kMmPerHour() * 24 / 1000))
                .orElse(0.1);
        return FrenchDrain.spacing(k, 0.5, 0.3, 0.007);
    }

    public Option advised() {
        return ways.stream().filter(Option::advised).findFirst().orElse(ways.get(ways.size() - 1));
    }
}
