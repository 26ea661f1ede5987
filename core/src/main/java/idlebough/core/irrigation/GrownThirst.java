package idlebough.core.irrigation;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.time.Month;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * What a full-grown tree drinks on a day of midsummer: reference evapotranspiration by the crop's factor over the
 * ground
 * that its crown covers; 1 mm on 1 m² is a litre. Rain is not taken off.
 *
 * @param et reference evapotranspiration, mm a day
 * @param factor of the crop, table 12 of FAO-56
 * @param ground under the crown, m²
 * @see ReferenceEt
 */
public record GrownThirst(double et, double factor, double ground) {
    private static final Map<String, CSVRecord> KNOWN = Table.rows("crop/fao56.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), Function.identity()));

    /**
     * @param size full grown
     * @return empty where the crop's factor is not told
     */
    public static Optional<GrownThirst> of(Crop crop, TreeSize size, WinterStage winters) {
        // Eight weeks about the hottest time: from the solstice on.
        LocalDate solstice = LocalDate.of(2001, winters.latitude() < 0 ? Month.DECEMBER : Month.JUNE, 21);
        return Optional.ofNullable(KNOWN.get(crop.key()))
                .map(row -> new GrownThirst(
                        PlantingClimate.after(solstice, winters).et(), Table.number(row, "kc"), size.covers()));
    }

    /** Litres a day. */
    public double litres() {
        return et * factor * ground;
    }

    public Working working() {
        return Working.of("How {} a day come about", Amount.litres(litres()))
                .step("{} of water leave wet grass on a day of midsummer", Amount.of(et / 1000, Quantity.RAIN))
                .step("× {} for this fruit", Amount.of(factor, Quantity.SCORE))
                .step("× {} under the full-grown crown", Amount.of(ground, Quantity.AREA))
                .sensitive("Most sensitive to the width of the crown; rain is not taken off.")
                .from(Source.published(
                        "Allen et al. 1998, FAO-56, table 12; Hargreaves & Samani 1985", Certainty.FAIR));
    }
}
