package idlebough.app.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;

/**
 * Places the labels of a drawing so that they do not lie on each other: every label has a few places round its mark, and
 * takes in turn the one that costs least while the others stay, until none moves. One that finds no room beside its
 * mark stands further off on a leader line.
 */
public final class Labels {
    private static final double LETTER = 0.47;
    private static final double[] OFF = {0, 18, 36, 58, 84};
    private static final double GAP = 4;
    private static final int ROUNDS = 6;
    private static final double ON_LABEL = 60;
    private static final double ON_MARK = 12;
    private static final double OUTSIDE = 500;
    private static final double PER_UNIT_OFF = 0.12;

    private Labels() {}

    /**
     * What wants a label.
     *
     * @param x and y of the mark, page units
     * @param radius that the label keeps clear of
     * @param size of the letters
     */
    public record Wish(String text, double x, double y, double radius, double size) {
        /** As wide as its letters are in the mean. */
        double width() {
            return LETTER * size * text.length();
        }
    }

    /**
     * Where it stands.
     *
     * @param x of its middle
     * @param y of its base line
     * @param leader path to its mark; empty where it stands beside it
     */
    public record Label(String text, double x, double y, Optional<String> leader) {}

    private record Place(double x, double y, double off, int rank) {}

    /**
     * @param taken boxes on which no label should stand
     * @param width and height of the sheet
     * @return in the order of the wishes
     */
    public static List<Label> place(List<Wish> wishes, List<Envelope> taken, double width, double height) {
        Place[] places = new Place[wishes.size()];
        for (int i = 0; i < places.length; i++) {
            places[i] = places(wishes.get(i)).get(0);
        }
        boolean moved = true;
        for (int round = 0; moved && round < ROUNDS; round++) {
            moved = false;
            for (int i = 0; i < places.length; i++) {
                Place best = cheapest(wishes, places, i, taken, new Envelope(2, width - 2, 2, height - 2));
                moved |= !best.equals(places[i]);
                places[i] = best;
            }
        }
        List<Label> labels = new ArrayList<>();
        for (int i = 0; i < places.length; i++) {
            labels.add(label(wishes.get(i), places[i]));
        }
        return labels;
    }

    private static Label label(Wish wish, Place place) {
        Optional<String> leader = place.off() == 0
                ? Optional.empty()
                : Optional.of(Svg.path(
                        "M# #L# #",
                        wish.x(),
                        wish.y(),
                        place.x(),
                        place.y() > wish.y() ? place.y() - wish.size() : place.y() + 2));
        return new Label(wish.text(), place.x(), place.y(), leader);
    }

    private static Place cheapest(List<Wish> wishes, Place[] places, int of, List<Envelope> taken, Envelope sheet) {
        Place best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Place place : places(wishes.get(of))) {
            Envelope box = box(wishes.get(of), place);
            double cost = place.rank() + PER_UNIT_OFF * place.off() + (sheet.covers(box) ? 0 : OUTSIDE);
            for (int i = 0; i < places.length && cost < least; i++) {
                if (i != of) {
                    cost += ON_LABEL * share(box, box(wishes.get(i), places[i]));
                }
            }
            for (Envelope mark : taken) {
                cost += ON_MARK * share(box, mark);
            }
            if (cost < least) {
                best = place;
                least = cost;
            }
        }
        return best;
    }

    /** The share of a label that lies on something, and a little for touching it at all. */
    private static double share(Envelope label, Envelope other) {
        return label.intersects(other) ? 0.1 + label.intersection(other).getArea() / label.getArea() : 0;
    }

    private static Envelope box(Wish wish, Place place) {
        double half = wish.width() / 2 + 1;
        return new Envelope(
                place.x() - half, place.x() + half, place.y() - 0.85 * wish.size(), place.y() + 0.25 * wish.size());
    }

    /** Below, above, right, left, then the corners; then the same further off. */
    private static List<Place> places(Wish wish) {
        List<Place> places = new ArrayList<>();
        double half = wish.width() / 2;
        for (double off : OFF) {
            double down = wish.radius() + GAP + off + 0.75 * wish.size();
            double up = wish.radius() + GAP + off;
            double side = wish.radius() + GAP + off + half;
            double level = 0.3 * wish.size();
            double[][] round = {
                {0, down}, {0, -up}, {side, level}, {-side, level},
                {side, down}, {-side, down}, {side, -up}, {-side, -up}
            };
            for (double[] by : round) {
                places.add(new Place(wish.x() + by[0], wish.y() + by[1], off, places.size() % round.length));
            }
        }
        return places;
    }
}
