package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.site.Footing;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.variety.Choice;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TallyTest {
    private static Stand stand(String id, String choice) {
        return Stand.of(
                new Tree(
                        id,
                        id,
                        new Point(1, 1),
                        new Tree.Kind("apple-cox", Optional.of("m9")),
                        new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.13), 0.02),
                        Footing.GRADE,
                        Tree.Life.PLANNED,
                        Optional.ofNullable(choice)),
                Catalogue.shipped());
    }

    /** What misses a place, what has too many, and what stands for itself. */
    @Test
    void wantedAgainstPlacedBothWays() {
        List<Choice> choices = List.of(
                new Choice("few", "apple-cox", Optional.of("m9"), 3),
                new Choice("many", "apple-cox", Optional.of("m9"), 1),
                new Choice("none", "apple-cox", Optional.empty(), 2),
                new Choice("potted", "apple-cox", Optional.of("m9"), 4, true, Optional.empty()));
        List<Tally> tallies =
                Tally.of(choices, List.of(stand("a", "few"), stand("b", "many"), stand("c", "many"), stand("d", null)));
        assertThat(tallies).extracting(tally -> tally.choice().id()).containsExactly("few", "many", "none");
        assertThat(tallies).extracting(Tally::placed).containsExactly(1, 2, 0);
        assertThat(tallies).extracting(Tally::missing).containsExactly(2, -1, 2);
    }
}
