package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

/**
 * Hours of direct sun over the whole plot, on a grid.
 *
 * <p>How: for each step of {@link SunYear} every shadow is filled into the grid line by line; a cell counts the share
 * of
 * light that its middle still gets. Two shadows over one cell take their shares one after the other; the overlapping
 * patches of one shadow count once.
 *
 * @param west and south: the grid's corner, plan metres
 * @param cell side of a cell, m
 * @param inside whether the middle of a cell lies on the plot; row by row from the south-west
 * @param hours by month, January first; then by cell; hours a day
 * @see SunHours for one place
 */
public record SunMap(
        double west,
        double south,
        double cell,
        int columns,
        int rows,
        boolean[] inside,
        float[][] hours,
        SunYear year) {
    public static SunMap of(
            Plot plot, List<Feature> features, SunYear year, Ground ground, double rotation, double cell) {
        int columns = (int) Math.max(1, Math.ceil((plot.east() - plot.west()) / cell));
        int rows = (int) Math.max(1, Math.ceil((plot.north() - plot.south()) / cell));
        boolean[] inside = new boolean[columns * rows];
        PreparedGeometry ring = PreparedGeometryFactory.prepare(Shapes.polygon(plot.corners()));
        for (int i = 0; i < inside.length; i++) {
            inside[i] = ring.contains(Shapes.point(
                    new Point(plot.west() + (i % columns + 0.5) * cell, plot.south() + (i / columns + 0.5) * cell)));
        }
        SunMap map =
                new SunMap(plot.west(), plot.south(), cell, columns, rows, inside, new float[12][inside.length], year);
        map.fill(Shade.blocks(features), ground, rotation);
        return map;
    }

    private void fill(List<Shade.Block> blocks, Ground ground, double rotation) {
        float[] light = new float[inside.length];
        int[] stamp = new int[inside.length];
        int stamps = 0;
        float step = SunYear.STEP / 60f;
        double[] crossings = new double[64];
        for (int month = 1; month <= 12; month++) {
            boolean leafless = !year.season().contains(month);
            float[] sum = hours[month - 1];
            for (SunPath.Sun sun : year.months().get(month - 1)) {
                if (!SunHours.reaches(sun, ground, rotation)) {
                    continue;
                }
                Arrays.fill(light, step);
                for (Shade.Cast cast :
                        Shade.cast(blocks, sun, ground, rotation, leafless).casts()) {
                    float left = (float) (1 - cast.opacity());
                    stamps++;
                    for (double[] ring : cast.patches()) {
                        crossings = shade(ring, light, stamp, stamps, left, crossings);
                    }
                }
                for (int i = 0; i < sum.length; i++) {
                    sum[i] += light[i];
                }
            }
        }
    }

    /** Fills one ring by the even–odd rule; cells that bear the stamp were counted already. */
    private double[] shade(double[] ring, float[] light, int[] stamp, int mark, float left, double[] crossings) {
        int n = ring.length / 2;
        double[] found = crossings.length < n ? new double[n] : crossings;
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < n; i++) {
            low = Math.min(low, ring[2 * i + 1]);
            high = Math.max(high, ring[2 * i + 1]);
        }
        int first = Math.max(0, (int) Math.floor((low - south) / cell - 0.5) + 1);
        int last = Math.min(rows - 1, (int) Math.floor((high - south) / cell - 0.5));
        for (int row = first; row <= last; row++) {
            double y = south + (row + 0.5) * cell;
            int count = 0;
            for (int i = 0, j = n - 1; i < n; j = i++) {
                double yi = ring[2 * i + 1];
                double yj = ring[2 * j + 1];
                if ((yi > y) != (yj > y)) {
                    found[count++] = (ring[2 * j] - ring[2 * i]) * (y - yi) / (yj - yi) + ring[2 * i];
                }
            }
            Arrays.sort(found, 0, count);
            for (int k = 0; k + 1 < count; k += 2) {
                int from = Math.max(0, (int) Math.floor((found[k] - west) / cell - 0.5) + 1);
                int to = Math.min(columns - 1, (int) Math.floor((found[k + 1] - west) / cell - 0.5));
                for (int at = row * columns + from; at <= row * columns + to; at++) {
                    if (stamp[at] != mark) {
                        stamp[at] = mark;
                        light[at] *= left;
                    }
                }
            }
        }
        return found;
    }

    /** Mean over some months, hours a day. */
    public double hours(int at, List<Integer> months) {
        double sum = 0;
        for (int month : months) {
            sum += hours[month - 1][at];
        }
        return sum / months.size();
    }

    /** Share of the plot, 0 to 1, that has at least these hours in the mean of some months. */
    public double shareWith(double atLeast, List<Integer> months) {
        int all = 0;
        int enough = 0;
        for (int i = 0; i < inside.length; i++) {
            if (inside[i]) {
                all++;
                enough += hours(i, months) >= atLeast - 1e-6 ? 1 : 0;
            }
        }
        return all == 0 ? 0 : (double) enough / all;
    }

    /** How the share of the plot with so many hours comes about. */
    public Working shareWorking(double atLeast, List<Integer> months) {
        return Working.of("How {} comes about", Amount.of(100 * shareWith(atLeast, months), Quantity.PERCENT))
                .step("A grid of {} over the plot; the hours of sun at the middle of each cell", Amount.cm(cell))
                .step("the mean of {} months", Amount.count(months.size()))
                .step("the share of the cells that have {} a day or more", Amount.of(atLeast, Quantity.HOURS))
                .sensitive("Most sensitive to the heights of what stands towards the sun; measure those.")
                .from(SunHours.SOURCE);
    }

    /** The middle of a cell. */
    public Point middle(int at) {
        return new Point(west + (at % columns + 0.5) * cell, south + (at / columns + 0.5) * cell);
    }

    /** Where the most sun falls while the trees are in leaf. */
    public Point sunniest() {
        int best = 0;
        double most = -1;
        for (int i = 0; i < inside.length; i++) {
            double of = inside[i] ? hours(i, year.season()) : -1;
            if (of > most) {
                best = i;
                most = of;
            }
        }
        return middle(best);
    }
}
