package idlebough.app.use;

import static idlebough.app.use.Walk.text;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import idlebough.app.Running;
import idlebough.app.use.Hand.With;
import idlebough.core.winter.WeatherGenerator;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Three gardens from nothing, with the mouse, with keys alone and with a thumb on a phone: the first useful answer within
 * two minutes and the first planting card within five, by the clicks and fields it takes.
 */
@Tag("long")
@ExtendWith({Running.class, Browser.class})
class CountedWalkTest {
    private static final double ANSWER = 2;
    private static final double CARD = 5;
    private static int account;

    private static Browser.Tab tab(With with) {
        return with == With.THUMB ? Browser.Tab.touched(390, 844) : new Browser.Tab(1280, 800);
    }

    private static Hand begin(Page page, With with) {
        page.navigate(Running.base() + "/sign-in");
        Hand hand = new Hand(page, with);
        hand.follow("Make an account");
        hand.type("#name", "counted" + account++);
        hand.type("#person", "T. Oake");
        hand.type("#password", "long enough now");
        hand.press("Make it");
        return hand;
    }

    private static void stage(Hand hand, Page page, String key) {
        hand.act(page.locator(".line a[href$='/" + key + "']"));
    }

    private static void two(Hand hand, Page page, String first, String second) {
        stage(hand, page, "varieties");
        for (String variety : new String[] {first, second}) {
            hand.act(page.locator("table.t a[href*='variety=" + variety + "']").first());
            hand.type("#wanted", "2");
            hand.press("Choose");
        }
    }

    /** From varieties that are chosen to a card in the hand. */
    private static void card(Hand hand, Page page, String stock) {
        stage(hand, page, "rootstocks");
        hand.act(page.locator(".stocks a[href*='stock=" + stock + "']").first());
        hand.act(page.locator("button:has-text('for all 2')"));
        stage(hand, page, "layout");
        hand.press("Fill the plot");
        stage(hand, page, "planting");
        assertThat(text(page, "#figures")).contains("Print card");
        assertThat(page.locator("a:has-text('Print card')").first().getAttribute("href"))
                .contains("card");
    }

    @ParameterizedTest
    @EnumSource(With.class)
    void aNorthernSmallholdingWithAFile(With with, @TempDir Path files) throws IOException {
        Path csv = files.resolve("ten.csv");
        Files.writeString(
                csv,
                "date,tmin,tmax\n"
                        + new WeatherGenerator(
                                        7,
                                        new WeatherGenerator.Year(9.5, 11, 20, 11),
                                        new WeatherGenerator.Anomalies(0.7, 3.2, 0.7, 0.3))
                                .days(LocalDate.of(2016, 9, 1), LocalDate.of(2026, 10, 1)).stream()
                                        .map(d -> String.format(
                                                Locale.ROOT, "%s,%.1f,%.1f", d.date(), d.minimum(), d.maximum()))
                                        .collect(Collectors.joining("\n")));
        try (Browser.Tab tab = tab(with)) {
            Page page = tab.page;
            Hand hand = begin(page, with);
            hand.type("#name", "Smallholding");
            hand.type("#latitude", "42.3 N");
            hand.press("Begin");
            stage(hand, page, "winters");
            hand.follow("Load temperatures");
            hand.file("#file", csv);
            hand.press("Look at it");
            hand.press("Store these days");
            page.locator("#figures:has-text('Reached in nine winters of ten')").waitFor();
            within(hand, ANSWER, "how much winter there is");
            two(hand, page, "apple-cox", "apple-james-grieve");
            stage(hand, page, "site");
            hand.act(page.locator("a:has-text('Describe the ground')").first());
            hand.type("#east", "30");
            hand.type("#north", "20");
            hand.press("Save");
            card(hand, page, "mm106");
            within(hand, CARD, "the first card");
            tab.calm("the card of the smallholding");
        }
    }

    @ParameterizedTest
    @EnumSource(With.class)
    void aSouthernGardenInFeet(With with) {
        try (Browser.Tab tab = tab(with)) {
            Page page = tab.page;
            Hand hand = begin(page, with);
            hand.press("ft · gal");
            hand.type("#name", "Back yard");
            hand.type("#latitude", "36.8 S");
            hand.press("Begin");
            stage(hand, page, "winters");
            hand.follow("Load temperatures");
            hand.paste("input[name=low0]", "59 60 57 52 47 43 42 43 46 49 53 57");
            hand.paste("input[name=high0]", "77 77 74 69 63 58 57 59 63 67 71 75");
            hand.press("Make thirty winters");
            page.locator("#figures:has-text('Reached in nine winters of ten')").waitFor();
            within(hand, ANSWER, "how much winter there is");
            two(hand, page, "apple-granny", "apple-anna");
            stage(hand, page, "site");
            hand.act(page.locator("a:has-text('Describe the ground')").first());
            hand.type("#east", "60 ft");
            hand.type("#north", "50 ft");
            hand.press("Save");
            card(hand, page, "m26");
            assertThat(text(page, "#figures")).contains(" in").contains(" gal");
            within(hand, CARD, "the first card");
        }
    }

    @ParameterizedTest
    @EnumSource(With.class)
    void oneOldTreeAndRoomForTwo(With with) {
        try (Browser.Tab tab = tab(with)) {
            Page page = tab.page;
            Hand hand = begin(page, with);
            hand.type("#name", "Old tree");
            hand.type("#latitude", "51 N");
            hand.press("Begin");
            hand.act(page.locator("a:has-text('short road')").first());
            hand.choose("select[name=old]", "Bramley's Seedling");
            assertThat(text(page, "#figures"))
                    .contains("Which two")
                    .contains("From the old stem")
                    .contains("Union above the board");
            within(hand, ANSWER, "all three answers");
        }
    }

    private static void within(Hand hand, double minutes, String what) {
        System.out.println(what + ", " + hand);
        assertThat(hand.minutes()).as("%s, %s", what, hand).isLessThan(minutes);
    }
}
