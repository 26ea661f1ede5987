package idlebough.core.pollination;

import static idlebough.core.measure.Quantity.COUNT;
import static idlebough.core.measure.Quantity.SCORE;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import idlebough.core.pollination.Neighbourhood.Link;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The findings of this room: will a tree be pollinated, and does a triploid have its two partners. */
public final class PartnerRules {
    public static final Rule PARTNER = Rule.of("pollination.partner");
    public static final Rule TRIPLOID = Rule.of("pollination.triploid");
    public static final Rule CAPRIFIG = Rule.of("pollination.caprifig");
    public static final Rule BRANCH = Rule.of("pollination.branch");
    public static final Rule SHARE = Rule.of("pollination.share");
    private static final RuleTable TABLE = RuleTable.of("pollination");
    private static final int TOLD = 2;
    private static final Sentences WORDS = Sentences.of("pollination");

    private PartnerRules() {}

    /** Empty for fruit to which no pollen is carried. */
    public static Optional<Finding> judge(Neighbourhood around) {
        Flowering tree = around.tree();
        if (wantsCaprifig(tree.variety())) {
            return Optional.of(CAPRIFIG.about(tree.subject())
                    .with("tree", tree.label())
                    .with("variety", tree.variety().name())
                    .stands(Standing.DOUBTFUL, TABLE.source("caprifig")));
        }
        if (tree.variety().crop().vector() == Crop.Vector.NONE) {
            return Optional.empty();
        }
        List<Link> giving = around.giving();
        if (tree.graft()) {
            return Optional.of(about(BRANCH, tree)
                    .with("why", giving.isEmpty() ? why(around) : Phrase.of(""))
                    .variant(giving.isEmpty() ? "" : "served")
                    .judge(
                            Measured.of(around.set(), TABLE.value("score-reading"), SCORE),
                            TABLE.atLeast("partner", SCORE).neverStop()));
        }
        if (tree.variety().triploid() && giving.size() < TABLE.value("triploid")) {
            return Optional.of(about(TRIPLOID, tree)
                    .with("have", giving.isEmpty() ? "none" : "one")
                    .judge(Measured.exactly(giving.size(), COUNT), TABLE.atLeast("triploid", COUNT)));
        }
        return Optional.of(partner(around, giving));
    }

    /** Whether it is a Smyrna fig, which drops its fruit without a caprifig and its wasp (Condit 1955). */
    public static boolean wantsCaprifig(Variety variety) {
        return variety.crop().key().equals("fig") && variety.type().equals("smyrna");
    }

    /** Has a block of one variety pollinizers enough among it? Empty for one too small, or that crops alone. */
    static Optional<Finding> judge(PollinizerShare block) {
        return Optional.of(block)
                .filter(each -> each.trees() >= TABLE.value("block")
                        && each.variety().selfFruitful() < 1
                        && each.variety().crop().vector() != Crop.Vector.NONE)
                .map(each -> SHARE.about(Subject.variety(each.variety().key()))
                        .with("variety", each.variety().name())
                        .with("trees", Amount.count(each.trees()))
                        .with("donors", Amount.count(each.donors()))
                        .with("more", Amount.count(each.wanting()))
                        .remedies(List.of(seeMending(each.first())))
                        .judge(
                                Measured.exactly(100 * each.share(), Quantity.PERCENT),
                                TABLE.atLeast("share", Quantity.PERCENT)));
    }

    private static Rule.Draft about(Rule rule, Flowering tree) {
        return rule.about(tree.subject())
                .with("tree", tree.label())
                .with("peg", tree.peg())
                .with("variety", tree.variety().name())
                .together(tree.variety().key())
                .remedies(List.of(seeMending(tree)));
    }

    private static Finding partner(Neighbourhood around, List<Link> giving) {
        Flowering tree = around.tree();
        Variety variety = tree.variety();
        double set = around.set();
        // Bloom groups are told to one step: what a neighbour group would change is the band.
        double worse = around.worseSet();
        double unknown = Math.max(set - worse, around.betterSet() - set);
        Measured measured = Measured.of(set, Math.max(TABLE.value("score-reading"), unknown), SCORE);
        Limit good = TABLE.atLeast("partner", SCORE);
        Rule.Draft draft = about(PARTNER, tree);
        if (Standing.of(measured, good) != Standing.SOUND) {
            return draft.variant(
                            unnamed(giving)
                                    ? "unnamed"
                                    : set >= good.value() ? "bloom" : giving.isEmpty() ? "none" : "thin")
                    .with("worse", Amount.of(worse, SCORE))
                    .with("why", why(around))
                    .judge(measured, good);
        }
        if (variety.selfFruitful() >= 1 || giving.isEmpty()) {
            return draft.variant("alone").judge(measured, good);
        }
        Link best = giving.get(0);
        boolean placed = tree.place().isPresent() && best.partner().place().isPresent();
        if (best.score().reliability() < 1) {
            draft.variant("fence");
        } else {
            draft.variant(placed ? "best" : "near");
        }
        return draft.with("partner", best.partner().label())
                .with("apart", Amount.metres(best.score().apart()))
                .judge(measured, good);
    }

    private static boolean unnamed(List<Link> giving) {
        return giving.stream().anyMatch(link -> !link.partner().variety().isNamed());
    }

    /** What fails with those that come nearest to serving it: genes, pollen, time or distance, and by how much. */
    private static Phrase why(Neighbourhood around) {
        List<Link> others = around.nearest().stream()
                .filter(link -> !link.partner()
                        .variety()
                        .key()
                        .equals(around.tree().variety().key()))
                .sorted(Comparator.comparingDouble((Link link) -> -link.score().value())
                        .thenComparingDouble(link -> link.score().apart()))
                .limit(TOLD)
                .toList();
        if (others.isEmpty()) {
            return say(around.nearest().isEmpty() ? "no-other" : "one-plant");
        }
        Phrase first = why(around.tree(), others.get(0));
        return others.size() == 1 ? first : Phrase.of("{} {}", first, why(around.tree(), others.get(1)));
    }

    private static Phrase why(Flowering tree, Link link) {
        PartnerScore score = link.score();
        Map<String, Object> of = new HashMap<>();
        of.put("partner", link.partner().label());
        if (score.genes() == 0) {
            of.put("alleles", tree.variety().alleles());
            return WORDS.say(tree.variety().alleles().isEmpty() ? "why.refuses" : "why.refuses.alleles", of);
        }
        if (score.pollen() == 0) {
            return WORDS.say(link.partner().variety().triploid() ? "why.triploid" : "why.barren", of);
        }
        if (!link.partner().variety().isNamed()) {
            return WORDS.say("why.unnamed", of);
        }
        double distance = score.distance();
        if (score.bloom().score() <= distance && score.bloom().score() < 1) {
            of.put("days", Amount.count(score.bloom().days()));
            of.put("total", Amount.count(score.bloom().total()));
            return WORDS.say("why.another-time", of);
        }
        if (distance < 1) {
            of.put("apart", Amount.metres(score.apart()));
            of.put(
                    "reach",
                    Amount.metres(PartnerScore.reach(tree.variety().crop().vector())));
            return WORDS.say(
                    tree.variety().crop().vector() == Crop.Vector.INSECT ? "why.too-far.insect" : "why.too-far", of);
        }
        of.put("gives", Amount.of(score.value(), SCORE));
        return WORDS.say(score.pollen() < 1 ? "why.weak" : score.reliability() < 1 ? "why.fence" : "why.gives", of);
    }

    private static Phrase say(String why) {
        return WORDS.say("why." + why, Map.of());
    }

    private static PartnerRemedy seeMending(Flowering tree) {
        return new PartnerRemedy.SeeMending(WORDS.say("remedy.mend", Map.of()), tree.subject());
    }
}
