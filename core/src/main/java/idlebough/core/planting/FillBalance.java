package idlebough.core.planting;

import static idlebough.core.judge.Amount.litres;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;

/**
 * Where the soil of a hole goes, litres as they lie loose beside it. What comes out is what goes back, is carted off,
 * or
 * is left for the ring and the rim.
 *
 * @param turf, topsoil and subsoil: out of the hole
 * @param back native soil that goes back
 * @param carted subsoil and turf that leave
 * @param left over beside the hole
 * @param fetched mineral soil in the place of what was carted off
 * @param compost to bring, before it is pressed together
 */
public record FillBalance(
        double turf,
        double topsoil,
        double subsoil,
        double back,
        double carted,
        double left,
        double fetched,
        double compost) {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double SOD = TABLE.value("sod");
    private static final double MIX = TABLE.value("mix-batch");
    private static final Source EARTH =
            Source.published("solid geometry; swell from earthwork handbooks", Certainty.FAIR);

    /**
     * Of what a hole is made.
     *
     * @param hole its volume in place, L, and so much of it turf and topsoil
     * @param ball volume that the ball takes below the board, L
     * @param rim soil that is feathered from the edge up to the flare, in place, L
     * @param swell share by which soil swells when it is dug
     * @param organic share of the fill
     * @param press share by which compost is pressed together
     */
    public record Earth(
            double hole,
            double turf,
            double topsoil,
            double ball,
            double rim,
            double swell,
            double organic,
            double press) {}

    /**
     * @param turfStays whether the turf goes back under or on the hole
     * @param subsoilOut share of the subsoil that is carted off
     */
    public static FillBalance of(Earth earth, boolean turfStays, double subsoilOut) {
        double loose = 1 + earth.swell();
        double turf = earth.turf() * loose;
        double topsoil = earth.topsoil() * loose;
        double subsoil = Math.max(0, earth.hole() - earth.turf() - earth.topsoil()) * loose;
        double fill = Math.max(0, earth.hole() - earth.ball());
        double carted = subsoilOut * subsoil + (turfStays ? 0 : turf);
        double there = turf + topsoil + subsoil - carted;
        double wanted = ((1 - earth.organic()) * fill + earth.rim()) * loose;
        double back = Math.min(there, wanted);
        return new FillBalance(
                turf,
                topsoil,
                subsoil,
                back,
                carted,
                there - back,
                wanted - back,
                earth.organic() * fill * (1 + earth.press()));
    }

    static FillBalance of(PlantingSection section) {
        double area = Math.PI * section.width() * section.width() / 4 * 1000;
        double hole = section.holeLitres();
        // A mound is built of soil without turf; what is dug into it is all of one kind.
        boolean raised = section.setting().footing().raised();
        double turf = raised ? 0 : Math.min(hole, SOD * area);
        double top = raised
                ? hole
                : Math.min(hole - turf, Math.max(0, section.setting().soil().topsoil() - SOD) * area);
        return of(
                new Earth(
                        hole,
                        turf,
                        top,
                        section.ballBelow(),
                        section.setting().school(PlantingWays.RIM).value() > 0 ? section.rimLitres() : 0,
                        section.setting().texture().traits().swell(),
                        section.organicShare(),
                        section.consolidation()),
                !section.setting().school(PlantingWays.SOD).key().equals("away"),
                raised ? 0 : section.setting().school(PlantingWays.SUBSOIL).value());
    }

    /** All that comes out, L. */
    public double out() {
        return turf + topsoil + subsoil;
    }

    /** Barrows in which native soil and compost are mixed; 0 without compost. */
    public double batches() {
        return compost > 0 ? (back + fetched + compost) / MIX : 0;
    }

    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", litres(out()))
                .step(
                        "out and loose: {} of turf, {} of topsoil, {} of subsoil; in heaps of their own",
                        litres(turf),
                        litres(topsoil),
                        litres(subsoil))
                .step("back: {}", litres(back))
                .step("carted off: {}", litres(carted))
                .step("left beside it: {}", litres(left));
        if (fetched > 0.5) {
            steps.step("to fetch in its place: {} of mineral soil", litres(fetched));
        }
        if (compost > 0) {
            steps.step(
                    "compost: {}, mixed in {} barrows of {}",
                    litres(compost),
                    Amount.of(Math.ceil(batches()), Quantity.SCORE),
                    litres(MIX));
        }
        return steps.sensitive("Most sensitive to the width, which counts twice.")
                .from(EARTH);
    }
}
