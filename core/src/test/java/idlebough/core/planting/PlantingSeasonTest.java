package idlebough.core.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Gardens;
import idlebough.core.Shipped;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Form;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.SoilWarmth;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Windows of the trade in gardens of several climates (common practice of the handbooks' table of windows). */
class PlantingSeasonTest {
    private static WinterStage winters(String garden) {
        return Gardens.all()
                .filter(each -> each.get("garden").equals(garden))
                .map(each -> Gardens.evaluation(each).winters())
                .findFirst()
                .orElseThrow();
    }

    private static Optional<PlantingSeason> season(String garden, String variety, Form form, String... ways) {
        Crop crop = Shipped.variety(variety).crop();
        WinterStage winters = winters(garden);
        Optional<Dormancy> sleeps = form == Form.BARE
                ? Optional.of(Dormancy.of(Optional.empty(), winters.latitude() < 0))
                : Optional.empty();
        return PlantingSeason.of(crop, form, winters, sleeps, ways.length == 0 ? Map.of() : Map.of(ways[0], ways[1]));
    }

    /**
     * Citrus in warm soil, spring to early autumn; avocado in spring where there is frost; pots not in the frozen
     * months; bare roots asleep.
     */
    @ParameterizedTest
    @CsvSource({
        "mediterranean, orange-valencia, CONTAINER, 2027-07-10, true",
        "mediterranean, orange-valencia, CONTAINER, 2027-01-15, false",
        "humid-subtropical, orange-valencia, CONTAINER, 2027-05-15, true",
        "humid-subtropical, avocado-fuerte, CONTAINER, 2027-04-20, true",
        "humid-subtropical, avocado-fuerte, CONTAINER, 2027-01-10, false",
        "cold-continental, apple-haralson, CONTAINER, 2027-09-10, true",
        "cold-continental, apple-haralson, CONTAINER, 2027-01-20, false",
        "cold-continental, apple-haralson, BARE, 2027-04-05, true",
        "cold-continental, apple-haralson, BARE, 2027-07-01, false",
        "maritime, apple-cox, BARE, 2027-01-20, true",
        "maritime-south, apple-cox, BARE, 2027-07-20, true",
        "maritime-south, apple-cox, BARE, 2027-01-20, false",
        "tropical-highland, avocado-fuerte, CONTAINER, 2027-05-10, true"
    })
    void goesInWhenGrowersPlant(String garden, String variety, Form form, LocalDate day, boolean fits) {
        PlantingSeason season = season(garden, variety, form).orElseThrow();
        assertThat(season.fits(day)).isEqualTo(fits);
        assertThat(season.outside(day) == 0).isEqualTo(fits);
    }

    /** A proposed fortnight is good on each of its days, and lies in the season of the school. */
    @ParameterizedTest
    @CsvSource({
        "cold-continental, apple-haralson, CONTAINER, planting.pots, autumn, 7, 11",
        "cold-continental, apple-haralson, CONTAINER, planting.pots, spring, 3, 7",
        "mediterranean, orange-valencia, CONTAINER, planting.citrus, warm, 5, 9",
        "mediterranean, orange-valencia, CONTAINER, planting.citrus, flush, 2, 5"
    })
    void theNextGoodFortnight(
            String garden, String variety, Form form, String way, String school, int earliest, int latest) {
        PlantingSeason season = season(garden, variety, form, way, school).orElseThrow();
        LocalDate next = season.next(LocalDate.of(2027, 1, 1)).orElseThrow();
        for (int i = 0; i < 14; i++) {
            assertThat(season.fits(next.plusDays(i))).isTrue();
        }
        assertThat(next.getMonthValue()).isBetween(earliest, latest);
    }

    /** Without a record there is nothing to judge by but the sleep of bare roots. */
    @Test
    void withoutARecordNothingIsSaidOfTheSoil() {
        WinterStage none = idlebough.core.orchard.Evaluation.of(
                        idlebough.core.orchard.Orchard.empty(45, LocalDate.of(2027, 3, 1)))
                .winters();
        assertThat(PlantingSeason.of(
                        Shipped.variety("orange-valencia").crop(), Form.CONTAINER, none, Optional.empty(), Map.of()))
                .isEmpty();
        PlantingSeason bare = PlantingSeason.of(
                        Shipped.variety("apple-cox").crop(),
                        Form.BARE,
                        none,
                        Optional.of(new Dormancy(MonthDay.of(11, 1), MonthDay.of(4, 10))),
                        Map.of())
                .orElseThrow();
        assertThat(bare.fits(LocalDate.of(2027, 2, 1))).isTrue();
        assertThat(bare.soil(LocalDate.of(2027, 2, 1))).isEmpty();
    }

    /** By hand: after a step of 10 K the soil has followed by 1 − 0.9ⁿ of it after n days. */
    @Test
    void theSoilFollowsTheAir() {
        List<DailyExtremes> days = new ArrayList<>();
        LocalDate first = LocalDate.of(2021, 1, 1);
        for (int i = 0; i < 120; i++) {
            double air = i < 80 ? 5 : 15;
            days.add(DailyExtremes.measured(first.plusDays(i), air - 4, air + 4));
        }
        SoilWarmth soil = new SoilWarmth(new StationRecord(days));
        assertThat(soil.on(first.plusDays(79)).orElseThrow()).isCloseTo(5, within(1e-9));
        assertThat(soil.on(first.plusDays(89)).orElseThrow()).isCloseTo(5 + 10 * (1 - Math.pow(0.9, 10)), within(1e-9));
        assertThat(soil.on(first.plusDays(20))).as("not yet settled").isEmpty();
    }
}
