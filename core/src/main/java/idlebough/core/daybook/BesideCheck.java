package idlebough.core.daybook;

import static idlebough.core.judge.Amount.fine;
import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.FINE_LENGTH;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingWays;
import idlebough.core.planting.Stake;
import idlebough.core.planting.UnionMeasure;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** What was seen beside a planted tree: a tie that was left on, mulch that crept up. */
public final class BesideCheck {
    public static final Rule TIE = Rule.of("daybook.tie");
    public static final Rule MULCH = Rule.of("daybook.mulch");
    private static final RuleTable TABLE = RuleTable.of("daybook");
    private static final double DAYS_A_YEAR = 365.25;

    private final String id;
    private final String label;
    private final PlantingSection section;
    private final List<UnionMeasure> looks;

    private BesideCheck(String id, String label, PlantingSection section, List<UnionMeasure> looks) {
        this.id = id;
        this.label = label;
        this.section = section;
        this.looks = looks;
    }

    /**
     * Only what is not sound.
     *
     * @param planted its day
     * @param looks at the tree since
     */
    public static List<Finding> judge(
            String id, String label, PlantingSection section, LocalDate planted, List<UnionMeasure> looks) {
        BesideCheck check = new BesideCheck(id, label, section, looks);
        List<Finding> found = new ArrayList<>();
        check.last(look -> look.beside().tie() != UnionMeasure.Tie.NOT_SEEN)
                .flatMap(look -> check.tie(look, planted))
                .ifPresent(found::add);
        check.mulch().ifPresent(found::add);
        return found;
    }

    private Optional<UnionMeasure> last(Predicate<UnionMeasure> seen) {
        return looks.stream().filter(seen).max(Comparator.comparing(UnionMeasure::day));
    }

    private Rule.Draft about(Rule rule) {
        return rule.about(Subject.tree(id))
                .with("tree", label)
                .remedies(List.of(new DaybookRemedy.MeasureUnion(
                        Sentences.of("daybook").say("remedy.looked", Map.of("tree", label)), id)));
    }

    private Optional<Finding> tie(UnionMeasure look, LocalDate planted) {
        boolean wanted = section.setting().school(PlantingWays.TIE).key().equals("tight");
        return switch (look.beside().tie()) {
            case NOT_SEEN, OFF -> Optional.empty();
            case BITES -> Optional.of(about(TIE).variant("bites").stands(Standing.STOP, TABLE.source("tie")));
            case FREE -> leftOn(look, planted);
            case TIGHT ->
                leftOn(look, planted)
                        .or(() -> wanted
                                ? Optional.empty()
                                : Optional.of(
                                        about(TIE).variant("tight").stands(Standing.DOUBTFUL, TABLE.source("tie"))));
        };
    }

    /** Empty on a stock that is held for life, and while its years last. */
    private Optional<Finding> leftOn(UnionMeasure look, LocalDate planted) {
        Optional<Integer> years = section.stake().map(Stake::years).orElse(Optional.of(1));
        return years.flatMap(most -> about(TIE)
                .with("years", Amount.count(most))
                .unlessSound(
                        Measured.exactly(ChronoUnit.DAYS.between(planted, look.day()) / DAYS_A_YEAR, DECIMAL),
                        TABLE.limit("tie", most + TABLE.value("tie"), DECIMAL, Limit.Side.AT_MOST)));
    }

    private Optional<Finding> mulch() {
        Optional<UnionMeasure> seen = last(look -> look.beside().mulch() != UnionMeasure.Mulch.NOT_SEEN);
        if (seen.filter(look -> look.beside().mulch() == UnionMeasure.Mulch.TOUCHES)
                .isPresent()) {
            return Optional.of(about(MULCH).variant("touches").stands(Standing.STOP, TABLE.source("mulch")));
        }
        // In a narrow ring the mulch comes near the union; a wide one keeps it off.
        return !section.hasUnion() || section.clearOfMulch()
                ? Optional.empty()
                : last(look -> look.kind() == UnionMeasure.Kind.CHECK)
                        .flatMap(look -> about(MULCH)
                                .with("mulch", fine(section.mulchDepth()))
                                .unlessSound(
                                        Measured.of(
                                                look.height() - section.mulchDepth(),
                                                TABLE.value("reading"),
                                                FINE_LENGTH),
                                        TABLE.atLeast("mulch", FINE_LENGTH)));
    }
}
