package idlebough.app.rootstock;

import idlebough.app.tree.Leaf;
import idlebough.app.tree.Person;
import idlebough.app.tree.Plate;
import idlebough.app.tree.TreeFigure;
import idlebough.app.tree.TreeForm;
import idlebough.app.web.Svg;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import idlebough.core.rootstock.Habit;
import idlebough.core.rootstock.StockOffer;
import idlebough.core.rootstock.StockOffers;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.SoilPit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * The stocks of a variety drawn to scale, page units: above, one of them between its neighbours at the pegs; below, all on
 * one line over the pit that speaks for them.
 */
public record StockDrawing(InRow row, List<One> all, Ground ground, Scale scale) {
    private static final double WIDTH = 726;
    /** Where the ground of each drawing lies. */
    private static final double ROW = 232;

    private static final double LINE = 444;
    private static final double DEEP = 62;
    private static final double DEEPEST = 1.5;
    private static final double LADDER = 2.4;
    private static final double OVERLAP = 0.86;
    private static final double GROWN = 25;
    private static final double POST = 1.7;

    /**
     * How far along it is drawn.
     *
     * @param year in the ground; 0 for full grown
     * @param leafless winter wood
     */
    public record Moment(int year, boolean leafless) {
        /** For a link that stays in it. */
        String kept() {
            return (fullGrown() ? "" : "&year=" + year) + (leafless ? "&bare=true" : "");
        }

        boolean fullGrown() {
            return year == 0;
        }

        TreeSize size(TreeSize full, Rootstock stock) {
            if (fullGrown()) {
                return full;
            }
            double rate = stock.vigour().growth();
            return full.after(year, rate);
        }
    }

    /** Page units to the metre, above and below; how many times the depth is stretched. */
    public record Scale(double row, double line, double deep) {
        public long times() {
            return Math.round(deep / line);
        }

        public String bar() {
            double metres = row < 22 ? 4 : 2;
            return Svg.path("M# 24v-8v4h#v-4v8", 700 - metres * row, metres * row);
        }

        public double barMetres() {
            return row < 22 ? 4 : 2;
        }
    }

    /**
     * One of them among its neighbours.
     *
     * @param tree drawn once, at its own foot
     * @param at transforms of its neighbours, which are its like, and of itself, the last
     * @param pegs measure between the pegs; empty while the trees have no places
     * @param left what is free between two crowns; empty where they meet
     */
    public record InRow(
            StockOffer offer,
            Plate tree,
            List<String> at,
            Plate person,
            double personX,
            String ladder,
            double ladderX,
            Optional<Measure> pegs,
            Optional<Measure> left) {}

    /** A measure with its ends. */
    public record Measure(String path, double x, double metres) {}

    /**
     * One of the line.
     *
     * @param ring how far the size itself is known
     * @param roots and bad: paths of roots at ease, and of roots in ground that they do not bear
     * @param cross where those end; empty where there are none
     * @param post that stays for life; empty for none
     */
    public record One(
            StockOffer offer,
            double x,
            Plate tree,
            String ring,
            String rim,
            String roots,
            String bad,
            Optional<String> cross,
            Optional<String> post,
            boolean chosen,
            int shelf) {}

    /** @param water where water has stood; empty where it has not */
    public record Ground(String pit, List<Layer> layers, Optional<Edge> water, Optional<Edge> pan) {}

    /** @param fill of its colour */
    public record Layer(double y, double height, String fill, String texture) {
        public double middle() {
            return y + Math.min(height, 60) / 2 + 4;
        }

        public boolean wide() {
            return height >= 15;
        }
    }

    /** @param depth m */
    public record Edge(double y, double depth) {}

    /** What is the same for all of them. */
    private record Sitter(Variety variety, Habit habit, Moment moment) {
        TreeFigure tree(StockOffer offer, int seed) {
            Rootstock stock = offer.stock();
            double age = moment.fullGrown() ? GROWN : moment.year();
            TreeSize size = moment.size(offer.size(), stock);
            return new TreeFigure(
                    TreeForm.of(variety.crop(), stock.factor(variety.crop()), habit.training()),
                    Leaf.of(variety.crop()),
                    age,
                    TreeFigure.Size.of(size.height(), size.spread(), Math.min(age, 15)),
                    stock.ownRooted()
                            ? TreeFigure.Union.NONE
                            : new TreeFigure.Union(Math.max(0.1, stock.unionMin()), -1),
                    TreeFigure.Below.HIDDEN,
                    moment.leafless() && !variety.crop().evergreen(),
                    seed);
        }
    }

    static StockDrawing of(StockOffers offers, StockOffer shown, Moment moment) {
        Sitter sitter = new Sitter(offers.variety(), offers.here().habit(), moment);
        double row = rowScale(offers, shown);
        double line = lineScale(offers.offers());
        Optional<SoilPit> pit = offers.here().pits().stream().findFirst();
        return new StockDrawing(
                row(sitter, offers, shown, row),
                line(sitter, offers, shown, pit, line),
                ground(pit),
                new Scale(row, line, DEEP));
    }

    private static double rowScale(StockOffers offers, StockOffer shown) {
        double apart = offers.here().apart().orElse(shown.size().spread());
        double height = Math.max(shown.size().height(), LADDER);
        return Math.min(
                Math.min(42, 168 / height),
                (WIDTH - 140) / (apart + shown.size().spread()));
    }

    private static InRow row(Sitter sitter, StockOffers offers, StockOffer shown, double scale) {
        double middle = WIDTH / 2 + 22;
        TreeFigure tree = sitter.tree(shown, 37);
        Optional<Double> apart = offers.here().apart();
        List<String> at = new ArrayList<>();
        apart.ifPresent(metres -> {
            at.add(Svg.translate(middle - metres * scale, ROW) + " scale(-1,1)");
            at.add(Svg.translate(middle + metres * scale, ROW) + " scale(-1,1)");
        });
        at.add(Svg.translate(middle, ROW));
        double beside = (apart.orElse(shown.size().spread() + 1.4) / 2) * scale;
        double crown = tree.size().width() * scale / 2;
        Optional<Measure> left = apart.map(metres -> metres - tree.size().width())
                .filter(free -> free > 0.05)
                .map(free -> measure(middle + crown, middle + crown + free * scale, 50, free));
        return new InRow(
                shown,
                Plate.of(tree, 0, 0, scale),
                at,
                Plate.person(middle + beside, ROW, scale),
                middle + beside,
                ladder(middle - beside, scale),
                middle - beside,
                apart.map(metres -> measure(middle, middle + metres * scale, ROW + 28, metres)),
                left);
    }

    private static Measure measure(double from, double to, double y, double metres) {
        return new Measure(
                Svg.path("M# #V#M# #H#M# #V#", from, y - 6, y + 6, from, y, to, to, y - 6, y + 6),
                (from + to) / 2,
                metres);
    }

    private static String ladder(double x, double scale) {
        double high = LADDER * scale;
        double foot = scale * 0.5;
        StringBuilder d = new StringBuilder(Svg.path(
                "M# #L# #M# #L# #",
                x - foot,
                ROW,
                x - foot * 0.3,
                ROW - high,
                x + foot,
                ROW,
                x + foot * 0.3,
                ROW - high));
        for (int rung = 1; rung <= 8; rung++) {
            double share = rung / 8.0;
            double half = foot * (1 - 0.7 * share);
            d.append(Svg.path("M# #H#", x - half, ROW - high * share, x + half));
        }
        return d.toString();
    }

    private static double lineScale(List<StockOffer> offers) {
        double wide =
                offers.stream().mapToDouble(o -> OVERLAP * o.size().spread()).sum();
        double high = offers.stream()
                .mapToDouble(
                        o -> o.known().high() / o.size().spread() * o.size().height())
                .max()
                .orElse(2);
        return Math.min(Math.min(17, 128 / high), (WIDTH - 74 - 12 * offers.size()) / Math.max(1, wide));
    }

    private static List<One> line(
            Sitter sitter, StockOffers offers, StockOffer shown, Optional<SoilPit> pit, double scale) {
        List<StockOffer> all = offers.offers();
        double wide = all.stream()
                .mapToDouble(o -> OVERLAP * o.size().spread() * scale)
                .sum();
        double gap = (WIDTH - 64 - wide) / (all.size() + 1);
        double x = 52 + gap;
        List<One> line = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            StockOffer offer = all.get(i);
            double half = OVERLAP * offer.size().spread() * scale / 2;
            x += half;
            line.add(one(sitter, offer, new Spot(x, i), shown, pit, scale));
            x += half + gap;
        }
        return line;
    }

    private record Spot(double x, int rank) {}

    private static One one(
            Sitter sitter, StockOffer offer, Spot spot, StockOffer shown, Optional<SoilPit> pit, double scale) {
        double height = offer.size().height() / offer.size().spread();
        String rim = ring(spot.x(), offer.known().high(), height, scale);
        Roots roots = Roots.of(offer, spot, pit, scale);
        boolean held = offer.stock().support() == Rootstock.Support.PERMANENT;
        double post = Math.min(POST, offer.size().height() * 0.85) * scale;
        return new One(
                offer,
                spot.x(),
                Plate.of(sitter.tree(offer, 40 + spot.rank()), spot.x(), LINE, scale),
                rim + ring(spot.x(), offer.known().low(), height, scale),
                rim,
                roots.sound().toString(),
                roots.bad().toString(),
                roots.cross(),
                held
                        ? Optional.of(
                                Svg.path("M# #h3.4V#l-1.7 4l-1.7 -4z", spot.x() - 7.5, LINE - post, LINE + 0.55 * DEEP))
                        : Optional.empty(),
                offer == shown,
                spot.rank() % 2);
    }

    /** @param ratio of height to width */
    private static String ring(double x, double wide, double ratio, double scale) {
        double half = wide * scale / 2;
        double top = wide * ratio * scale;
        double low = top * 0.16;
        return Svg.path(
                "M# #a# # 0 1 0 # 0a# # 0 1 0 # 0",
                x - half,
                LINE - (top + low) / 2,
                half,
                (top - low) / 2,
                2 * half,
                half,
                (top - low) / 2,
                -2 * half);
    }

    /** Seven strands, drawn to where the pit lets roots go: how deep each stock would root is not known. */
    private record Roots(StringBuilder sound, StringBuilder bad, Optional<String> cross) {
        static Roots of(StockOffer offer, Spot spot, Optional<SoilPit> pit, double scale) {
            Random random = new Random(90 + spot.rank());
            boolean suffers = offer.standing(StockOffer.Aspect.WET) != Standing.SOUND;
            double limit = pit.flatMap(of -> of.profile().wetFrom()).orElse(suffers ? 0.45 : 0.9);
            double deep =
                    Math.min(suffers ? limit + 0.22 : pit.map(SoilPit::rootable).orElse(0.9), DEEPEST);
            double wide = offer.size().spread() * scale * 0.42;
            StringBuilder sound = new StringBuilder();
            StringBuilder bad = new StringBuilder();
            for (int strand = -3; strand <= 3; strand++) {
                double out = strand / 3.0 * wide;
                double down = deep * DEEP * (1 - Math.abs(strand) / 3.0 * 0.55) * (0.9 + 0.1 * random.nextDouble());
                boolean below = false;
                for (int step = 0; step <= 10; step++) {
                    double share = step / 10.0;
                    double x = spot.x() + out * Math.pow(share, 0.75) + (random.nextDouble() - 0.5) * 2;
                    double y = down * Math.pow(share, 1.15);
                    boolean wet = suffers && y > limit * DEEP;
                    if (wet) {
                        bad.append(Svg.path(below ? "L# #" : "M# #", x, LINE + y));
                    } else {
                        sound.append(Svg.path(step == 0 ? "M# #" : "L# #", x, LINE + y));
                    }
                    below = wet;
                }
            }
            double tip = LINE + deep * DEEP + 4;
            return new Roots(
                    sound,
                    bad,
                    suffers ? Optional.of(Svg.path("M# #l8 8m0 -8l-8 8", spot.x() - 4, tip - 4)) : Optional.empty());
        }
    }

    private static Ground ground(Optional<SoilPit> pit) {
        List<Layer> layers = new ArrayList<>();
        double from = pit.map(SoilPit::topsoil).orElse(0.25);
        layers.add(
                layer(0, from, "url(#tp)", pit.map(of -> of.texture().label()).orElse("")));
        for (SoilPit.Layer each : pit.map(of -> of.profile().layers()).orElse(List.of())) {
            double to = Math.min(each.bottom(), DEEPEST);
            if (to > from) {
                layers.add(layer(
                        from,
                        to,
                        each.colour().map(colour -> "url(#c-" + colour + ")").orElse("url(#sb)"),
                        each.texture().label()));
                from = to;
            }
        }
        if (from < DEEPEST) {
            layers.add(layer(from, DEEPEST, "url(#unseen)", ""));
        }
        return new Ground(
                pit.map(SoilPit::label).orElse(""),
                layers,
                pit.flatMap(of -> of.profile().wetFrom()).map(StockDrawing::edge),
                pit.flatMap(SoilPit::pan).map(StockDrawing::edge));
    }

    private static Layer layer(double from, double to, String fill, String texture) {
        return new Layer(LINE + from * DEEP, (to - from) * DEEP, fill, texture);
    }

    private static Edge edge(double depth) {
        return new Edge(LINE + depth * DEEP, depth);
    }

    public double personHeight() {
        return Person.HEIGHT;
    }

    /** The person and the ladder that stand beside the line. */
    public Plate measure() {
        return Plate.person(22, LINE, scale.line());
    }
}
