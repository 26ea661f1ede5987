package idlebough.core.winter;

import static idlebough.core.measure.Quantity.COUNT;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The findings of this room: is there a record, is it long enough, which winters are left out. */
public final class WinterRules {
    public static final Rule NO_RECORD = Rule.of("winter.no-record");
    public static final Rule FEW_WINTERS = Rule.of("winter.few-winters");
    public static final Rule SYNTHETIC = Rule.of("winter.synthetic");
    public static final Rule LEFT_OUT = Rule.of("winter.left-out");
    public static final Rule BELOW_ZERO = Rule.of("winter.below-zero");
    private static final RuleTable TABLE = RuleTable.of("winter");
    private static final Sentences WORDS = Sentences.of("winter");
    private static final WinterRemedy LOAD = new WinterRemedy.LoadRecord(WORDS.say("remedy.load", Map.of()));

    private WinterRules() {}

    /** Synthetic winters are good for a first look, not for a decision of decades. */
    public static Finding synthetic() {
        return SYNTHETIC
                .about(Subject.ORCHARD)
                .remedies(List.of(LOAD))
                .stands(Standing.DOUBTFUL, TABLE.source("synthetic"));
    }

    /** A model that takes warm hours away does not apply where winters end below zero; empty where none does. */
    public static Optional<Finding> belowZero(WinterLedger ledger, ChillModel model) {
        double[] totals = ledger.totals(model);
        long below = Arrays.stream(totals).filter(total -> total < 0).count();
        if (below == 0) {
            return Optional.empty();
        }
        double least = Math.round(Arrays.stream(totals).min().orElseThrow());
        return Optional.of(BELOW_ZERO
                .about(Subject.ORCHARD)
                .with("unit", model.unit())
                .with("winters", Amount.count(below))
                .with("model", model.label())
                .remedies(
                        List.of(new WinterRemedy.CountIn(WORDS.say("remedy.portions", Map.of()), ChillModel.PORTIONS)))
                .judge(Measured.exactly(Math.min(-1, least), COUNT), TABLE.atLeast("below-zero", COUNT)));
    }

    public static List<Finding> judge(WinterLedger ledger) {
        int n = ledger.usable().size();
        if (n == 0) {
            return List.of(NO_RECORD
                    .about(Subject.ORCHARD)
                    .remedies(List.of(LOAD))
                    .stands(Standing.DOUBTFUL, TABLE.source("no-record")));
        }
        List<Finding> findings = new ArrayList<>();
        findings.add(FEW_WINTERS
                .about(Subject.ORCHARD)
                .with("more", Amount.count(Math.max(1, TABLE.value("few-winters") - n)))
                .remedies(List.of(LOAD))
                .judge(Measured.exactly(n, COUNT), TABLE.atLeast("few-winters", COUNT)));
        leftOut(ledger).ifPresent(findings::add);
        return findings;
    }

    private static Optional<Finding> leftOut(WinterLedger ledger) {
        List<Winter> all = ledger.winters();
        // The first and the last winter of a record are cut through by its ends; that is no fault.
        List<String> inside = all.stream()
                .skip(1)
                .limit(Math.max(0, all.size() - 2))
                .filter(winter -> !winter.usable())
                .map(winter -> winter.year() + " (" + winter.status().words() + ")")
                .toList();
        if (inside.isEmpty()) {
            return Optional.empty();
        }
        long out = all.stream().filter(winter -> !winter.usable()).count();
        return Optional.of(LEFT_OUT.about(Subject.ORCHARD)
                .with("winters", String.join(", ", inside))
                .with("share", Amount.of(100.0 * out / all.size(), Quantity.PERCENT))
                .remedies(List.of(LOAD))
                .stands(Standing.DOUBTFUL, TABLE.source("left-out")));
    }
}
