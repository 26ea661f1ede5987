package idlebough.core.variety;

import idlebough.core.site.SoilPit;
import idlebough.core.winter.GrowingSeason;
import idlebough.core.winter.SpringHours;
import idlebough.core.winter.Wetness;
import idlebough.core.winter.WinterLedger;
import java.time.Month;
import java.util.List;
import java.util.Optional;

/**
 * What is known of a site by which a variety is judged.
 *
 * @param springs of the variety at the screen; empty where its bloom cannot be predicted
 * @param hours of those springs; empty without a record
 * @param growing empty without a whole year of days
 * @param pits may be empty; the one that suits the variety best speaks, since it may be planted there
 * @param sun the sunniest place of the plot; empty while no boundary is drawn
 * @param air how wet spring and how humid summer is
 */
public record Evidence(
        WinterLedger winters,
        Optional<VarietySprings> springs,
        List<SpringHours> hours,
        Optional<GrowingSeason> growing,
        List<SoilPit> pits,
        Optional<Sun> sun,
        Air air) {

    /**
     * Hours of direct sun a day while in leaf.
     *
     * @param afternoon those of them after noon
     * @param halfWidth what is not known of it
     */
    public record Sun(double hours, double afternoon, double halfWidth) {}

    /**
     * What feeds the ills of fruit; empty where the record does not tell.
     *
     * @param rainySpring share of days with 1 mm or more in the two months about bloom
     * @param humidSummer mean relative humidity of the three warmest months of the calendar, %
     */
    public record Air(Optional<Double> rainySpring, Optional<Double> humidSummer) {
        public static final Air UNKNOWN = new Air(Optional.empty(), Optional.empty());

        public static Air of(Wetness wetness, double latitude) {
            int half = latitude < 0 ? 6 : 0;
            return new Air(
                    wetness.rainy(List.of(Month.APRIL.plus(half), Month.MAY.plus(half))),
                    wetness.humidity(List.of(Month.JUNE.plus(half), Month.JULY.plus(half), Month.AUGUST.plus(half))));
        }
    }

    /** Winters and pits alone. */
    public static Evidence of(WinterLedger winters, List<SoilPit> pits) {
        return new Evidence(
                winters, Optional.empty(), List.of(), Optional.empty(), pits, Optional.empty(), Air.UNKNOWN);
    }
}
