package idlebough.app.rootstock;

import idlebough.core.judge.Standing;
import idlebough.core.rootstock.StockOffer;
import idlebough.core.rootstock.StockOffers;
import java.util.List;
import java.util.stream.Stream;

/**
 * A row of the table of stocks.
 *
 * @param chosen whether the trees stand on it
 * @param here whether it stands in the row above
 * @param room how it fits between the pegs
 * @param words of what it stands, in the order of the columns
 */
public record StockLine(StockOffer offer, boolean chosen, boolean here, Standing room, List<Word> words) {
    private static final List<StockOffer.Aspect> USUAL =
            List.of(StockOffer.Aspect.WET, StockOffer.Aspect.DROUGHT, StockOffer.Aspect.COLD, StockOffer.Aspect.LIME);
    private static final List<StockOffer.Aspect> ASKED = List.of(StockOffer.Aspect.SALT, StockOffer.Aspect.REPLANT);

    /** What has a column of its own: salt and replanting only where something is known of them. */
    private static List<StockOffer.Aspect> aspects(StockOffers offers) {
        return Stream.concat(
                        USUAL.stream(),
                        ASKED.stream()
                                .filter(aspect -> offers.offers().stream()
                                        .anyMatch(offer -> offer.stands().containsKey(aspect))))
                .toList();
    }

    /** Whether it is told of any of them how deep it roots. */
    private static boolean rooting(StockOffers offers) {
        return offers.offers().stream()
                .anyMatch(offer -> offer.stock().traits().roots().isPresent());
    }

    /** @param css stop or doubtful where it fails here, and only there */
    public record Word(String text, String css) {}

    static List<StockLine> all(StockOffers offers, StockOffer shown, String chosen) {
        return offers.offers().stream()
                .map(offer -> new StockLine(
                        offer,
                        offer.stock().key().equals(chosen),
                        offer == shown,
                        offer.standing(StockOffer.Aspect.ROOM),
                        Stream.concat(
                                        aspects(offers).stream().map(aspect -> word(offer, aspect)),
                                        rooting(offers)
                                                ? Stream.of(new Word(StockWords.roots(offer.stock()), ""))
                                                : Stream.empty())
                                .toList()))
                .toList();
    }

    private static Word word(StockOffer offer, StockOffer.Aspect aspect) {
        return new Word(StockWords.of(aspect, offer.stock()), css(offer.standing(aspect)));
    }

    private static String css(Standing standing) {
        return standing == Standing.SOUND ? "" : "c-" + standing.word();
    }

    public String roomCss() {
        return css(room);
    }

    /** Columns of the table, in words. */
    static List<String> heads(StockOffers offers) {
        return Stream.concat(
                        aspects(offers).stream()
                                .map(aspect -> aspect == StockOffer.Aspect.COLD ? "cold" : aspect.words()),
                        rooting(offers) ? Stream.of("roots") : Stream.empty())
                .toList();
    }
}
