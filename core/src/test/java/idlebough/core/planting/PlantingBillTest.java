package idlebough.core.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is brought is what the trees want, summed by hand. */
class PlantingBillTest {
    private static PlantingSection section(String stock, Map<String, String> ways) {
        return PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.13), 0.02),
                Optional.of(Shipped.stock(stock)),
                PlantingSection.Soil.untested(Texture.LOAM),
                Footing.GRADE,
                ways,
                Optional.empty(),
                45));
    }

    private static PlantingBill.Tree tree(String label, PlantingSection section, double water) {
        return new PlantingBill.Tree(label, section, section.screen(), water);
    }

    private static PlantingBill.Line line(List<PlantingBill.Line> lines, String key) {
        return lines.stream()
                .filter(line -> line.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no line " + key));
    }

    /**
     * Two trees on M9 with stakes of 2.14 m (1.5 m above, three tenths in the ground), one on a strong stock without;
     * a guard of 20 cm takes π × 0.2 + 0.05 m; 8 cm of mulch in a ring of 1.2 m, clear by 12 cm, 86 L each.
     */
    @Test
    void isTheSumOfWhatTheTreesWant() {
        PlantingSection dwarf = section("m9", Map.of());
        PlantingSection strong = section("mm111", Map.of("planting.guard", "deer", "planting.stem", "cloth"));
        List<PlantingBill.Line> lines =
                PlantingBill.of(List.of(tree("A1", dwarf, 10), tree("A2", dwarf, 10), tree("B1", strong, 30)));
        assertThat(line(lines, "stake-214").amount().value()).isEqualTo(2);
        assertThat(line(lines, "stake-214").trees()).containsExactly("A1", "A2");
        assertThat(line(lines, "guard-60").amount().value()).isCloseTo(2 * (Math.PI * 0.2 + 0.05), within(1e-9));
        assertThat(line(lines, "guard-180").trees()).containsExactly("B1");
        assertThat(line(lines, "guard-posts-180").amount().value()).isEqualTo(3);
        assertThat(line(lines, "screens").amount().value())
                .as("three quarters of a ring of 0.9 m, as tall as a whip of 1.4")
                .isCloseTo(0.75 * Math.PI * 0.9 * 1.4, within(1e-6));
        assertThat(line(lines, "mulch").amount().value()).isCloseTo(3 * 86, within(3.0));
        assertThat(line(lines, "water").amount().value()).isEqualTo(50);
        assertThat(lines).extracting(PlantingBill.Line::key).doesNotContain("compost", "mounds", "additive");
    }

    /** UK forestry practice, from memory: rabbit 0.6 m, hare 0.75, roe deer 1.2, larger deer 1.8. */
    @Test
    void guardsAreAsHighAsTheAnimalsReach() {
        Map.of("small", 0.6, "hare", 0.75, "roe", 1.2, "deer", 1.8).forEach((school, height) -> {
            Guard guard =
                    section("mm111", Map.of("planting.guard", school)).guard().orElseThrow();
            assertThat(guard.height()).isEqualTo(height);
            assertThat(guard.across()).as("10 cm wider than the stem").isGreaterThanOrEqualTo(0.12);
            assertThat(guard.roll() - guard.height())
                    .as("5 to 8 cm in the ground")
                    .isBetween(0.05, 0.08);
        });
        assertThat(section("mm111", Map.of()).guard().orElseThrow().opening()).isEqualTo(0.006);
        assertThat(section("mm111", Map.of("planting.guard", "none")).guard()).isEmpty();
    }
}
