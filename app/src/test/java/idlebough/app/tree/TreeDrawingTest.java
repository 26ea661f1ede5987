package idlebough.app.tree;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A drawing must agree with the figures beside it, whatever the form, the age and the seed. */
class TreeDrawingTest {
    private static TreeFigure figure(TreeForm form, double age, double height, double width, int seed) {
        return new TreeFigure(
                form,
                Leaf.values()[seed % Leaf.values().length],
                age,
                TreeFigure.Size.of(height, width, age),
                new TreeFigure.Union(0.13, seed % 2 == 0 ? 1 : -1),
                new TreeFigure.Below(TreeFigure.Roots.values()[seed % 4], 0.4, 0.3),
                seed % 5 == 0,
                seed);
    }

    @ParameterizedTest
    @EnumSource(TreeForm.class)
    void growsToItsHeightAndWidth(TreeForm form) {
        for (int seed = 0; seed < 8; seed++) {
            for (double age : new double[] {0.5, 3, 7, 15, 60}) {
                double height = 1 + 4 * (1 - Math.exp(-0.2 * age));
                double width = 0.6 + 3.5 * (1 - Math.exp(-0.2 * age));
                Growth grown = Growth.of(figure(form, age, height, width, seed), new Random(seed));
                double top = 0;
                double left = 0;
                double right = 0;
                for (Limb limb : grown.limbs()) {
                    for (double[] at : limb.points()) {
                        top = Math.max(top, at[1]);
                        left = Math.min(left, at[0]);
                        right = Math.max(right, at[0]);
                    }
                }
                for (double[] at : grown.tufts()) {
                    top = Math.max(top, at[1] + at[2]);
                    left = Math.min(left, at[0] - at[2]);
                    right = Math.max(right, at[0] + at[2]);
                }
                String which = form + " at " + age + ", seed " + seed;
                if (form.tied()) {
                    assertThat(right - left).as(which).isLessThan(width + 0.4);
                    continue;
                }
                assertThat(top).as("height of " + which).isCloseTo(height, within(0.04 * height));
                if (form != TreeForm.WHIP) {
                    assertThat(right - left).as("width of " + which).isCloseTo(width, within(0.04 * width));
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(TreeForm.class)
    void theSameFiguresGiveTheSameTreeAndNoFigureIsBroken(TreeForm form) {
        for (double scale : new double[] {4, 16, 40, 90}) {
            List<Stroke> once = TreeDrawing.of(figure(form, 7, 3.2, 3, 3), scale);
            assertThat(TreeDrawing.of(figure(form, 7, 3.2, 3, 3), scale)).isEqualTo(once);
            TreeFigure same = figure(form, 7, 3.2, 3, 3);
            TreeFigure other = new TreeFigure(
                    form, same.leaf(), same.age(), same.size(), same.union(), same.below(), same.leafless(), 4);
            assertThat(TreeDrawing.of(other, scale))
                    .as("another seed, another tree")
                    .isNotEqualTo(once);
            String all = once.stream().map(Stroke::d).collect(Collectors.joining());
            assertThat(all).doesNotContain("NaN").doesNotContain("Infinity").startsWith("M");
            assertThat(all.length()).as("%s at %s a metre", form, scale).isBetween(50, 120_000);
        }
    }

    @Test
    void winterWoodHasNoLeavesAndAPotOrABallIsSeen() {
        TreeFigure bare = figure(TreeForm.BUSH, 7, 3.2, 3, 5);
        assertThat(css(bare)).contains("tr-wood").doesNotContain("tr-wash", "tr-blade");
        assertThat(css(figure(TreeForm.HEADED, 1, 1.6, 0.8, 1))).contains("tr-wash", "tr-pot");
        assertThat(css(figure(TreeForm.HEADED, 1, 1.6, 0.8, 2))).contains("tr-burlap");
        assertThat(css(figure(TreeForm.FAN, 5, 2.2, 3.5, 3))).contains("tr-wall", "tr-wire");
    }

    private static List<String> css(TreeFigure tree) {
        return TreeDrawing.of(tree, 60).stream().map(Stroke::css).toList();
    }

    /** Every crop has a habit and a leaf; the habits are common practice. */
    @Test
    void everyCropLooksLikeItself() {
        Catalogue catalogue = Catalogue.shipped();
        assertThat(form(catalogue, "peach", 1)).isEqualTo(TreeForm.OPEN);
        assertThat(form(catalogue, "orange", 0.75)).isEqualTo(TreeForm.ROUND);
        assertThat(form(catalogue, "fig", 1)).isEqualTo(TreeForm.STOOL);
        assertThat(form(catalogue, "apple", 0.37)).isEqualTo(TreeForm.BUSH);
        assertThat(form(catalogue, "apple", 1)).isEqualTo(TreeForm.STANDARD);
        assertThat(catalogue.crops().stream().map(Leaf::of).distinct())
                .containsExactlyInAnyOrderElementsOf(Arrays.asList(Leaf.values()));
    }

    private static TreeForm form(Catalogue catalogue, String key, double factor) {
        Crop crop = catalogue.crops().stream()
                .filter(each -> each.key().equals(key))
                .findFirst()
                .orElseThrow();
        return TreeForm.of(crop, factor);
    }
}
