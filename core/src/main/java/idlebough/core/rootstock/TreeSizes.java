package idlebough.core.rootstock;

import idlebough.core.site.SiteStage;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Stand;
import idlebough.core.variety.Choice;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Full size of every tree in the soil of its place and the training of its choice. */
public final class TreeSizes {
    private TreeSizes() {}

    /** By the ids of the trees. */
    public static Map<String, TreeSize> of(List<Stand> stands, List<Choice> choices, SiteStage site) {
        Map<String, Optional<TrainingSystem>> trained = new HashMap<>();
        choices.forEach(choice -> trained.put(choice.id(), choice.training().flatMap(TrainingSystem::named)));
        Map<String, Double> soils = new HashMap<>();
        Map<String, TreeSize> sizes = new HashMap<>(2 * stands.size());
        for (Stand stand : stands) {
            double soil = site.pitOf(stand.id()).map(pit -> factor(soils, pit)).orElse(1.0);
            Optional<TrainingSystem> training =
                    stand.tree().choice().map(trained::get).orElse(Optional.empty());
            sizes.put(stand.id(), TreeSize.of(stand.variety(), stand.stock(), new Habit(soil, training)));
        }
        return sizes;
    }

    /** What soil and training make of one tree's size. */
    public static Habit habit(Stand stand, List<Choice> choices, SiteStage site) {
        return new Habit(
                site.pitOf(stand.id()).map(Habit::factor).orElse(1.0),
                choices.stream()
                        .filter(choice -> stand.tree()
                                .choice()
                                .filter(choice.id()::equals)
                                .isPresent())
                        .findFirst()
                        .flatMap(Choice::training)
                        .flatMap(TrainingSystem::named));
    }

    private static double factor(Map<String, Double> soils, SoilPit pit) {
        return soils.computeIfAbsent(pit.id(), id -> Habit.factor(pit));
    }
}
