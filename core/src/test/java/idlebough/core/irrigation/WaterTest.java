package idlebough.core.irrigation;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Vectors;
import idlebough.core.site.Texture;
import java.time.LocalDate;
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

    @Test
    void firstWeeksOfTheTrade() {
        // common practice: a #5–#7 container gets 30–38 L; weeks 1, 2, 3+ in warm weather 2–3, 2, 1 waterings
        FirstSeason warm =
                FirstSeason.of(new FirstSeason.Setting(LocalDate.of(2027, 5, 1), 22, 0.5, Texture.LOAM, 18, 4, false));
        assertThat(warm.wateringIn()).isBetween(30.0, 38.0);
        assertThat(warm.weeks()).extracting(FirstSeason.Week::times).containsExactly(3, 2, 1, 1, 1, 1, 1, 1);
        FirstSeason cool =
                FirstSeason.of(new FirstSeason.Setting(LocalDate.of(2027, 1, 10), 0, 0.5, Texture.LOAM, 4, 1, false));
        assertThat(cool.wateringIn()).isBetween(10.0, 20.0);
        assertThat(cool.weeks()).allMatch(week -> week.times() == 1);
    }
}
