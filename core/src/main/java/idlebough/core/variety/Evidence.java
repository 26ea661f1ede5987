package idlebough.core.variety;

import idlebough.core.site.SoilPit;
import idlebough.core.winter.GrowingSeason;
import idlebough.core.winter.WinterLedger;
import java.util.List;
import java.util.Optional;

/**
 * What is known of a site by which a variety is judged.
 *
 * @param springs of the variety at the screen; empty where its bloom cannot be predicted
 * @param growing empty without a whole year of days
 * @param pits may be empty; the one that suits the variety best speaks, since it may be planted there
 * @param sun the sunniest place of the plot; empty while no boundary is drawn
 */
public record Evidence(
        WinterLedger winters,
        Optional<VarietySprings> springs,
        Optional<GrowingSeason> growing,
        List<SoilPit> pits,
        Optional<Sun> sun) {

    /**
     * Hours of direct sun a day while in leaf.
     *
     * @param halfWidth what is not known of it
     */
    public record Sun(double hours, double halfWidth) {}

    /** Winters and pits alone. */
    public static Evidence of(WinterLedger winters, List<SoilPit> pits) {
        return new Evidence(winters, Optional.empty(), Optional.empty(), pits, Optional.empty());
    }
}
