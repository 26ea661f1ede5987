package idlebough.core.rootstock;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.DRAINAGE;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Misfit;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.SoilPit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The findings of this room: is a stock chosen, does the graft hold, does the stock stand this soil. */
public final class RootstockRules {
    public static final Rule NONE_CHOSEN = Rule.of("rootstock.none-chosen");
    public static final Rule MISFIT = Rule.of("rootstock.misfit");
    public static final Rule WET = Rule.of("rootstock.wet");
    public static final Rule LIME = Rule.of("rootstock.lime");
    private static final RuleTable TABLE = RuleTable.of("rootstock");
    private static final Sentences WORDS = Sentences.of("rootstock");
    private static final double PH_READING = RuleTable.of("site").value("ph-reading");
    private final Catalogue catalogue;

    public RootstockRules(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /**
     * @param choice id of the choice that the findings are about
     * @param stock empty when none is chosen
     * @param pits that speak for its trees; the slowest and the most alkaline decide
     */
    public List<Finding> judge(String choice, Variety variety, Optional<Rootstock> stock, List<SoilPit> pits) {
        Subject subject = Subject.choice(choice);
        if (stock.isEmpty()) {
            return List.of(NONE_CHOSEN
                    .about(subject)
                    .with("variety", variety.name())
                    .remedies(List.of(seeStocks(subject, variety)))
                    .stands(Standing.DOUBTFUL, TABLE.source("none-chosen")));
        }
        return Stream.of(
                        misfit(subject, variety, stock.get()),
                        wet(subject, variety, stock.get(), pits),
                        lime(subject, variety, stock.get(), pits))
                .flatMap(Optional::stream)
                .toList();
    }

    private Optional<Finding> misfit(Subject subject, Variety variety, Rootstock stock) {
        Optional<Misfit> misfit = catalogue.misfit(variety, stock);
        return misfit.map(why -> MISFIT.about(subject)
                .with("variety", variety.name())
                .with("stock", stock.name())
                .with("words", why.words())
                .remedies(List.of(seeStocks(subject, variety)))
                .stands(why.fails() ? Standing.STOP : Standing.DOUBTFUL, TABLE.source("misfit")));
    }

    /**
     * The soil itself is judged on the Site; here only whether the stock makes it worse, so it is never more than
     * doubtful.
     */
    private Optional<Finding> wet(Subject subject, Variety variety, Rootstock stock, List<SoilPit> pits) {
        return pits.stream()
                .filter(pit -> pit.rate() != null)
                .min(Comparator.comparingDouble(pit -> pit.rate().normalisedMmPerHour()))
                .map(slowest -> {
                    DrainageRate rate = slowest.rate();
                    List<Remedy> remedies = new ArrayList<>();
                    standsWetBetter(variety, stock).ifPresent(better -> remedies.add(take(subject, better)));
                    remedies.add(seeStocks(subject, variety));
                    return WET.about(subject)
                            .with("stock", stock.name())
                            .with("pit", slowest.label())
                            .with("rank", Amount.count(stock.wet()))
                            .remedies(remedies)
                            .judge(
                                    Measured.of(rate.normalisedMmPerHour(), rate.halfWidth(), DRAINAGE),
                                    wantedRate(stock));
                });
    }

    private Optional<Rootstock> standsWetBetter(Variety variety, Rootstock stock) {
        return catalogue.rootstocksFor(variety.crop()).stream()
                .filter(other -> other.wet() > stock.wet()
                        && catalogue.misfit(variety, other).isEmpty())
                .max(Comparator.comparingInt(Rootstock::wet));
    }

    private Optional<Finding> lime(Subject subject, Variety variety, Rootstock stock, List<SoilPit> pits) {
        return pits.stream()
                .filter(pit -> pit.ph() != null)
                .max(Comparator.comparingDouble(SoilPit::ph))
                .map(highest -> LIME.about(subject)
                        .with("stock", stock.name())
                        .with("pit", highest.label())
                        .with("rank", Amount.count(stock.lime()))
                        .remedies(List.of(seeStocks(subject, variety)))
                        .judge(
                                Measured.of(highest.ph(), PH_READING, DECIMAL),
                                TABLE.atMost("lime." + stock.lime(), DECIMAL)));
    }

    /** mm/h in a 12-inch hole by the stock's tolerance of wet soil, 0 to 3. */
    static Limit wantedRate(Rootstock stock) {
        return TABLE.atLeast("wet." + stock.wet(), DRAINAGE);
    }

    private static Remedy seeStocks(Subject subject, Variety variety) {
        return new RootstockRemedy.SeeStocks(WORDS.say("remedy.choose", Map.of("variety", variety.name())), subject);
    }

    private static Remedy take(Subject choice, Rootstock stock) {
        return new RootstockRemedy.TakeStock(
                WORDS.say("remedy.take", Map.of("stock", stock.name())), choice.id(), stock.key());
    }
}
