package idlebough.core.site;

import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * Something that stands, lies or runs on the ground.
 *
 * @param id the caller's identifier
 * @param points one, the corners of a line, or the ring of an area without its end repeated; plan metres
 * @param evergreen whether a tree or hedge keeps its leaves
 * @param material of a wall or fence; empty for others
 * @param about a zone's pit, by its identifier; an existing tree's variety, or its crop where nobody knows it, by its
 *     key; empty for others
 */
public record Feature(
        String id,
        Kind kind,
        String name,
        List<Point> points,
        Size size,
        boolean evergreen,
        Optional<Material> material,
        Optional<String> about) {

    /**
     * Its measures, m; empty for the usual ones or none.
     *
     * @param height above the ground; of a line overhead the height of the wire; of a spot its level
     * @param width of a path, hedge or wall
     * @param crown diameter of a tree's crown
     * @param clearance to be kept from a line or service
     */
    public record Size(
            Optional<Double> height, Optional<Double> width, Optional<Double> crown, Optional<Double> clearance) {
        public static final Size USUAL =
                new Size(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        /** Null for what is not known. */
        public static Size of(Double height, Double width, Double crown, Double clearance) {
            return new Size(
                    Optional.ofNullable(height),
                    Optional.ofNullable(width),
                    Optional.ofNullable(crown),
                    Optional.ofNullable(clearance));
        }

        public static Size high(double height) {
            return of(height, null, null, null);
        }
    }

    /** How a feature is drawn and measured. */
    public enum Shape {
        POINT(1),
        LINE(2),
        AREA(3);
        private final int least;

        Shape(int least) {
            this.least = least;
        }

        /** The fewest points that make one. */
        public int least() {
            return least;
        }
    }

    /** The kinds of features; heights and clearances are usual ones, to be overtyped (common practice). */
    public enum Kind {
        BUILDING("building", Shape.AREA, 4.0, null),
        WALL("wall", Shape.LINE, 1.8, null),
        FENCE("fence", Shape.LINE, 1.5, null),
        HEDGE("hedge or windbreak", Shape.LINE, 2.0, null),
        PATH("path", Shape.LINE, null, null),
        GATE("gate", Shape.POINT, null, null),
        OVERHEAD("overhead line", Shape.LINE, 6.0, 3.0),
        BURIED("buried service", Shape.LINE, null, 3.0),
        TREE("existing tree", Shape.POINT, 6.0, null),
        WET("wet spot", Shape.AREA, null, null),
        WELL("well or tap", Shape.POINT, null, null),
        DRAIN_FIELD("drain field", Shape.AREA, null, 6.0),
        VIEW("view point", Shape.POINT, null, null),
        BEDS("vegetable bed", Shape.AREA, null, null),
        WINDOW("neighbour’s window", Shape.POINT, null, null),
        SPOT("spot height", Shape.POINT, null, null),
        ZONE("zone of a pit", Shape.AREA, null, null);

        private final String words;
        private final Shape shape;
        private final Double usualHeight;
        private final Double usualClearance;

        Kind(String words, Shape shape, Double usualHeight, Double usualClearance) {
            this.words = words;
            this.shape = shape;
            this.usualHeight = usualHeight;
            this.usualClearance = usualClearance;
        }

        public String words() {
            return words;
        }

        public Shape shape() {
            return shape;
        }

        /** m; empty for what has no height. */
        public Optional<Double> usualHeight() {
            return Optional.ofNullable(usualHeight);
        }

        /** m; empty for what asks for none. */
        public Optional<Double> usualClearance() {
            return Optional.ofNullable(usualClearance);
        }

        /** Whether it may throw a shadow. */
        public boolean casts() {
            return this == BUILDING || this == WALL || this == FENCE || this == HEDGE || this == TREE;
        }
    }

    /** What a wall or fence is made of: whether it stops light, air and gives warmth back. */
    public enum Material {
        MASONRY("brick, stone or block"),
        BOARDS("close boards"),
        WIRE("wire or open rails");
        private final String words;

        Material(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static final double WALL_WIDTH = 0.25;
    private static final double HEDGE_WIDTH = 1.0;
    private static final double PATH_WIDTH = 1.2;

    /** The height to compute with: its own or the usual one; 0 for what lies flat. */
    public double stands() {
        return size.height().or(() -> kind.usualHeight()).orElse(0.0);
    }

    public double keepsClear() {
        return size.clearance().or(() -> kind.usualClearance()).orElse(0.0);
    }

    /** Thickness of a line, m. */
    public double thick() {
        return size.width().orElse(kind == Kind.HEDGE ? HEDGE_WIDTH : kind == Kind.PATH ? PATH_WIDTH : WALL_WIDTH);
    }

    /** Whether neither light nor air goes through. */
    public boolean isClosed() {
        return material.filter(Material.WIRE::equals).isEmpty();
    }

    /** Its outline on the plan: a point, a line or a polygon. */
    public Geometry geometry() {
        return switch (kind.shape()) {
            case POINT -> Shapes.point(points.get(0));
            case LINE -> Shapes.line(points);
            case AREA -> Shapes.polygon(points);
        };
    }

    /** The ground it covers: areas as they are, lines with their thickness, trees by their crown. */
    public Geometry footprint() {
        return switch (kind.shape()) {
            case POINT ->
                size.crown().map(across -> geometry().buffer(across / 2)).orElseGet(this::geometry);
            case LINE -> Shapes.strip(points, thick());
            case AREA -> geometry();
        };
    }

    public double distance(Point place) {
        return geometry().distance(Shapes.point(place));
    }

    /** The same feature elsewhere, or of another outline. */
    public Feature at(List<Point> elsewhere) {
        return new Feature(id, kind, name, elsewhere, size, evergreen, material, about);
    }
}
