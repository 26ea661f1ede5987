package idlebough.core.rootstock;

import static idlebough.core.measure.Quantity.DRAINAGE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Quantity;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.SoilPit;
import idlebough.core.variety.Variety;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** The findings of this room: is a stock chosen, does the graft hold, does the stock stand this soil. */
public final class RootstockRules {
    public static final String NONE_CHOSEN = "rootstock.none-chosen";
    public static final String MISFIT = "rootstock.misfit";
    public static final String WET = "rootstock.wet";
    public static final String LIME = "rootstock.lime";
    private static final Source TOLERANCE =
            Source.published("tolerances judged from Rom & Carlson 1987; Webster & Wertheim 2003", Certainty.WEAK);

    private RootstockRules() {}

    /**
     * @param subject of the findings, {@code choice:ID}
     * @param stock null when none is chosen
     * @param pits of the site; the slowest speaks
     */
    public static List<Finding> judge(String subject, Variety variety, Rootstock stock, List<SoilPit> pits) {
        List<Finding> findings = new ArrayList<>();
        Remedy choose = Remedy.of(
                "rootstock.choose", Phrase.of("Choose a stock for {}", variety.name()), Map.of("subject", subject));
        if (stock == null) {
            findings.add(new Finding(
                    NONE_CHOSEN,
                    subject,
                    Standing.DOUBTFUL,
                    Phrase.of("{} has no rootstock yet.", variety.name()),
                    Phrase.of(
                            "The stock sets size, spacing, stake and how the tree stands the soil; a good label names both."),
                    null,
                    null,
                    List.of(choose),
                    Source.practice("never buy a tree whose label does not name both")));
            return findings;
        }
        Rootstocks.Misfit misfit = Rootstocks.misfit(variety, stock);
        if (misfit != null) {
            findings.add(new Finding(
                    MISFIT,
                    subject,
                    misfit.fails() ? Standing.STOP : Standing.DOUBTFUL,
                    Phrase.of("{} does not hold well on {}.", variety.name(), stock.name()),
                    Phrase.of("{}.", misfit.words()),
                    null,
                    null,
                    List.of(choose),
                    Source.published("graft fit, Rom & Carlson 1987", Certainty.SURE)));
        }
        pits.stream()
                .filter(pit -> pit.rate() != null)
                .min(Comparator.comparingDouble(pit -> pit.rate().normalisedMmPerHour()))
                .ifPresent(slowest -> {
                    DrainageRate rate = slowest.rate();
                    double wanted = wantedRate(stock);
                    Standing standing = Standing.of(
                            rate.normalisedMmPerHour(),
                            rate.halfWidth(),
                            wanted,
                            Certainty.WEAK.halfWidth(wanted),
                            Standing.Wanted.AT_LEAST);
                    List<Remedy> remedies = Rootstocks.forCrop(variety.crop().key()).stream()
                            .filter(other -> other.wet() > stock.wet() && Rootstocks.misfit(variety, other) == null)
                            .max(Comparator.comparingInt(Rootstock::wet))
                            .map(other -> List.of(
                                    Remedy.of(
                                            "rootstock.set",
                                            Phrase.of("Take {} instead", other.name()),
                                            Map.of("subject", subject, "stock", other.key())),
                                    choose))
                            .orElse(List.of(choose));
                    // The soil itself is judged on the Site; here only whether the stock makes it worse, so it is never
                    // more than doubtful.
                    Standing mild = standing == Standing.STOP ? Standing.DOUBTFUL : standing;
                    findings.add(new Finding(
                            WET,
                            subject,
                            mild,
                            mild == Standing.SOUND
                                    ? Phrase.of("{} stands this soil.", stock.name())
                                    : Phrase.of("{} in the slow soil of pit {}.", stock.name(), slowest.label()),
                            Phrase.of(
                                    "Pit {} drains {}; a stock of its kind (wet feet {} of 3) wants {}.",
                                    slowest.label(),
                                    Amount.of(rate.normalisedMmPerHour(), DRAINAGE),
                                    Amount.count(stock.wet()),
                                    Amount.of(wanted, DRAINAGE)),
                            Amount.of(rate.normalisedMmPerHour(), DRAINAGE),
                            Amount.of(wanted, DRAINAGE),
                            remedies,
                            TOLERANCE));
                });
        pits.stream()
                .filter(pit -> pit.ph() != null)
                .max(Comparator.comparingDouble(SoilPit::ph))
                .ifPresent(limiest -> {
                    double limit = 6.8 + 0.4 * stock.lime();
                    Standing standing = Standing.of(limiest.ph(), 0.1, limit, 0.2, Standing.Wanted.AT_MOST);
                    if (standing != Standing.SOUND) {
                        findings.add(new Finding(
                                LIME,
                                subject,
                                standing,
                                Phrase.of("{} on limy soil.", stock.name()),
                                Phrase.of(
                                        "Pit {} has pH {}; this stock (lime {} of 3) is at ease up to {}.",
                                        limiest.label(),
                                        Amount.of(limiest.ph(), Quantity.DECIMAL),
                                        Amount.count(stock.lime()),
                                        Amount.of(limit, Quantity.DECIMAL)),
                                Amount.of(limiest.ph(), Quantity.DECIMAL),
                                Amount.of(limit, Quantity.DECIMAL),
                                List.of(choose),
                                TOLERANCE));
                    }
                });
        return findings;
    }

    /** mm/h by wet tolerance 0 to 3: 25, 19, 12.7, 6 (project choice on the drainage classes). */
    static double wantedRate(Rootstock stock) {
        return new double[] {25.4, 19, 12.7, 6.4}[stock.wet()];
    }
}
