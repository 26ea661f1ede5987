package idlebough.core.site;

import static idlebough.core.measure.Quantity.HOURS;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Hours of direct sun a day at one place, month by month.
 *
 * @param months January first: hours on the middle day of the month
 * @param open the same on open level ground
 * @param year over whose latitude it was counted
 */
public record SunHours(List<Double> months, List<Double> open, SunYear year) {
    public static final Source SOURCE = Source.published(
            "sun’s path: Montenbruck & Pfleger 2000; shadows: h ÷ (tan α + g), surveying", Certainty.FAIR);

    public static SunHours at(Point place, List<Feature> features, SunYear year, Ground ground, double rotation) {
        return at(List.of(place), features, year, ground, rotation).get(0);
    }

    /** For many places at once: each moment's shadows are cast only once. */
    public static List<SunHours> at(
            List<Point> places, List<Feature> features, SunYear year, Ground ground, double rotation) {
        List<Shade.Block> blocks = Shade.blocks(features);
        double[][] hours = new double[places.size()][12];
        for (int month = 1; month <= 12; month++) {
            boolean leafless = !year.season().contains(month);
            for (SunPath.Sun sun : year.months().get(month - 1)) {
                if (reaches(sun, ground, rotation)) {
                    Shade shade = Shade.cast(blocks, sun, ground, rotation, leafless);
                    for (int i = 0; i < hours.length; i++) {
                        hours[i][month - 1] += shade.light(places.get(i)) * SunYear.STEP / 60;
                    }
                }
            }
        }
        List<Double> open =
                IntStream.rangeClosed(1, 12).mapToObj(year::dayLength).toList();
        return Arrays.stream(hours)
                .map(each -> new SunHours(Arrays.stream(each).boxed().toList(), open, year))
                .toList();
    }

    /** Whether the sun stands before the slope and not behind it. */
    static boolean reaches(SunPath.Sun sun, Ground ground, double rotation) {
        return SunPath.shadowPerMetre(sun.elevation(), ground.rise(sun.azimuth() - rotation + 180)) != null;
    }

    /** Mean over the months in leaf, hours a day. */
    public double season() {
        return mean(months, year.season());
    }

    /** Mean over the months of bare branches, hours a day. */
    public double winter() {
        return mean(months, year.leafless());
    }

    public double seasonInTheOpen() {
        return mean(open, year.season());
    }

    /** What is not known: shapes of roofs and crowns, leaves, ground beyond; a tenth of what is in shade, and of the rest a twentieth. */
    public double halfWidth() {
        return 0.05 * season() + 0.1 * (seasonInTheOpen() - season());
    }

    private static double mean(List<Double> hours, List<Integer> of) {
        return of.stream().mapToDouble(m -> hours.get(m - 1)).average().orElse(0);
    }

    public Working working() {
        Working.Builder working = Working.of("How {} a day comes about", Amount.of(season(), HOURS))
                .step("The sun’s place every {} minutes of the middle day of each month", Amount.count(SunYear.STEP))
                .step(
                        "counted where no building, wall, hedge or crown stands before it and the slope does not face away");
        for (int month : year.season()) {
            working.step(
                    "{}: {} of {}",
                    java.time.Month.of(month).getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.ENGLISH),
                    Amount.of(months.get(month - 1), HOURS),
                    Amount.of(open.get(month - 1), HOURS));
        }
        return working.step("mean of the months in leaf = {}", Amount.of(season(), HOURS))
                .step("in the bare months {}", Amount.of(winter(), HOURS))
                .sensitive("Most sensitive to the heights of what stands towards the sun; measure those.")
                .from(SOURCE);
    }
}
