package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.site.Footing;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lists of trees as people write them down (common practice of labels). */
class TagListTest {
    private static final List<Stand> STANDS = Stream.of(
                    "A1", "A2", "A3", "A10", "B1", "B2", "Cox's 1", "Cox's 2", "Old 1", "AB1")
            .map(TagListTest::stand)
            .toList();

    private static Stand stand(String label) {
        return Stand.of(
                new Tree(
                        label,
                        label,
                        new Point(0, 0),
                        new Tree.Kind("apple-cox", Optional.empty()),
                        new NurseryTree(Form.BARE, 0.4, 0.3, Optional.empty(), 0.02),
                        Footing.GRADE,
                        Tree.Life.PLANNED,
                        Optional.empty()),
                Catalogue.shipped());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "A1 | A1",
                "a1, b2 | A1 B2",
                "A1-A3 | A1 A2 A3",
                "A2–A10 | A2 A3 A10",
                "A1-3 | A1 A2 A3",
                "row B | B1 B2",
                "A | A1 A2 A3 A10",
                "Cox's 1-2; Old 1 | Cox's 1 Cox's 2 Old 1",
                "A1, A1, A1-A2 | A1 A2"
            })
    void namesTheseTreesAndNoOthers(String typed, String labels) {
        TagList list = TagList.of(typed, STANDS);
        assertThat(String.join(" ", list.trees().stream().map(Stand::label).toList()))
                .isEqualTo(labels);
        assertThat(list.unknown()).isEmpty();
    }

    @Test
    void saysWhatNamesNothing() {
        TagList list = TagList.of("A1, Z9, A7-A9, row Q, , 99999999999-999999999999", STANDS);
        assertThat(list.trees()).extracting(Stand::label).containsExactly("A1");
        assertThat(list.unknown()).containsExactly("Z9", "A7-A9", "row Q", "99999999999-999999999999");
    }
}
