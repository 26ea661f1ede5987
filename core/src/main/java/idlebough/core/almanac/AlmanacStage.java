package idlebough.core.almanac;

import idlebough.core.irrigation.IrrigationStage;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.planting.PlantingStage;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.planting.Unions;
import idlebough.core.site.SiteStage;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.variety.VarietyStage;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is to be done when, for one orchard. */
public final class AlmanacStage implements Stage {
    private static final int YOUNG_YEARS = 6;
    private final Input input;
    private final Lazy<List<Task>> tasks = Lazy.of(this::findTasks);
    private final Lazy<SeasonMarks> marks = Lazy.of(this::findMarks);

    /**
     * What this stage depends on.
     *
     * @param stands every tree that stands or will stand
     * @param done by the key of the task, the day on which it was done
     */
    public record Input(
            List<Stand> stands,
            Gates gates,
            Map<String, LocalDate> done,
            SiteStage site,
            WinterStage winters,
            VarietyStage varieties,
            IrrigationStage water,
            PlantingStage planting,
            Unions unions) {}

    private AlmanacStage(Input input) {
        this.input = input;
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static AlmanacStage of(Input input, AlmanacStage before) {
        return before != null && before.input.equals(input) ? before : new AlmanacStage(input);
    }

    @Override
    public Room room() {
        return Room.ALMANAC;
    }

    @Override
    public boolean begun() {
        return !input.stands().isEmpty();
    }

    /** In the order of their first days. */
    public List<Task> tasks() {
        return tasks.get();
    }

    /** When something can no longer be undone. */
    public Gates gates() {
        return input.gates();
    }

    /** Those that should be done by now and are not. */
    public List<Task> late(LocalDate today) {
        return tasks().stream().filter(task -> task.isLate(today)).toList();
    }

    /** What a year brings here. */
    public SeasonMarks marks() {
        return marks.get();
    }

    private SeasonMarks findMarks() {
        return SeasonMarks.of(
                input.stands().stream().map(Stand::variety).distinct().toList(), input.varieties(), input.winters());
    }

    private List<Task> findTasks() {
        SiteStage site = input.site();
        return Almanac.of(new Almanac.Setting(
                input.gates(),
                site.site().location().latitude(),
                site.soilCare(),
                lastBloom(),
                input.stands().stream()
                        .filter(Stand::toPlant)
                        .map(stand -> new Almanac.TreeToPlant(
                                stand.id(),
                                stand.label(),
                                input.planting().sectionOf(stand.id()),
                                stand.tree().life().state() == Tree.State.ORDERED,
                                input.water().seasonOf(stand.id())))
                        .toList(),
                input.stands().stream()
                        .flatMap(stand -> stand.tree().life().plantedOn().stream()
                                .filter(day -> day.plusYears(YOUNG_YEARS)
                                        .isAfter(input.gates().planting()))
                                .map(day -> new Almanac.Young(
                                        stand.id(),
                                        stand.label(),
                                        day,
                                        input.planting().sectionOf(stand.id()),
                                        input.water().seasonOf(stand.id()),
                                        input.unions().of(stand.id()).stream()
                                                .filter(measure -> measure.kind() == UnionMeasure.Kind.CHECK)
                                                .map(UnionMeasure::day)
                                                .toList())))
                        .toList(),
                input.done()));
    }

    /** Of the trees to plant, or where all are planted of those, in a median spring. */
    private Optional<MonthDay> lastBloom() {
        boolean planning = input.stands().stream().anyMatch(Stand::toPlant);
        return input.stands().stream()
                .filter(stand -> stand.toPlant() || !planning)
                .map(Stand::variety)
                .distinct()
                .flatMap(variety -> input.varieties().springs(variety, Exposure.SCREEN).stream())
                .flatMap(springs -> springs.middle().stream())
                .map(MonthDay::from)
                .max(Comparator.naturalOrder());
    }

    /** Dates are not judged yet. */
    @Override
    public Findings judged() {
        return Findings.of(List.of());
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return List.of();
    }
}
