package idlebough.core.irrigation;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.judge.Remedy;
import idlebough.core.planting.PlantingWays;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WaterTest {
    @Test
    void rootBallAndHargreaves() {
        Vectors.of("water/root_ball.csv").forEach(row -> {
            RootBallTank tank = RootBallTank.of(
                    d(row, "in_vol_l"),
                    d(row, "in_eaw"),
                    d(row, "in_mad"),
                    d(row, "in_eto"),
                    d(row, "in_kt"),
                    d(row, "in_canopy_d_m"),
                    d(row, "in_min_l"));
            near(tank.store(), row, "out_store_l");
            near(tank.use(), row, "out_use_l_d");
            near(tank.days(), row, "out_interval_d");
            assertThat(tank.wateringsPerDay()).isEqualTo(Integer.parseInt(row.get("out_waterings_per_day")));
        });
        Vectors.of("water/eto_hs.csv")
                .forEach(row -> near(
                        ReferenceEt.hargreaves(
                                d(row, "in_lat"),
                                Integer.parseInt(row.get("in_j")),
                                d(row, "in_tmax"),
                                d(row, "in_tmin")),
                        row,
                        "out_eto"));
    }

    private static FirstSeason season(
            LocalDate day, double ballLitres, Optional<SoilPit> pit, double celsius, double et) {
        return FirstSeason.of(new FirstSeason.Setting(day, ballLitres, pit, new PlantingClimate(celsius, et)));
    }

    @Test
    void firstWeeksOfTheTrade() {
        // common practice: a #5–#7 container gets 30–38 L; weeks 1, 2, 3+ in warm weather 2–3, 2, 1 waterings
        FirstSeason warm = season(LocalDate.of(2027, 5, 1), 22, Optional.empty(), 18, 4);
        assertThat(warm.wateringIn()).isBetween(30.0, 38.0);
        assertThat(warm.weeks()).extracting(FirstSeason.Week::times).containsExactly(3, 2, 1, 1, 1, 1, 1, 1);
        FirstSeason cool = season(LocalDate.of(2027, 1, 10), 0, Optional.empty(), 4, 1);
        assertThat(cool.wateringIn()).isBetween(10.0, 20.0);
        assertThat(cool.weeks()).allMatch(week -> week.times() == 1);
    }

    /** By hand: a circle of a metre at 3 mm a day, half of it under mulch, loses 8.2 L in a week. */
    @Test
    void theWeeksFollowWhatIsLostAndHowFastTheGroundLetsItAway() {
        LocalDate spring = LocalDate.of(2027, 4, 1);
        FirstSeason whip = season(spring, 0, Optional.empty(), 16, 3);
        assertThat(whip.weeks().get(4).total()).isCloseTo(Math.PI / 4 * 3 * 7 * 0.5, within(0.01));
        // A dormant whip at 9 °C: a few litres once a week, not a can and a half.
        FirstSeason dormant = season(LocalDate.of(2027, 3, 1), 0, Optional.empty(), 9, 1.5);
        assertThat(dormant.weeks()).allMatch(week -> week.total() < 6);
        // A ball that loses 0.6 L a day gets about twice that, less in slow clay: 42 L would drown it.
        FirstSeason ball = season(spring, 25, Optional.of(Shipped.pit(8, null, Texture.CLAY)), 16, 2.8);
        assertThat(ball.tank().orElseThrow().use()).isCloseTo(0.6, within(0.05));
        assertThat(ball.weeks().get(0).total()).isBetween(4.0, 12.0);
        assertThat(season(spring, 25, Optional.of(Shipped.pit(60, null, Texture.LOAM)), 16, 2.8)
                        .weeks()
                        .get(0)
                        .total())
                .isGreaterThan(0.99 * ball.weeks().get(0).total());
    }

    @Test
    void aDroughtySoilIsAWateringFindingNeverAStop() {
        // common practice: above 4 in/h mulch and frequent water, never a reason not to plant
        FirstSeason fast =
                season(LocalDate.of(2027, 5, 1), 0, Optional.of(Shipped.pit(200, null, Texture.SANDY_LOAM)), 18, 4);
        assertThat(WaterRules.judge("a", "A1", "apple", fast, PlantingWays.MULCH))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.rule()).isEqualTo(WaterRules.DROUGHTY);
                    assertThat(finding.standing()).isEqualTo(idlebough.core.judge.Standing.DOUBTFUL);
                    assertThat(finding.remedies().get(0))
                            .isInstanceOfSatisfying(
                                    Remedy.TakeWay.class,
                                    way -> assertThat(way.tree()).contains("a"));
                });
        assertThat(fast.weeks().get(4).times()).as("smaller turns, more often").isEqualTo(2);
    }

    @Test
    void aSmallBallInHotWeatherDriesInADay() {
        FirstSeason hot = season(LocalDate.of(2027, 7, 1), 8, Optional.empty(), 26, 6);
        assertThat(hot.tank().orElseThrow().days()).isLessThan(1);
        assertThat(WaterRules.judge("a", "A1", "apple", hot, PlantingWays.MULCH))
                .anySatisfy(finding -> assertThat(finding.rule()).isEqualTo(WaterRules.BALL_DRY));
        assertThat(hot.total()).isGreaterThan(hot.wateringIn());
        assertThat(hot.working().steps()).isNotEmpty();
        assertThat(hot.weekWorking().steps()).hasSize(6);
    }
}
