package idlebough.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.LabelSigns;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Trees for a windbreak, and labels told by leaf: common practice. */
class WindbreakTest {
    private static List<String> names(List<Windbreak> trees) {
        return trees.stream().map(Windbreak::name).toList();
    }

    /** Hawthorn carries fireblight to pome fruit, juniper the rust of pears; poplars drink most: common practice. */
    @Test
    void whatCarriesPestsAndWhatFreezesIsLeftOut() {
        var pears = List.of(Shipped.crop("pear"));
        assertThat(names(Windbreak.harmful(pears))).contains("hawthorn", "juniper");
        assertThat(names(Windbreak.fit(pears, OptionalDouble.of(-20))))
                .doesNotContain("hawthorn", "juniper", "river she-oak", "Monterey pine")
                .contains("Italian alder", "hornbeam")
                .last()
                .isIn("hybrid poplar", "white willow");
        assertThat(names(Windbreak.fit(List.of(Shipped.crop("orange")), OptionalDouble.of(-2))))
                .contains("hawthorn", "coast she-oak", "river she-oak");
        assertThat(names(Windbreak.fit(List.of(), OptionalDouble.of(-40)))).contains("grey alder", "Siberian pea tree");
        assertThat(Windbreak.fit(List.of(), OptionalDouble.of(-44)))
                .as("nothing stands everything")
                .isEmpty();
    }

    @Test
    void everyCropHasItsSigns() {
        assertThat(Catalogue.shipped().crops())
                .allSatisfy(crop -> assertThat(LabelSigns.of(crop).right()).isNotBlank());
        assertThat(LabelSigns.of(Shipped.crop("orange")).wrong()).contains("trifoliate");
        assertThat(LabelSigns.of(Shipped.crop("pear")).wrong()).contains("quince");
    }
}
