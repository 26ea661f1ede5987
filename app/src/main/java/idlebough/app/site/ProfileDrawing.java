package idlebough.app.site;

import idlebough.app.web.Svg;
import idlebough.core.site.SoilPit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The wall of a pit as a strip of soil, page units down from its top edge.
 *
 * @param deep to which depth it is drawn, m
 * @param bands layers below the topsoil
 * @param topsoil the darker layer at the top
 * @param pan where it stops the spade; empty when none was met or it lies below what is drawn
 * @param water where it stood; empty likewise
 * @param foot of the words below the strip
 */
public record ProfileDrawing(
        double deep, List<Band> bands, Top topsoil, Optional<Mark> pan, Optional<Mark> water, double foot) {
    private static final double HEIGHT = 240;
    private static final double USUAL = 1.2;
    private static final double LEAST = 0.6;
    private static final double ROOM_FOR_DEPTH = 26;
    private static final double BESIDE_PAN = 0.08;

    /**
     * @param fill of its colour
     * @param bottom, mottles and roots: paths; empty where there is nothing of the kind
     * @param middle of its words
     * @param depth of its lower edge, m, where there is room to write it
     */
    public record Band(
            double y,
            double height,
            String fill,
            String texture,
            double middle,
            Optional<Double> depth,
            Traces traces) {
        public double end() {
            return y + height;
        }
    }

    /** Paths within a band. */
    public record Traces(String bottom, Optional<String> mottles, Optional<String> roots) {}

    /** The topsoil's height, its measure and where that is written. */
    public record Top(double height, String measure, double middle) {}

    /** A line across at a depth, m. */
    public record Mark(double y, double depth) {
        /** What is left below it. */
        public double rest() {
            return HEIGHT - y;
        }
    }

    static ProfileDrawing of(SoilPit pit) {
        SoilPit.Profile seen = pit.profile();
        double deep = seen.bottom().map(bottom -> Math.max(LEAST, bottom)).orElse(USUAL);
        double scale = HEIGHT / deep;
        List<Band> bands = new ArrayList<>();
        double from = pit.topsoil();
        for (SoilPit.Layer layer : seen.layers()) {
            bands.add(band(layer, from * scale, Math.min(HEIGHT, layer.bottom() * scale), seen.pan()));
            from = layer.bottom();
        }
        double top = Math.min(HEIGHT, pit.topsoil() * scale);
        return new ProfileDrawing(
                deep,
                bands,
                new Top(top, Svg.path("M78 0v#m-4 0h8m-8 -#h8", top, top), top / 2),
                mark(seen.pan(), deep),
                mark(seen.waterAt(), deep),
                seen.mottles().isPresent() ? 272 : 258);
    }

    private static Band band(SoilPit.Layer layer, double from, double to, Optional<Double> pan) {
        boolean clear =
                pan.filter(at -> Math.abs(layer.bottom() - at) <= BESIDE_PAN).isEmpty();
        return new Band(
                from,
                Math.max(0, to - from),
                layer.colour().map(colour -> "url(#c-" + colour.name() + ")").orElse("url(#sb)"),
                layer.texture().label(),
                (from + to) / 2 + 4,
                Optional.of(layer.bottom()).filter(bottom -> to - from > ROOM_FOR_DEPTH && clear),
                new Traces(
                        Svg.path("M0 #h70", to),
                        Optional.of(Svg.path(
                                        "M12 #l5 3M40 #l6 -3M58 #l4 4M26 #l5 2",
                                        from + 8,
                                        from + 14,
                                        from + 7,
                                        from + 21))
                                .filter(path -> layer.mottled()),
                        Optional.of(Svg.path("M20 #q4 9 -2 18M46 #q-5 8 1 20", from, from))
                                .filter(path -> layer.roots())));
    }

    private static Optional<Mark> mark(Optional<Double> at, double deep) {
        return at.filter(depth -> depth < deep).map(depth -> new Mark(depth * HEIGHT / deep, depth));
    }
}
