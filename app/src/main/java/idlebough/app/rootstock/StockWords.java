package idlebough.app.rootstock;

import idlebough.app.web.Reader;
import idlebough.core.crop.Misfit;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Standing;
import idlebough.core.rootstock.StockOffer;
import idlebough.core.rootstock.StockOffer.Aspect;
import idlebough.core.rootstock.StockOffers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.util.StringUtils;

/** The sentences of the rootstocks page. */
public record StockWords(StockOffers offers, Reader say) {
    /** From 0 poor to 3 good. */
    private static final Map<Aspect, List<String>> RANKS = Map.of(
            Aspect.WET, List.of("rots", "suffers", "bears it", "at ease"),
            Aspect.DROUGHT, List.of("wilts", "thirsty", "bears it", "at ease"),
            Aspect.COLD, List.of("tender", "fair", "hardy", "hardiest"),
            Aspect.LIME, List.of("yellows", "pales", "bears it", "at ease"),
            Aspect.SALT, List.of("burns", "suffers", "bears some", "bears it"),
            Aspect.REPLANT, List.of("stands still", "suffers", "bears some", "bears it"));

    private static final List<String> ROOTS = List.of("shallow", "usual", "deep");

    private static final Map<Aspect, String> AGAINST = Map.of(
            Aspect.ROOM, "it outgrows its pegs",
            Aspect.WET, "its roots sit wet there",
            Aspect.DROUGHT, "it goes thirsty in that soil",
            Aspect.COLD, "the coldest night reaches its roots",
            Aspect.LIME, "it pales on that lime",
            Aspect.SALT, "that soil is salty for it",
            Aspect.REPLANT, "its kind stood there before",
            Aspect.TRAINING, "it does not suit the training");

    static String of(Aspect aspect, Rootstock stock) {
        int rank = aspect.rank(stock);
        return rank < 0 ? "" : RANKS.get(aspect).get(rank);
    }

    /** How deep its roots go; empty where nobody told. */
    static String roots(Rootstock stock) {
        return stock.traits().roots().map(ROOTS::get).orElse("");
    }

    /** Who speaks for the trees, and what is asked of the stock. */
    public String site() {
        List<String> said = new ArrayList<>();
        offers.here().pits().forEach(pit -> {
            List<String> of = new ArrayList<>();
            pit.profile().wetFrom().ifPresent(depth -> of.add("wet from " + say.cm(depth)));
            pit.ph().ifPresent(ph -> of.add("pH " + say.text(ph, "DECIMAL")));
            said.add("Pit " + pit.label() + (of.isEmpty() ? "" : ": " + String.join(", ", of)) + ".");
        });
        offers.here()
                .coldest()
                .ifPresent(coldest -> said.add("Coldest night " + say.text(coldest, "TEMPERATURE") + "."));
        said.add(offers.here()
                .apart()
                .map(apart -> "The nearest pegs are " + say.length(apart) + " apart.")
                .orElse("Its trees have no pegs yet, so any width may do."));
        return String.join(" ", said);
    }

    /** “All 9, in year 7, to one scale” */
    public String all(StockDrawing.Moment moment) {
        return "All " + offers.offers().size() + (moment.fullGrown() ? ", full grown" : ", in year " + moment.year())
                + ", to one scale";
    }

    /** “M7 4.1–4.9 m” */
    public String named(StockOffer offer) {
        return offer.stock().name() + " "
                + say.span(offer.known().low(), offer.known().high());
    }

    /** Which pit is drawn below, and how. */
    public String below(StockDrawing drawing) {
        String pit = drawing.ground().pit();
        return (pit.isEmpty() ? "no pit yet" : "pit " + pit) + ", depth drawn "
                + drawing.scale().times() + " times; how deep each stock would root is not known";
    }

    /** What speaks for a stock that is picked. */
    public String why(StockOffer pick) {
        return StringUtils.capitalize(pick.stock().name())
                + (pick.doubts() == 0 ? " bears the ground and the winter here" : " has the least against it here")
                + offers.left(pick)
                        .map(left -> left >= 0
                                ? " and leaves " + say.length(left) + " between crowns"
                                : ", crowns of neighbours just meet")
                        .orElse("")
                + "; " + pick.stock().support().words() + ", first crop about year "
                + pick.stock().firstCrop() + ".";
    }

    /** What is against it, in a half sentence; empty where nothing is known. */
    public String against(StockOffer offer) {
        List<String> said = new ArrayList<>();
        offer.misfit().map(Misfit::words).ifPresent(said::add);
        for (Aspect aspect : Aspect.values()) {
            Standing standing = offer.standing(aspect);
            if (standing != Standing.SOUND) {
                said.add((standing == Standing.DOUBTFUL ? "perhaps " : "") + AGAINST.get(aspect));
            }
        }
        Optional.of(offer.stock().told().points())
                .filter(points -> !points.isBlank())
                .ifPresent(said::add);
        return String.join("; ", said);
    }
}
