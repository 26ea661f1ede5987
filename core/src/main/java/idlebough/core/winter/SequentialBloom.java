package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * Bloom by the sequential model: chill from the season's start until a need is met, then heat from the next hour until
 * its need is met (common practice; heat after Anderson, Richardson & Kesner 1986, Acta Hort. 184:71).
 *
 * <p>Kept to compare with published requirements. It misses by weeks where the chill is just met, so no date that a
 * grower is shown comes from it.
 *
 * @param chillMet the first hour with the chill need met
 * @param chill sum at that hour, or at the end of the hours
 * @param full the first hour with the heat need met
 * @param heat sum at that hour, or at the end of the hours
 * @see Bloom
 */
public record SequentialBloom(
        Optional<LocalDateTime> chillMet, double chill, Optional<LocalDateTime> full, double heat) {

    /** @param hours from the start of the season to well after bloom */
    public static SequentialBloom of(SeasonHours hours, ChillModel model, double chillNeed, double heatNeed) {
        ChillState chill = ChillState.of(model);
        double[] celsius = hours.celsius();
        int met = -1;
        for (int h = 0; h < celsius.length && met < 0; h++) {
            met = chill.accept(celsius[h]) >= chillNeed ? h : -1;
        }
        if (met < 0) {
            return new SequentialBloom(Optional.empty(), chill.total(), Optional.empty(), 0);
        }
        double heat = 0;
        int full = -1;
        for (int h = met + 1; h < celsius.length && full < 0; h++) {
            heat += Heat.of(celsius[h]);
            full = heat >= heatNeed ? h : -1;
        }
        return new SequentialBloom(
                Optional.of(hours.at(met)),
                chill.total(),
                full < 0 ? Optional.empty() : Optional.of(hours.at(full)),
                heat);
    }
}
