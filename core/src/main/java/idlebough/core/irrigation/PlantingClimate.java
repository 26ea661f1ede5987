package idlebough.core.irrigation;

import idlebough.core.judge.RuleTable;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;

/**
 * The eight weeks after planting, over all years of the record; a mild spring where no record is known.
 *
 * @param celsius mean temperature
 * @param et reference evapotranspiration, mm a day
 */
public record PlantingClimate(double celsius, double et) {
    private static final int DAYS = 56;
    private static final RuleTable TABLE = RuleTable.of("irrigation");

    public static PlantingClimate after(LocalDate planting, WinterStage winters) {
        return winters.climate()
                .after(planting, DAYS)
                .map(means -> new PlantingClimate(
                        means.middle(),
                        ReferenceEt.hargreaves(
                                winters.latitude(),
                                planting.plusDays(DAYS / 2).getDayOfYear(),
                                means.high(),
                                means.low())))
                .orElse(new PlantingClimate(TABLE.value("no-record-temperature"), TABLE.value("no-record-et")));
    }
}
