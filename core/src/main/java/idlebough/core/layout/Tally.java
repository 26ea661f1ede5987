package idlebough.core.layout;

import idlebough.core.site.Stand;
import idlebough.core.variety.Choice;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** How many trees of a choice are wanted in the ground, and how many have a place. */
public record Tally(Choice choice, int placed) {
    /** Of every choice that is planted in the ground, in their order. */
    public static List<Tally> of(List<Choice> choices, Collection<Stand> stands) {
        Map<String, Integer> placed = new HashMap<>();
        stands.forEach(stand -> stand.tree().choice().ifPresent(choice -> placed.merge(choice, 1, Integer::sum)));
        return choices.stream()
                .filter(choice -> !choice.pot())
                .map(choice -> new Tally(choice, placed.getOrDefault(choice.id(), 0)))
                .toList();
    }

    /** How many have no place yet; negative when more have one than are wanted. */
    public int missing() {
        return choice.wanted() - placed;
    }
}
