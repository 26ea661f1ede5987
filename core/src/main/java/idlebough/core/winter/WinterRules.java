package idlebough.core.winter;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** The findings of this room: is there a record, is it long enough, which winters are left out. */
public final class WinterRules {
    public static final String NO_RECORD = "winter.no-record";
    public static final String FEW_WINTERS = "winter.few-winters";
    public static final String STAND_IN = "winter.stand-in";
    public static final String LEFT_OUT = "winter.left-out";
    public static final String BELOW_NOUGHT = "winter.below-nought";
    private static final int FULL = 20;
    private static final int LEAST = 5;
    private static final Remedy LOAD = Remedy.of("winter.load", Phrase.of("Load temperatures"), Map.of());
    private static final Source COUNT =
            Source.ownChoice("at least 20 winters for a full statement, 10 indicative, fewer than 5 nothing");

    private WinterRules() {}

    /** Made winters are good for a first look, not for a decision of decades. */
    public static Finding standIn() {
        return new Finding(
                STAND_IN,
                "winter",
                Standing.DOUBTFUL,
                Phrase.of("These winters are made, a stand-in."),
                Phrase.of(
                        "They come from twelve monthly means, so they know nothing of how uneven the real winters are; every count of winters here is an estimate until a station’s record takes their place."),
                null,
                null,
                List.of(LOAD),
                Source.ownChoice("made days: straight lines between monthly means, first-order autoregression"));
    }

    /** A model that takes warm hours away does not apply where winters end below nought; null where none does. */
    public static Finding belowNought(WinterLedger ledger, ChillModel model) {
        double[] totals = ledger.totals(model);
        long below = Arrays.stream(totals).filter(total -> total < 0).count();
        return below == 0
                ? null
                : new Finding(
                        BELOW_NOUGHT,
                        "winter",
                        Standing.DOUBTFUL,
                        Phrase.of("Counted in {}, {} winters end below nought.", model.unit(), Amount.count(below)),
                        Phrase.of(
                                "Warm hours took away more than the cool ones gave: the {} was not made for winters like these, and nothing can be planned on it here.",
                                model.label()),
                        Amount.count(Math.round(Arrays.stream(totals).min().orElseThrow())),
                        Amount.count(0),
                        List.of(Remedy.of(
                                "winter.count",
                                Phrase.of("Count in portions"),
                                Map.of("chill", ChillModel.PORTIONS.name()))),
                        Source.published(
                                "winter.md 2: negative totals; "
                                        + model.source().line(),
                                Certainty.FAIR));
    }

    public static List<Finding> judge(WinterLedger ledger) {
        List<Finding> findings = new ArrayList<>();
        int n = ledger.usable().size();
        if (n == 0) {
            findings.add(new Finding(
                    NO_RECORD,
                    "winter",
                    Standing.DOUBTFUL,
                    Phrase.of("No whole winter is known here."),
                    Phrase.of(
                            "Which varieties will do is decided by the winters; a file of daily minimum and maximum tells."),
                    null,
                    null,
                    List.of(LOAD),
                    COUNT));
            return findings;
        }
        Standing enough = n >= FULL ? Standing.SOUND : n >= LEAST ? Standing.DOUBTFUL : Standing.STOP;
        findings.add(new Finding(
                FEW_WINTERS,
                "winter",
                enough,
                n >= FULL
                        ? Phrase.of("{} whole winters are enough.", Amount.count(n))
                        : Phrase.of("Only {} whole winters.", Amount.count(n)),
                Phrase.of("{} make a full statement; fewer tell less about the poor years.", Amount.count(FULL)),
                Amount.count(n),
                Amount.count(FULL),
                List.of(LOAD),
                COUNT));
        List<String> out = ledger.winters().stream()
                .filter(w -> !w.usable())
                .map(w -> w.year() + " (" + w.status().words() + ")")
                .toList();
        // The first and the last winter of a record are cut through by its ends; that is no fault.
        List<String> inside = ledger.winters().stream()
                .skip(1)
                .limit(Math.max(0, ledger.winters().size() - 2))
                .filter(w -> !w.usable())
                .map(w -> w.year() + " (" + w.status().words() + ")")
                .toList();
        if (!inside.isEmpty()) {
            double share = 100.0 * out.size() / ledger.winters().size();
            findings.add(new Finding(
                    LEFT_OUT,
                    "winter",
                    Standing.DOUBTFUL,
                    Phrase.of("Winters left out: {}.", String.join(", ", inside)),
                    Phrase.of(
                            "Gaps of more than four days are not filled; {} of the winters do not count.",
                            Amount.of(share, Quantity.PERCENT)),
                    null,
                    null,
                    List.of(LOAD),
                    Source.ownChoice("after the monthly limits of WMO-No. 1203 (2017)")));
        }
        return findings;
    }
}
