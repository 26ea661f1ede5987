package idlebough.core.site;

import static idlebough.core.measure.Quantity.EARTH;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.util.ArrayList;
import java.util.List;

/**
 * What can be done about the water in the ground for one crop at one pit, mildest first (common practice), with
 * which
 * of it is enough.
 *
 * @param needed height by which the roots must be lifted, m; 0 when they need not
 * @param ways in the order of the effort
 */
public record WhatToDo(Crop crop, SoilPit pit, double needed, List<Option> ways) {
    private static final double MOUND_TOP = 1.2;
    private static final double RUN = 2;
    private static final double MOWABLE = 3;
    private static final double ROW = 10;
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
     * @param enough whether it answers what was found here
     * @param advised the one to take: the mildest that is enough
     * @param footing what the tree is then set on; null where that does not change
     * @param height after settling, m; 0 where nothing is heaped
     * @param width at the foot, m
     * @param settled m³ when it has settled; 0 where nothing is carried
     * @param placed m³ to be put there
     * @param barrows to carry it, heaped
     * @param words what to do
     * @param lead how long before planting
     * @param water what it means for watering
     * @param caution empty where there is none
     */
    public record Option(
            Kind kind,
            boolean enough,
            boolean advised,
            Footing footing,
            double height,
            double width,
            double settled,
            double placed,
            Barrows barrows,
            Phrase words,
            String lead,
            String water,
            String caution) {

        public Working working() {
            return Working.of("How {} comes about", Amount.of(1000 * placed, EARTH))
                    .step("{} high after settling, {} wide at the foot", Amount.cm(height), Amount.metres(width))
                    .step("{} when it has settled", Amount.of(1000 * settled, EARTH))
                    .step("placed: {}, before it settles", Amount.of(1000 * placed, EARTH))
                    .step("in the heap, grown by digging: {}", Amount.of(1000 * barrows.heaped(), EARTH))
                    .step(
                            "{} barrows of 80 L, {} small trailers or {} lorries",
                            Amount.count(barrows.barrows()),
                            Amount.count(barrows.trailers()),
                            Amount.count(barrows.lorries()))
                    .sensitive("Most sensitive to the height: the volume grows with more than its square.")
                    .from(Source.practice("mounds, beds and berms of soil like the native soil"));
        }
    }

    public static WhatToDo of(Crop crop, SoilPit pit) {
        double needed = needed(crop, pit);
        boolean stands = pit.test() != null && pit.test().waterEntered();
        List<Option> ways = new ArrayList<>();
        double proud = pit.texture().traits().proudMetres();
        ways.add(plain(
                Kind.FINE,
                needed == 0 && !pit.texture().traits().heavy(),
                Footing.GRADE,
                Phrase.of("Plant on the grade."),
                "none",
                "as usual",
                ""));
        ways.add(plain(
                Kind.PROUD,
                needed == 0,
                Footing.GRADE,
                Phrase.of(
                        "Set the flare {} above the board, soil feathered up to the shoulder of the ball.",
                        Amount.cm(proud)),
                "none",
                "as usual; no basin in heavy soil",
                ""));
        heap(ways, Kind.LOW_MOUND, Footing.LOW_MOUND, Mound.of(Footing.LOW_MOUND.height()), needed, pit, "a month");
        heap(ways, Kind.MOUND, Footing.MOUND, Mound.of(Footing.MOUND.height()), needed, pit, "3 to 6 months");
        if (needed > Footing.MOUND.height() + 1e-9) {
            heap(ways, Kind.MOUND, Footing.TALL_MOUND, Mound.of(Footing.TALL_MOUND.height()), needed, pit, "6 months");
        }
        double bed = 0.3;
        Bed walled = new Bed(1.8, 1.8, bed, 0, 0.15);
        ways.add(new Option(
                Kind.BED,
                needed <= bed + 1e-9 && needed > 0,
                false,
                Footing.MOUND,
                bed,
                walled.baseWidth(),
                walled.settled(),
                walled.placed(),
                Barrows.of(walled.placed(), pit.texture().traits().swell()),
                Phrase.of("A walled bed {} square and {} high for one tree.", Amount.metres(1.8), Amount.cm(bed)),
                "3 months",
                "dries faster than the ground: plan more frequent watering",
                "Walls over knee height are for a professional."));
        double height = Math.max(0.3, Math.min(0.6, needed == 0 ? 0.3 : needed));
        Berm berm = new Berm(ROW, 1.0, height, MOWABLE, 0.15);
        ways.add(new Option(
                Kind.BERM,
                needed > 0 && needed <= height + 1e-9,
                false,
                needed > Footing.MOUND.height() + 1e-9 ? Footing.TALL_MOUND : Footing.MOUND,
                height,
                berm.baseWidth(),
                berm.settled(),
                berm.placed(),
                Barrows.of(berm.placed(), pit.texture().traits().swell()),
                Phrase.of(
                        "A berm along the row, {} high, sides 3 to 1 to be mown; the amounts are for {} of row.",
                        Amount.cm(height),
                        Amount.metres(ROW)),
                "3 to 6 months",
                "water along the crest; it dries from the sides",
                ""));
        if (pit.pan() != null) {
            ways.add(plain(
                    Kind.RIP,
                    pit.pan() >= 0.3 && pit.pan() <= 0.9 && needed == 0,
                    null,
                    Phrase.of(
                            "Rip along the rows, 60 to 100 cm deep, to break the pan at {}; in dry soil.",
                            Amount.cm(pit.pan())),
                    "3 to 9 months",
                    "water goes deeper: longer, rarer sets",
                    "Have buried services located first. No wheel on ripped ground afterwards."));
        }
        if (needed > 0 || stands) {
            FrenchDrain drain = FrenchDrain.usual(20, 1);
            ways.add(plain(
                    Kind.DRAIN,
                    false,
                    null,
                    Phrase.of(
                            "A drain uphill of the trees: 100 mm pipe in stone at a fall of 1 in 100; {} "
                                    + "need a drop of {} and {} of washed stone, and carry {} when "
                                    + "full. Parallel drains about {} apart.",
                            Amount.metres(20),
                            Amount.cm(drain.drop()),
                            Amount.of(1000 * drain.gravel(), EARTH),
                            Amount.of(60 * drain.fullFlow(), idlebough.core.measure.Quantity.FLOW),
                            Amount.metres(spacing(pit))),
                    "6 months",
                    "as usual once it drains",
                    "Never near foundations without a professional; outlets and ditches are under local "
                            + "code; locate services before you dig."));
            ways.add(plain(
                    Kind.ELSEWHERE,
                    true,
                    null,
                    Phrase.of("Another spot: higher ground, or a pit that drains."),
                    "none",
                    "as usual",
                    ""));
        }
        return new WhatToDo(crop, pit, needed, advised(ways, stands));
    }

    private static void heap(
            List<Option> ways, Kind kind, Footing footing, Mound mound, double needed, SoilPit pit, String lead) {
        ways.add(new Option(
                kind,
                needed > 0 && needed <= mound.height() + 1e-9,
                false,
                footing,
                mound.height(),
                mound.base(),
                mound.settled(),
                mound.placed(),
                Barrows.of(mound.placed(), pit.texture().traits().swell()),
                Phrase.of(
                        "A mound {} high after settling, flat top {} across, sides {} to 1, of soil like your "
                                + "own; loosen the ground under it.",
                        Amount.cm(mound.height()),
                        Amount.metres(MOUND_TOP),
                        Amount.count(RUN)),
                lead,
                "sheds rain and dries faster: water weekly longer",
                mound.height() > KNEE - 1e-9 ? "Keep it off walls and foundations." : ""));
    }

    private static Option plain(
            Kind kind, boolean enough, Footing footing, Phrase words, String lead, String water, String caution) {
        return new Option(kind, enough, false, footing, 0, 0, 0, 0, new Barrows(0), words, lead, water, caution);
    }

    private static List<Option> advised(List<Option> ways, boolean stands) {
        List<Option> marked = new ArrayList<>();
        boolean found = false;
        for (Option way : ways) {
            boolean take = !found && way.enough() && (!stands || way.kind() == Kind.ELSEWHERE);
            found |= take;
            marked.add(new Option(
                    way.kind(),
                    way.enough(),
                    take,
                    way.footing(),
                    way.height(),
                    way.width(),
                    way.settled(),
                    way.placed(),
                    way.barrows(),
                    way.words(),
                    way.lead(),
                    way.water(),
                    way.caution()));
        }
        return List.copyOf(marked);
    }

    /** The more of what slow soil and what wet ground ask for, m. */
    static double needed(Crop crop, SoilPit pit) {
        double slow = WantedDrainage.footing(crop, pit.rate()).height();
        Double wet = pit.profile().wetFrom();
        double high =
                wet == null ? 0 : Math.max(0, WantedDrainage.dryDepth(crop).value() - wet);
        return Math.max(slow, high);
    }

    /**
     * Hooghoudt for the pit's own rate: drains 0.9 m deep, water kept 0.6 m below the surface, 7 mm a day (common
     * design).
     */
    static double spacing(SoilPit pit) {
        double k = pit.rate() == null ? 0.1 : Math.max(0.02, pit.rate().kMmPerHour() * 24 / 1000);
        return FrenchDrain.spacing(k, 0.5, 0.3, 0.007);
    }

    public Option advised() {
        return ways.stream().filter(Option::advised).findFirst().orElse(ways.get(ways.size() - 1));
    }
}
