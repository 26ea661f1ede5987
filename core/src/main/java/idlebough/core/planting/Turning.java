package idlebough.core.planting;

import idlebough.core.judge.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which way a tree is turned in its hole. Wishes that pull apart are decided by the way and told (common practice).
 *
 * @param what is turned
 * @param bearing to which it faces, true, degrees; empty where a tag on the tree tells it
 * @param why it is so
 * @param against what else was wished and gives way
 */
public record Turning(Phrase what, Optional<Double> bearing, Phrase why, List<Gives> against) {
    private static final double SOUTH = 180;
    private static final double FULL = 360;
    /** Wishes that differ by less do not pull apart, degrees. */
    private static final double SAME = 45;

    /** Another part that would face elsewhere, true, degrees, and gives way. */
    public record Gives(Phrase what, double bearing) {}

    /** A part of the tree, where it should face, and the reason. */
    private record Wish(String school, Phrase what, double bearing, Phrase why) {}

    /**
     * @param school of {@link PlantingWays#TURNING}
     * @param grafted whether it has a bud side
     * @param around storms and views of its place
     */
    static Turning of(String school, boolean grafted, double latitude, PlantingSection.Around around) {
        List<Wish> wishes = wishes(grafted, latitude < 0 ? SOUTH : 0, around);
        if (school.equals("old")) {
            return new Turning(
                    Phrase.of("its tagged side, as it stood"),
                    Optional.empty(),
                    Phrase.of("its bark is used to its sun"),
                    List.of());
        }
        Wish first = wishes.stream()
                .filter(wish -> wish.school().equals(school))
                .findFirst()
                .orElse(wishes.get(0));
        return new Turning(
                first.what(),
                Optional.of(first.bearing()),
                first.why(),
                wishes.stream()
                        .filter(wish -> wish != first && apart(wish.bearing(), first.bearing()) > SAME)
                        .map(wish -> new Gives(wish.what(), wish.bearing()))
                        .toList());
    }

    private static List<Wish> wishes(boolean grafted, double shade, PlantingSection.Around around) {
        List<Wish> wishes = new ArrayList<>();
        if (grafted) {
            wishes.add(new Wish(
                    "sun", Phrase.of("the bud side of its union"), shade, Phrase.of("in the shade it does not scald")));
        }
        around.storm()
                .ifPresent(from -> wishes.add(new Wish(
                        "roots",
                        Phrase.of("its most and strongest roots"),
                        from,
                        Phrase.of("they hold it against the storm"))));
        wishes.add(new Wish(
                "heavy", Phrase.of("the heavy side of its crown"), shade, Phrase.of("the weak side gets the light")));
        around.view()
                .ifPresent(towards -> wishes.add(
                        new Wish("view", Phrase.of("its best side"), towards, Phrase.of("it is seen from there"))));
        return wishes;
    }

    private static double apart(double a, double b) {
        double off = Math.abs(a - b) % FULL;
        return Math.min(off, FULL - off);
    }
}
