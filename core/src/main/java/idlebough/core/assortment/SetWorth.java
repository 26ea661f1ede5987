package idlebough.core.assortment;

import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What the points of a proposed set are made of ({@code assortment/rules.csv}).
 *
 * @param crops the crops wished for, in the order of their keys
 * @param months how many of those wished for have own fruit
 * @param varieties points for the number of varieties
 * @param doubts points lost to what is in doubt
 * @param harvest points for the weight that the trees bear
 */
public record SetWorth(List<OfCrop> crops, int months, int varieties, int doubts, int harvest) {
    private static final RuleTable TABLE = RuleTable.of("assortment");

    /**
     * @param weight how much the crop matters, 1 to 3
     * @param trees of it
     */
    public record OfCrop(String crop, int weight, int trees) {
        int points() {
            int firsts = trees >= 1 ? value("first") : 0;
            int seconds = trees >= 2 ? value("second") : 0;
            return weight * (firsts + seconds + trees * value("further"));
        }
    }

    public static SetWorth of(Proposal set, AssortmentWish wish) {
        List<OfCrop> crops = new ArrayList<>();
        wish.crops().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(crop -> {
            int trees = set.picks().stream()
                    .filter(pick -> pick.candidate().variety().crop().key().equals(crop.getKey()))
                    .mapToInt(Proposal.Pick::trees)
                    .sum();
            if (trees > 0) {
                crops.add(new OfCrop(crop.getKey().replace('-', ' '), crop.getValue(), trees));
            }
        });
        int harvest = 0;
        int against = 0;
        for (Proposal.Pick pick : set.picks()) {
            harvest += pick.trees() * ofHarvest(pick.candidate());
            against += pick.candidate().against();
        }
        return new SetWorth(
                crops,
                (int) wish.months().stream().filter(set.months()::contains).count(),
                set.picks().size() * value("variety"),
                against * value("doubt"),
                harvest);
    }

    /** Points for what one tree bears. */
    static int ofHarvest(Candidate candidate) {
        return (int) Math.min(value("kg"), candidate.kg() / TABLE.value("kg-a-point"));
    }

    static int value(String key) {
        return (int) TABLE.value("points." + key);
    }

    public int total() {
        return crops.stream().mapToInt(OfCrop::points).sum() + months * value("month") + varieties + harvest - doubts;
    }

    public Working working() {
        Working.Builder steps = Working.of("How a worth of {} comes about", Amount.count(total()));
        crops.forEach(crop -> steps.step(
                "{} for {} of {}, which matters {} of 3",
                Amount.count(crop.points()),
                Amount.count(crop.trees()),
                crop.crop(),
                Amount.count(crop.weight())));
        return steps.step(
                        "+ {} for {} of the months wished for",
                        Amount.count(months * value("month")),
                        Amount.count(months))
                .step("+ {} for so many varieties", Amount.count(varieties))
                .step("+ {} for what the trees bear", Amount.count(harvest))
                .step("− {} for what is in doubt", Amount.count(doubts))
                .sensitive("Most sensitive to how much each crop is said to matter.")
                .from(TABLE.source("points.first"));
    }
}
