package idlebough.app.irrigation;

import idlebough.app.web.Reader;
import idlebough.app.web.Svg;
import idlebough.core.irrigation.FirstSeason;
import java.util.ArrayList;
import java.util.List;

/**
 * The water of the first weeks as bars to one scale, the watering-in first; page units.
 *
 * @param bars in the order of the weeks
 */
public record WaterBars(List<Bar> bars) {
    private static final double BASE = 360;
    private static final double HIGHEST = 270;
    private static final double FIRST = 70;
    private static final double STEP = 68;
    private static final double WIDTH = 54;
    private static final double GAP = 2;

    /**
     * One bar of a block for each watering.
     *
     * @param blocks path of them
     * @param x middle of the bar
     * @param top where its figure stands
     */
    public record Bar(String name, String blocks, String x, String top, String words, boolean first) {
        public String nameCss() {
            return first ? "tb" : "t1";
        }

        public String wordsCss() {
            return nameCss() + " tw";
        }
    }

    static WaterBars of(FirstSeason season, Reader say) {
        double most =
                season.weeks().stream().mapToDouble(FirstSeason.Week::total).reduce(season.wateringIn(), Math::max);
        double scale = most > 0 ? HIGHEST / most : 0;
        List<Bar> bars = new ArrayList<>();
        bars.add(bar("day 1", 0, 1, season.wateringIn() * scale, say.text(season.wateringIn(), "VOLUME")));
        season.weeks()
                .forEach(week -> bars.add(bar(
                        "week " + week.number(),
                        week.number(),
                        week.times(),
                        week.total() * scale,
                        say.text(week.total(), "VOLUME"))));
        return new WaterBars(List.copyOf(bars));
    }

    private static Bar bar(String name, int number, int times, double height, String words) {
        double left = FIRST + STEP * number;
        StringBuilder blocks = new StringBuilder();
        for (int block = 1; block <= times; block++) {
            double high = Math.max(0, height / times - GAP);
            blocks.append(Svg.path("M# #h#v#h#z", left, BASE - block * height / times, WIDTH, high, -WIDTH));
        }
        return new Bar(
                name,
                blocks.toString(),
                Svg.number(left + WIDTH / 2),
                Svg.number(BASE - height - 8),
                words,
                number == 0);
    }
}
