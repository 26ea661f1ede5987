package idlebough.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class TermsTest {
    private static final Reader METRIC = new Reader("a", "A", new Display(UnitSystem.METRIC, Locale.UK));
    private static final Reader US = new Reader("a", "A", new Display(UnitSystem.US, Locale.US));

    @Test
    void explainsAWordWhereItIsFirstUsed() {
        String html = Terms.marked("Union of A1: measure the union again.", METRIC);

        assertThat(html)
                .startsWith("<dfn title=\"The place where")
                .contains(">Union</dfn> of A1: measure the union again.");
    }

    @Test
    void leavesPartsOfOtherWordsAlone() {
        assertThat(Terms.marked("Rootstock, boarding, livestock.", METRIC))
                .isEqualTo("Rootstock, boarding, livestock.");
    }

    @Test
    void escapesWhatPeopleTyped() {
        assertThat(Terms.marked("Tree <b>1</b> & board", METRIC))
                .startsWith("Tree &lt;b&gt;1&lt;/b&gt; &amp; <dfn title=")
                .doesNotContain("<b>");
    }

    @Test
    void explainsInTheReadersUnits() {
        assertThat(Terms.in(US).values()).noneMatch(means -> means.matches("(?s).*\\d ?(cm|mm|m|°C)\\b.*"));
        assertThat(Terms.in(METRIC).get("clear ring")).contains("10 cm");
    }
}
