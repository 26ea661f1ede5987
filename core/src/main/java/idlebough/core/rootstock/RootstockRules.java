package idlebough.core.rootstock;

import static idlebough.core.measure.Quantity.COUNT;
import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.DRAINAGE;
import static idlebough.core.measure.Quantity.PERCENT;
import static idlebough.core.measure.Quantity.RAIN;
import static idlebough.core.measure.Quantity.SALINITY;
import static idlebough.core.measure.Quantity.SHORT_LENGTH;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Misfit;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.crop.VarietyTypes;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.Footing;
import idlebough.core.site.SiteRules;
import idlebough.core.site.SoilPit;
import idlebough.core.site.WantedDrainage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * The findings of this room: is a stock chosen, does the graft hold, does the stock stand this soil and this winter,
 * and
 * does the water get away from each tree.
 */
public final class RootstockRules {
    public static final Rule NONE_CHOSEN = Rule.of("rootstock.none-chosen");
    public static final Rule MISFIT = Rule.of("rootstock.misfit");
    public static final Rule DRAINAGE_RULE = Rule.of("rootstock.drainage");
    public static final Rule MOUND = Rule.of("rootstock.mound");
    public static final Rule NO_DRAIN = Rule.of("rootstock.no-drain");
    public static final Rule LIME = Rule.of("rootstock.lime");
    public static final Rule SALT = Rule.of("rootstock.salt");
    public static final Rule DROUGHT = Rule.of("rootstock.drought");
    public static final Rule COLD = Rule.of("rootstock.cold");
    public static final Rule REPLANT = Rule.of("rootstock.replant");
    public static final Rule TRAINING = Rule.of("rootstock.training");
    public static final Rule ILLS = Rule.of("rootstock.ills");
    private static final RuleTable TABLE = RuleTable.of("rootstock");
    private static final RuleTable SITE = RuleTable.of("site");
    private static final RuleTable VARIETY = RuleTable.of("variety");
    /** From this grade on an ill is told of. */
    private static final int HURTS = 2;

    private static final double PERCENT_OF_ONE = 100;
    private static final Sentences WORDS = Sentences.of("rootstock");
    private static final double MM = 1000;
    private final Catalogue catalogue;

    public RootstockRules(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /**
     * A tree, or a choice that has no tree with a place yet, as its drainage is judged.
     *
     * @param name in words
     * @param choice id of the choice that it belongs to; empty for a tree that was there before
     */
    public record Rooted(
            Subject subject,
            String name,
            Variety variety,
            Optional<Rootstock> stock,
            Footing footing,
            Optional<String> choice) {
        Rooted on(Rootstock other) {
            return new Rooted(subject, name, variety, Optional.of(other), footing, choice);
        }
    }

    /**
     * What concerns all trees of a choice.
     *
     * @param stock empty when none is chosen
     * @param pits that speak for its trees; the worst of them decides
     * @param coldest night of all whole winters, °C; empty without any
     */
    public List<Finding> judge(
            String choice, Variety variety, Optional<Rootstock> stock, List<SoilPit> pits, OptionalDouble coldest) {
        return judge(choice, variety, stock, pits, coldest, Optional.empty());
    }

    /** @param instead what is said of another stock where something speaks against the one chosen */
    List<Finding> judge(
            String choice,
            Variety variety,
            Optional<Rootstock> stock,
            List<SoilPit> pits,
            OptionalDouble coldest,
            Optional<BetterStock> instead) {
        Subject subject = Subject.choice(choice);
        if (stock.isEmpty()) {
            return List.of(NONE_CHOSEN
                    .about(subject)
                    .with("variety", variety.name())
                    .remedies(List.of(seeStocks(subject, variety)))
                    .stands(Standing.DOUBTFUL, TABLE.source("none-chosen")));
        }
        Rootstock worked = stock.get();
        Chosen of = new Chosen(subject, variety, worked, instead);
        Optional<Finding> cold = coldest.isEmpty() || variety.crop().evergreen()
                ? Optional.empty()
                : Optional.of(cold(of, coldest.getAsDouble()));
        return Stream.of(
                        misfit(subject, variety, worked),
                        lime(of, pits),
                        salt(of, pits),
                        drought(of, pits),
                        replant(of, pits),
                        cold)
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
     * Does the water get away from this tree fast enough for its crop on its stock, or does its mound lift it out?
     * Empty where the pit has no rate: that is said on the site.
     */
    public List<Finding> drainage(Rooted tree, SoilPit pit) {
        return pit.rate().map(rate -> drainage(tree, pit, rate)).orElse(List.of());
    }

    private List<Finding> drainage(Rooted tree, SoilPit pit, DrainageRate rate) {
        Limit wanted = TreeDrainage.limit(tree.variety().crop(), tree.stock());
        Measured measured = Measured.of(rate.normalisedMmPerHour(), rate.halfWidth(), DRAINAGE);
        WantedDrainage.Lift lift = WantedDrainage.lift(wanted.value(), rate);
        return !tree.footing().raised() || lift.height() == 0
                ? List.of(onGrade(tree, pit, measured, wanted, lift))
                : raised(tree, pit, rate, lift);
    }

    private Finding onGrade(Rooted tree, SoilPit pit, Measured rate, Limit wanted, WantedDrainage.Lift lift) {
        List<Remedy> remedies = new ArrayList<>();
        if (lift.height() > 0) {
            remedies.add(SiteRules.setOn(pit, tree.variety().crop(), WantedDrainage.footing(lift, 0)));
        }
        standsWetBetter(tree).ifPresent(remedies::add);
        remedies.add(SiteRules.whatToDo(pit, tree.variety().crop()));
        Optional<Rootstock> worked = TreeDrainage.grafted(tree.stock());
        return about(DRAINAGE_RULE, tree, pit)
                .variant(worked.map(stock -> stock.wet() <= 1 ? "tender" : "stock")
                        .orElse("crop"))
                .with("crop", tree.variety().crop().withArticle())
                .with("stock", worked.map(Rootstock::name).orElse(""))
                .with("points", worked.map(stock -> stock.told().points()).orElse(""))
                .with("ofCrop", WantedDrainage.rate(tree.variety().crop()).amount())
                .with("ofStock", Amount.of(worked.map(TreeDrainage::ofStock).orElse(0.0), DRAINAGE))
                .remedies(remedies)
                .judge(rate, wanted);
    }

    private List<Finding> raised(Rooted tree, SoilPit pit, DrainageRate rate, WantedDrainage.Lift lift) {
        Remedy higher = SiteRules.setOn(pit, tree.variety().crop(), WantedDrainage.footing(lift, 0));
        Finding mound = about(MOUND, tree, pit)
                .with("rate", Amount.of(rate.normalisedMmPerHour(), DRAINAGE))
                .remedies(List.of(higher, SiteRules.whatToDo(pit, tree.variety().crop())))
                .judge(Measured.of(tree.footing().height(), SITE.value("mound-reading"), SHORT_LENGTH), lift.limit());
        if (mound.standing() == Standing.STOP || !lift.drain() || tree.footing().drained()) {
            return List.of(mound);
        }
        return List.of(
                mound,
                about(NO_DRAIN, tree, pit)
                        .with("rate", Amount.of(rate.normalisedMmPerHour(), DRAINAGE))
                        .remedies(List.of(higher))
                        .stands(Standing.DOUBTFUL, lift.limit().source()));
    }

    private static Rule.Draft about(Rule rule, Rooted tree, SoilPit pit) {
        return rule.about(tree.subject())
                .with("tree", tree.name())
                .with("pit", pit.label())
                .together(pit.id() + " " + tree.variety().crop().key() + " " + tree.footing());
    }

    /** Another stock on which this variety holds and which asks less; only where a choice can take it. */
    private Optional<Remedy> standsWetBetter(Rooted tree) {
        int now = TreeDrainage.grafted(tree.stock()).map(Rootstock::wet).orElse(0);
        return tree.choice()
                .filter(choice -> tree.stock().isPresent())
                .flatMap(choice -> catalogue.rootstocksFor(tree.variety().crop()).stream()
                        .filter(other -> !other.ownRooted()
                                && other.wet() > now
                                && catalogue.misfit(tree.variety(), other).isEmpty())
                        .max(Comparator.comparingInt(Rootstock::wet))
                        .map(better -> new RootstockRemedy.TakeStock(
                                WORDS.say("remedy.take", Map.of("stock", better.name())), choice, better.key())));
    }

    private Optional<Finding> lime(Chosen of, List<SoilPit> pits) {
        return pits.stream()
                .filter(pit -> pit.ph().isPresent())
                .max(Comparator.comparingDouble(pit -> pit.ph().orElseThrow()))
                .map(highest -> about(LIME, of)
                        .with("pit", highest.label())
                        .together(of.stock().key() + " " + highest.id())
                        .with("rank", Amount.count(of.stock().lime()))
                        .judge(
                                Measured.of(highest.ph().orElseThrow(), SITE.value("ph-reading"), DECIMAL),
                                TABLE.atMost("lime." + of.stock().lime(), DECIMAL)));
    }

    private Optional<Finding> salt(Chosen of, List<SoilPit> pits) {
        return pits.stream()
                .filter(pit -> pit.analysis().inTime().isPresent())
                .max(Comparator.comparingDouble(pit -> pit.analysis().inTime().orElseThrow()))
                .map(saltiest -> about(SALT, of)
                        .with("pit", saltiest.label())
                        .together(of.stock().key() + " " + saltiest.id())
                        .with("how", WORDS.say(saltiest.analysis().byWater() ? "salt.water" : "salt.soil", Map.of()))
                        .with("rank", Amount.count(of.stock().tolerance().salt()))
                        .judge(
                                SiteRules.salinity(saltiest),
                                TABLE.atMost("salt." + of.stock().tolerance().salt(), SALINITY)));
    }

    /** Does it bear ground where its kind of fruit stood? Empty where none stood, or nothing is told of it. */
    private Optional<Finding> replant(Chosen of, List<SoilPit> pits) {
        return of.stock()
                .traits()
                .replant()
                .flatMap(grade -> pits.stream()
                        .filter(pit -> SiteRules.replant(pit, of.variety().crop())
                                .filter(trouble -> !trouble.isSound())
                                .isPresent())
                        .findFirst()
                        .map(pit -> about(REPLANT, of)
                                .with("pit", pit.label())
                                .with("crop", of.variety().crop().name())
                                .together(of.stock().key() + " " + pit.id())
                                .judge(Measured.exactly(grade, COUNT), TABLE.atLeast("replant", COUNT))));
    }

    private Optional<Finding> drought(Chosen of, List<SoilPit> pits) {
        return pits.stream()
                .min(Comparator.comparingDouble(SoilPit::waterHeld))
                .map(driest -> about(DROUGHT, of)
                        .with("pit", driest.label())
                        .together(of.stock().key() + " " + driest.id())
                        .with("rank", Amount.count(of.stock().tolerance().drought()))
                        .judge(
                                Measured.of(
                                        driest.waterHeld() / MM,
                                        TABLE.value("held-reading") * driest.waterHeld() / MM,
                                        RAIN),
                                TABLE.atLeast(
                                        "drought." + of.stock().tolerance().drought(), RAIN)));
    }

    /** Is the stock strong enough for the way in which its trees are trained, and no stronger? */
    public static Finding training(String choice, Variety variety, Rootstock stock, TrainingSystem system) {
        double factor = stock.factor(variety.crop());
        boolean weak = factor < system.suits().low();
        Subject subject = Subject.choice(choice);
        return TRAINING.about(subject)
                .variant(weak ? "weak" : "")
                .with("variety", variety.name())
                .with("stock", stock.name())
                .with("system", system.name())
                .remedies(List.of(seeStocks(subject, variety)))
                .judge(
                        Measured.exactly(factor, DECIMAL),
                        weak
                                ? TABLE.limit("training.least", system.suits().low(), DECIMAL, Limit.Side.AT_LEAST)
                                : TABLE.limit("training.most", system.suits().high(), DECIMAL, Limit.Side.AT_MOST));
    }

    /** Does wet weather about bloom feed an ill of the roots? Empty where the record tells nothing of it. */
    public static Optional<Finding> ills(
            String choice, Variety variety, Rootstock stock, Optional<Double> rainySpring) {
        Subject subject = Subject.choice(choice);
        return rainySpring.flatMap(rainy -> stock.traits().ills().entrySet().stream()
                .filter(ill -> ill.getValue() >= HURTS
                        && VarietyTypes.ill(ill.getKey()).orElseThrow().weather() == VarietyTypes.Weather.WET_SPRING)
                .max(Map.Entry.comparingByValue())
                .map(ill -> ILLS.about(subject)
                        .with("variety", variety.name())
                        .with("stock", stock.name())
                        .with(
                                "ill",
                                VarietyTypes.ill(ill.getKey()).orElseThrow().words())
                        .with("grade", ill.getValue() > HURTS ? "badly" : "somewhat")
                        .together(stock.key())
                        .remedies(List.of(seeStocks(subject, variety)))
                        .judge(
                                Measured.of(rainy * PERCENT_OF_ONE, VARIETY.value("air-reading"), PERCENT),
                                VARIETY.atMost("rain." + ill.getValue(), PERCENT)
                                        .neverStop())));
    }

    private Finding cold(Chosen of, double coldest) {
        return about(COLD, of)
                .with("rank", Amount.count(of.stock().tolerance().cold()))
                .judge(
                        Measured.of(coldest, TABLE.value("screen"), TEMPERATURE),
                        TABLE.atLeast("cold." + of.stock().tolerance().cold(), TEMPERATURE));
    }

    /** A choice with its stock, and what is said of another. */
    private record Chosen(Subject subject, Variety variety, Rootstock stock, Optional<BetterStock> instead) {}

    private static Rule.Draft about(Rule rule, Chosen of) {
        Rootstock stock = of.stock();
        Variety variety = of.variety();
        List<Remedy> remedies = new ArrayList<>();
        of.instead()
                .flatMap(BetterStock::stock)
                .ifPresent(other -> remedies.add(new RootstockRemedy.TakeStock(
                        WORDS.say("remedy.take", Map.of("stock", other.name())),
                        of.subject().id(),
                        other.key())));
        if (!stock.ownRooted()) {
            remedies.add(seeStocks(of.subject(), variety));
        }
        return rule.about(of.subject())
                .variant(of.instead().isPresent() ? "instead" : "")
                .with("instead", of.instead().map(BetterStock::words).orElse(Phrase.of("")))
                .with("stock", stock.ownRooted() ? variety.name() : stock.name())
                .with("variety", variety.name())
                .with("tree", variety.name())
                .together(stock.ownRooted() ? variety.key() : stock.key())
                .remedies(remedies);
    }

    private static Remedy seeStocks(Subject subject, Variety variety) {
        return new RootstockRemedy.SeeStocks(WORDS.say("remedy.choose", Map.of("variety", variety.name())), subject);
    }
}
