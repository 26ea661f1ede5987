package idlebough.app.site;

import idlebough.app.store.SiteRow;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Quantity;
import idlebough.core.site.ColdAir;
import idlebough.core.site.Microclimate;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Shelter;
import idlebough.core.site.SunHours;
import idlebough.core.site.SunMap;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/** What can be laid over the plot: sun, cold air, wind, soil. Paths in page units, and the figures beside them. */
public final class Layers {
    private Layers() {}

    /** The layers in the order of their buttons. */
    public enum Layer {
        NONE("Plan"),
        SUN("Sun"),
        SHADOW("Shadows"),
        COLD("Cold air"),
        WIND("Wind"),
        SOIL("Soil");
        private final String words;

        Layer(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Layer of(String key) {
            for (Layer layer : values()) {
                if (layer.key().equals(key)) {
                    return layer;
                }
            }
            return NONE;
        }
    }

    /**
     * One hatch of a layer.
     *
     * @param css class of the hatch
     * @param path of all its cells
     * @param share of the plot, 0 to 1
     */
    public record Hatch(String css, String words, String path, double share) {}

    /** An arrow or a mark on a layer, page units; the bearing is the plan's. */
    public record Arrow(double x, double y, double bearing) {
        public String placed() {
            return Svg.translate(x, y) + " " + Svg.turned(bearing);
        }
    }

    /** One month at a place. */
    public record MonthBar(String name, double hours, double open, boolean inLeaf) {}

    private static final double[] STEPS = {0, 2, 4, 6, 8, 10, 25};

    /** Sun hours in six hatches, the least sun the densest. */
    static List<Hatch> sun(SunMap map, List<Integer> months, Sheet sheet, Reader say) {
        List<Hatch> hatches = new ArrayList<>();
        for (int i = 0; i + 1 < STEPS.length; i++) {
            double low = STEPS[i];
            double high = STEPS[i + 1];
            String words =
                    i == STEPS.length - 2 ? "10 h and more" : String.format(Locale.ROOT, "%.0f to %.0f h", low, high);
            hatches.add(new Hatch(
                    "sun" + i,
                    words,
                    cells(
                            map.inside().length,
                            map.columns(),
                            map.west(),
                            map.south(),
                            map.cell(),
                            sheet,
                            at -> map.inside()[at] && map.hours(at, months) >= low && map.hours(at, months) < high),
                    map.shareWith(low, months) - map.shareWith(high, months)));
        }
        return hatches;
    }

    static List<Hatch> cold(ColdAir cold, Sheet sheet, Reader say) {
        List<Hatch> hatches = new ArrayList<>();
        double[] deep = {ColdAir.LEAST, 0.5, 1, 50};
        for (int i = 0; i < 3; i++) {
            double low = deep[i];
            double high = deep[i + 1];
            hatches.add(new Hatch(
                    "cold" + i,
                    i == 2 ? "over " + say.cm(1.0) : say.cm(low) + " to " + say.cm(high),
                    cells(
                            cold.depth().length,
                            cold.columns(),
                            cold.west(),
                            cold.south(),
                            cold.cell(),
                            sheet,
                            at -> cold.depth()[at] > low && cold.depth()[at] <= high),
                    0));
        }
        return hatches;
    }

    /** Runs of like cells in a row become one rectangle, all rectangles one path. */
    private static String cells(
            int count, int columns, double west, double south, double cell, Sheet sheet, IntPredicate of) {
        StringBuilder path = new StringBuilder();
        double size = sheet.size(cell);
        for (int at = 0; at < count; at++) {
            if (!of.test(at)) {
                continue;
            }
            int from = at;
            while (at + 1 < count && (at + 1) % columns != 0 && of.test(at + 1)) {
                at++;
            }
            path.append(String.format(
                    Locale.ROOT,
                    "M%.1f %.1fh%.1fv%.1fh-%.1fz",
                    sheet.x(west + (from % columns) * cell),
                    sheet.y(south + (from / columns + 1) * cell),
                    size * (at - from + 1),
                    size,
                    size * (at - from + 1)));
        }
        return path.toString();
    }

    /** Where the cold air runs, on a lattice of about forty places. */
    static List<Arrow> runs(Plot plot, ColdAir cold, Sheet sheet) {
        List<Arrow> arrows = new ArrayList<>();
        double step = Math.sqrt((plot.east() - plot.west()) * (plot.north() - plot.south()) / 40);
        for (double x = plot.west() + step / 2; x < plot.east(); x += step) {
            for (double y = plot.south() + step / 2; y < plot.north(); y += step) {
                Point at = new Point(x, y);
                Double bearing = plot.holds(at) ? cold.runsTo(at) : null;
                if (bearing != null) {
                    arrows.add(new Arrow(sheet.x(x), sheet.y(y), bearing));
                }
            }
        }
        return arrows;
    }

    /** The ground that lies in the lee of something, on a grid of about two thousand cells. */
    static Hatch lee(Plot plot, Shelter shelter, Sheet sheet) {
        double cell = Math.sqrt((plot.east() - plot.west()) * (plot.north() - plot.south()) / 2000);
        int columns = (int) Math.ceil((plot.east() - plot.west()) / cell);
        int rows = (int) Math.ceil((plot.north() - plot.south()) / cell);
        boolean[] lee = new boolean[columns * rows];
        for (int i = 0; i < lee.length; i++) {
            Point at = new Point(plot.west() + (i % columns + 0.5) * cell, plot.south() + (i / columns + 0.5) * cell);
            lee[i] = plot.holds(at) && shelter.at(at) <= Shelter.SHELTERED;
        }
        return new Hatch(
                "lee",
                "sheltered",
                cells(lee.length, columns, plot.west(), plot.south(), cell, sheet, i -> lee[i]),
                shelter.share(plot));
    }

    static List<MonthBar> bars(SunHours hours) {
        return IntStream.rangeClosed(1, 12)
                .mapToObj(m -> new MonthBar(
                        Month.of(m).getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
                        hours.months().get(m - 1),
                        hours.open().get(m - 1),
                        hours.year().season().contains(m)))
                .toList();
    }

    /** The figures beside the sun layer: of the place picked, and of the whole plot. */
    static List<Figure> sunFigures(SunMap map, SunHours hours) {
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "sun-at",
                Phrase.of("Sun at the cross, while in leaf"),
                Amount.of(hours.season(), Quantity.HOURS),
                Phrase.of("a day"),
                hours::working));
        figures.add(new Figure(
                "sun-winter",
                Phrase.of("there, in the bare months"),
                Amount.of(hours.winter(), Quantity.HOURS),
                Phrase.of("a day"),
                hours::working));
        for (double wanted : new double[] {6, 8}) {
            double share = 100 * map.shareWith(wanted, map.year().season());
            figures.add(new Figure(
                    "sun-share-" + (int) wanted,
                    Phrase.of("Ground with {} or more", Amount.of(wanted, Quantity.HOURS)),
                    Amount.of(share, Quantity.PERCENT),
                    Phrase.of("of the plot"),
                    () -> map.shareWorking(wanted, map.year().season())));
        }
        return figures;
    }

    /** For which crops how much of the ground has sun enough. */
    public record CropSun(Crop crop, double wanted, double share) {}

    static List<CropSun> crops(PlanView plan, SunMap map) {
        return plan.evaluation().site().crops().stream()
                .map(crop -> new CropSun(
                        crop,
                        crop.sunHours(),
                        map.shareWith(crop.sunHours(), map.year().season())))
                .toList();
    }

    static List<Figure> coldFigures(PlanView plan, Point at) {
        Microclimate here = plan.terrain().microclimate(at);
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "microclimate",
                Phrase.of("Coldest nights at the cross, against the station"),
                Amount.of(Math.abs(here.kelvin()), Quantity.TEMPERATURE_STEP),
                Phrase.of(
                        here.parts().isEmpty() ? "the same" : here.kelvin() < 0 ? "colder, ± {}" : "warmer, ± {}",
                        Amount.of(here.halfWidth(), Quantity.TEMPERATURE_STEP)),
                here::working));
        figures.add(new Figure(
                "slope",
                Phrase.of("Fall of the ground"),
                Amount.of(plan.terrain().ground().slope(), Quantity.SLOPE),
                Phrase.of(""),
                () -> plan.terrain().ground().working()));
        ColdAir cold = plan.terrain().cold().orElseThrow();
        cold.pools().stream()
                .limit(3)
                .forEach(pool -> figures.add(new Figure(
                        "pool",
                        Phrase.of("Cold air can stand on {}", Amount.of(pool.area(), Quantity.AREA)),
                        Amount.cm(pool.deepest()),
                        Phrase.of(pool.gap().isEmpty() ? "deep, a hollow" : "deep, dammed"),
                        () -> cold.working(pool))));
        return figures;
    }

    static List<Figure> windFigures(PlanView plan) {
        List<Figure> figures = new ArrayList<>();
        SiteRow.Winds site = plan.site().winds();
        wind(figures, plan, "usual", site.prevailingWind());
        wind(figures, plan, "storm", site.stormWind());
        return figures;
    }

    private static void wind(List<Figure> figures, PlanView plan, String name, Double from) {
        if (from == null) {
            return;
        }
        Shelter shelter = new Shelter(
                plan.terrain().site().features(), from, plan.site().where().rotation());
        double share = shelter.share(plan.plot());
        figures.add(new Figure(
                "shelter-" + name,
                Phrase.of("Sheltered from the {} wind", name),
                Amount.of(100 * share, Quantity.PERCENT),
                Phrase.of("of the plot"),
                () -> shelter.working(share)));
    }
}
