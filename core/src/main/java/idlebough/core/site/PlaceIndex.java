package idlebough.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * Finds the nearest of many things that stand at places.
 *
 * <p>How: a JTS STR-tree is asked for all that lies within a radius, which is doubled until nothing further off could
 * be
 * nearer. Of equally near ones the first in the given order is taken, so the answer depends on nothing but the things.
 * Immutable and thread-safe.
 */
public final class PlaceIndex<T> {
    private static final double LEAST_RADIUS = 1;
    private final STRtree index = new STRtree();
    private final double firstRadius;
    private final double lastRadius;
    private final boolean empty;

    /** A thing with its rank in the given order. */
    private record Placed<T>(T thing, Point place, int rank) {}

    private PlaceIndex(List<T> things, Function<T, Point> place) {
        Envelope all = new Envelope();
        for (int i = 0; i < things.size(); i++) {
            Point at = place.apply(things.get(i));
            index.insert(new Envelope(at.x(), at.x(), at.y(), at.y()), new Placed<>(things.get(i), at, i));
            all.expandToInclude(at.x(), at.y());
        }
        index.build();
        empty = things.isEmpty();
        firstRadius = empty
                ? LEAST_RADIUS
                : Math.max(LEAST_RADIUS, 1.2 * Math.sqrt(all.getWidth() * all.getHeight() / things.size()));
        lastRadius = empty ? 0 : all.getDiameter();
    }

    public static <T> PlaceIndex<T> of(List<T> things, Function<T, Point> place) {
        return new PlaceIndex<>(things, place);
    }

    /** The nearest thing that is allowed; empty when none is. */
    public Optional<T> nearest(Point from, Predicate<T> allowed) {
        return nearest(from, allowed, thing -> 0);
    }

    /**
     * The thing with the least distance plus handicap.
     *
     * @param handicap m, not negative
     */
    public Optional<T> nearest(Point from, Predicate<T> allowed, ToDoubleFunction<T> handicap) {
        if (empty) {
            return Optional.empty();
        }
        double beyond = farFrom(from);
        for (double radius = firstRadius; ; radius *= 2) {
            Placed<T> best = null;
            double least = Double.POSITIVE_INFINITY;
            for (Placed<T> entry : within(from, radius)) {
                if (allowed.test(entry.thing())) {
                    double cost = from.distance(entry.place()) + handicap.applyAsDouble(entry.thing());
                    if (best == null || cost < least || cost == least && entry.rank() < best.rank()) {
                        best = entry;
                        least = cost;
                    }
                }
            }
            if (best != null && least <= radius || radius > beyond) {
                return Optional.ofNullable(best).map(Placed::thing);
            }
        }
    }

    /** Those within a distance, and some more near it. */
    public Stream<T> near(Point from, double distance) {
        return empty ? Stream.empty() : within(from, distance).stream().map(Placed::thing);
    }

    /** A radius that holds everything, whatever the handicaps. */
    private double farFrom(Point from) {
        Envelope all = (Envelope) index.getRoot().getBounds();
        return 2 * (lastRadius + all.distance(new Envelope(from.x(), from.x(), from.y(), from.y())) + firstRadius);
    }

    @SuppressWarnings("unchecked")
    private List<Placed<T>> within(Point from, double radius) {
        List<Placed<T>> found = new ArrayList<>();
        Envelope box = new Envelope(from.x() - radius, from.x() + radius, from.y() - radius, from.y() + radius);
        index.query(box, item -> found.add((Placed<T>) item));
        return found;
    }
}
