package idlebough.core.daybook;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingStage;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.planting.Unions;
import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What happened, held against what was expected, for one orchard. */
public final class DaybookStage implements Stage {
    private final Input input;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /**
     * What this stage depends on.
     *
     * @param notes how many there are
     */
    public record Input(List<Stand> stands, PlantingStage planting, Unions unions, int notes) {}

    private DaybookStage(Input input) {
        this.input = input;
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static DaybookStage of(Input input, DaybookStage before) {
        return before != null && before.input.equals(input) ? before : new DaybookStage(input);
    }

    @Override
    public Room room() {
        return Room.DAYBOOK;
    }

    @Override
    public boolean begun() {
        return input.notes() > 0 || !input.unions().isEmpty();
    }

    public Unions unions() {
        return input.unions();
    }

    /** The newest look against the settling forecast; empty without one, or without the day's own measure. */
    public Optional<UnionCheck> checkOf(String tree) {
        return input.unions().check(tree).map(last -> {
            UnionMeasure planted = input.unions().asPlanted(tree).orElseThrow();
            return UnionCheck.of(
                    input.planting().sectionOf(tree), planted.day(), planted.height(), last.day(), last.height());
        });
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        List<List<Finding>> found = new ArrayList<>();
        for (Stand stand : input.stands()) {
            if (!stand.toPlant()) {
                stand.tree()
                        .life()
                        .plantedOn()
                        .ifPresent(day -> found.add(BesideCheck.judge(
                                stand.id(),
                                stand.label(),
                                input.planting().sectionOf(stand.id()),
                                day,
                                input.unions().of(stand.id()))));
            }
            checkOf(stand.id()).ifPresent(check -> {
                PlantingSection section = input.planting().sectionOf(stand.id());
                if (section.hasUnion()) {
                    found.add(check.judge(stand.id(), stand.label(), section.unionMin()));
                }
            });
        }
        return Findings.of(found);
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return List.of();
    }
}
