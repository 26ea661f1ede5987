package idlebough.core.layout;

import static idlebough.core.measure.Quantity.SHORT_LENGTH;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Distances measured between pegs as they stand, against the plan. A peg that is out spoils every check it is part
 * of, and
 * only those: so it is found.
 */
public final class PegChecks {
    public static final Rule PEG_CHECK = Rule.of("layout.peg-check");
    private static final RuleTable TABLE = RuleTable.of("layout");
    private static final Sentences WORDS = Sentences.of("layout");

    private PegChecks() {}

    /** One finding for each check of which both trees stand on the plan, said of the peg that has probably moved. */
    public static List<Finding> judge(List<PegCheck> checks, Map<String, PlannedTree> trees) {
        List<PegCheck> known = checks.stream()
                .filter(check -> trees.containsKey(check.from()) && trees.containsKey(check.to()))
                .toList();
        Map<String, Integer> spoiled = new HashMap<>();
        Map<String, Integer> sound = new HashMap<>();
        known.forEach(check -> {
            Map<String, Integer> counts = out(check, trees) == Standing.SOUND ? sound : spoiled;
            counts.merge(check.from(), 1, Integer::sum);
            counts.merge(check.to(), 1, Integer::sum);
        });
        List<Finding> found = new ArrayList<>();
        for (PegCheck check : known) {
            Optional<String> moved = moved(check, spoiled, sound);
            PlannedTree from = trees.get(check.from());
            PlannedTree to = trees.get(check.to());
            PlannedTree named = trees.get(moved.orElse(check.from()));
            found.add(PEG_CHECK
                    .about(named.subject())
                    .variant(moved.isPresent() ? "" : "either")
                    .with("from", from.label())
                    .with("to", to.label())
                    .with("tree", named.label())
                    .remedies(List.of(new LayoutRemedy.SeePeg(
                            WORDS.say("remedy.see-peg", Map.of("tree", named.label())), named.id())))
                    .with("planned", Amount.fine(planned(from, to)))
                    .with("tape", Amount.fine(check.metres()))
                    .judge(
                            Measured.of(Math.abs(residual(check, from, to)), TABLE.value("peg-tape"), SHORT_LENGTH),
                            TABLE.atMost("peg-check", SHORT_LENGTH)));
        }
        return found;
    }

    private static double planned(PlannedTree from, PlannedTree to) {
        return from.place().distance(to.place());
    }

    private static double residual(PegCheck check, PlannedTree from, PlannedTree to) {
        return check.metres() - planned(from, to);
    }

    private static Standing out(PegCheck check, Map<String, PlannedTree> trees) {
        double residual = residual(check, trees.get(check.from()), trees.get(check.to()));
        return Standing.of(
                Measured.of(Math.abs(residual), TABLE.value("peg-tape"), SHORT_LENGTH),
                TABLE.atMost("peg-check", SHORT_LENGTH));
    }

    /** The one of the two that spoils more and is sound in fewer; empty where nothing tells them apart. */
    private static Optional<String> moved(PegCheck check, Map<String, Integer> spoiled, Map<String, Integer> sound) {
        int from = spoiled.getOrDefault(check.from(), 0) - sound.getOrDefault(check.from(), 0);
        int to = spoiled.getOrDefault(check.to(), 0) - sound.getOrDefault(check.to(), 0);
        return from == to ? Optional.empty() : Optional.of(from > to ? check.from() : check.to());
    }
}
