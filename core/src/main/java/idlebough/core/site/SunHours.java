package idlebough.core.site;

import static idlebough.core.measure.Quantity.HOURS;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Envelope;

/**
 * Hours of direct sun a day at one place, month by month.
 *
 * @param months January first: hours on the middle day of the month
 * @param open the same on open level ground
 * @param after those of them after noon
 * @param year over whose latitude it was counted
 */
public record SunHours(List<Double> months, List<Double> open, List<Double> after, SunYear year) {
    private static final double NOON = 180;

    public static final Source SOURCE = Source.published(
            "sun’s path: Montenbruck & Pfleger 2000; shadows: h ÷ (tan α + g), surveying", Certainty.FAIR);

    public static SunHours at(Point place, List<Feature> features, SunYear year, Ground ground, double rotation) {
        return at(List.of(place), features, year, ground, rotation).get(0);
    }

    /**
     * For many places at once. Each moment's shadows are cast once, and only the places within a shadow's reach from
     * south
     * to north are looked at.
     */
    public static List<SunHours> at(
            List<Point> places, List<Feature> features, SunYear year, Ground ground, double rotation) {
        Integer[] order = IntStream.range(0, places.size()).boxed().toArray(Integer[]::new);
        Arrays.sort(order, Comparator.comparingDouble(i -> places.get(i).y()));
        Sorted sorted = new Sorted(
                Arrays.stream(order).mapToDouble(i -> places.get(i).x()).toArray(),
                Arrays.stream(order).mapToDouble(i -> places.get(i).y()).toArray());
        Envelope box = new Envelope();
        places.forEach(place -> box.expandToInclude(place.x(), place.y()));
        List<Shade.Block> blocks = Shade.blocks(features);
        double[][] hours = new double[places.size()][12];
        double[][] after = new double[places.size()][12];
        double[] light = new double[places.size()];
        for (int month = 1; month <= 12; month++) {
            boolean leafless = !year.season().contains(month);
            for (SunPath.Sun sun : year.months().get(month - 1)) {
                if (reaches(sun, ground, rotation)) {
                    Arrays.fill(light, SunYear.STEP / 60.0);
                    for (Shade.Cast cast : Shade.cast(blocks, sun, ground, rotation, leafless, box)
                            .casts()) {
                        sorted.dim(light, cast);
                    }
                    for (int i = 0; i < light.length; i++) {
                        hours[order[i]][month - 1] += light[i];
                        after[order[i]][month - 1] += sun.azimuth() > NOON ? light[i] : 0;
                    }
                }
            }
        }
        List<Double> open =
                IntStream.rangeClosed(1, 12).mapToObj(year::dayLength).toList();
        return IntStream.range(0, hours.length)
                .mapToObj(i -> new SunHours(boxed(hours[i]), open, boxed(after[i]), year))
                .toList();
    }

    private static List<Double> boxed(double[] months) {
        return Arrays.stream(months).boxed().toList();
    }

    /** Places from south to north. */
    private record Sorted(double[] xs, double[] ys) {
        /** Takes the light from the places that a shadow covers. */
        void dim(double[] light, Shade.Cast cast) {
            double west = Double.POSITIVE_INFINITY;
            double east = Double.NEGATIVE_INFINITY;
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (double[] ring : cast.patches()) {
                for (int i = 0; i < ring.length; i += 2) {
                    west = Math.min(west, ring[i]);
                    east = Math.max(east, ring[i]);
                    low = Math.min(low, ring[i + 1]);
                    high = Math.max(high, ring[i + 1]);
                }
            }
            int found = Arrays.binarySearch(ys, low);
            int at = found >= 0 ? found : -found - 1;
            while (at > 0 && ys[at - 1] >= low) {
                at--;
            }
            for (; at < ys.length && ys[at] <= high; at++) {
                if (xs[at] >= west && xs[at] <= east && cast.covers(xs[at], ys[at])) {
                    light[at] *= 1 - cast.opacity();
                }
            }
        }
    }

    /** Whether the sun stands before the slope and not behind it. */
    static boolean reaches(SunPath.Sun sun, Ground ground, double rotation) {
        return SunPath.shadowPerMetre(sun.elevation(), ground.rise(sun.azimuth() - rotation + 180))
                .isPresent();
    }

    /** Mean over the months in leaf, hours a day. */
    public double season() {
        return mean(months, year.season());
    }

    /** Mean over the months of bare branches, hours a day. */
    public double winter() {
        return mean(months, year.leafless());
    }

    /** Mean over the months in leaf, hours after noon a day. */
    public double afternoon() {
        return mean(after, year.season());
    }

    public double seasonInTheOpen() {
        return mean(open, year.season());
    }

    /**
     * What is not known: shapes of roofs and crowns, leaves, ground beyond; a tenth of what is in shade, and of the
     * rest a twentieth.
     */
    public double halfWidth() {
        return 0.05 * season() + 0.1 * (seasonInTheOpen() - season());
    }

    private static double mean(List<Double> hours, List<Integer> of) {
        return of.stream().mapToDouble(m -> hours.get(m - 1)).average().orElse(0);
    }

    public Working working() {
        Working.Builder working = Working.of("How {} a day comes about", Amount.of(season(), HOURS))
                .step("The sun’s place every {} minutes of the middle day of each month", Amount.count(SunYear.STEP))
                .step("counted where no building, wall, hedge or crown stands before it and the slope does not "
                        + "face away");
        for (int month : year.season()) {
            working.step(
                    "{}: {} of {}",
                    java.time.Month.of(month).getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.ENGLISH),
                    Amount.of(months.get(month - 1), HOURS),
                    Amount.of(open.get(month - 1), HOURS));
        }
        return working.step("mean of the months in leaf = {}", Amount.of(season(), HOURS))
                .step("of it after noon {}", Amount.of(afternoon(), HOURS))
                .step("in the bare months {}", Amount.of(winter(), HOURS))
                .sensitive("Most sensitive to the heights of what stands towards the sun; measure those.")
                .from(SOURCE);
    }
}
