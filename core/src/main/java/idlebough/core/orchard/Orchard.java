package idlebough.core.orchard;

import idlebough.core.almanac.Gates;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Ways;
import idlebough.core.layout.PegCheck;
import idlebough.core.planting.Unions;
import idlebough.core.site.Site;
import idlebough.core.site.Tree;
import idlebough.core.variety.BloomSeen;
import idlebough.core.variety.Choice;
import idlebough.core.winter.Weather;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Every input of one plan, part by part. Immutable; a plan that differs in one part shares the others.
 *
 * @param choices what the grower wants, in the order in which it was chosen
 * @param trees all that stand or will stand, in the order of their pegs
 * @see Evaluation
 */
public record Orchard(
        Site site,
        Weather weather,
        Catalogue catalogue,
        List<Choice> choices,
        List<Tree> trees,
        Ways ways,
        Settings settings,
        Observations observations) {

    /**
     * What the plan as a whole is set to.
     *
     * @param planting the date on which the planned trees go in
     * @param model in which the winters are shown
     * @param order of the planned trees
     * @param rows their bearing, degrees; empty for that of the plot's longest side
     */
    public record Settings(LocalDate planting, ChillModel model, Gates.Order order, Optional<Double> rows) {
        /** Rows along the longest side. */
        public Settings(LocalDate planting, ChillModel model, Gates.Order order) {
            this(planting, model, order, Optional.empty());
        }
    }

    /**
     * What the grower saw.
     *
     * @param blooms full bloom of varieties
     * @param unions as planted and as settled
     * @param notes how many there are
     * @param pegs what was measured between them
     * @param done tasks of the almanac by their keys, and the day on which each was done
     */
    public record Observations(
            List<BloomSeen> blooms, Unions unions, int notes, Map<String, LocalDate> done, List<PegCheck> pegs) {
        public static final Observations NONE = new Observations(List.of(), Unions.NONE, 0, Map.of(), List.of());
    }

    /** Nothing but a place and a date. */
    public static Orchard empty(double latitude, LocalDate planting) {
        return new Orchard(
                Site.empty(latitude),
                Weather.NONE,
                Catalogue.shipped(),
                List.of(),
                List.of(),
                Ways.USUAL,
                new Settings(planting, ChillModel.PORTIONS, Gates.Order.NONE),
                Observations.NONE);
    }

    public Orchard with(Site other) {
        return new Orchard(other, weather, catalogue, choices, trees, ways, settings, observations);
    }

    public Orchard with(Weather other) {
        return new Orchard(site, other, catalogue, choices, trees, ways, settings, observations);
    }

    public Orchard with(Catalogue other) {
        return new Orchard(site, weather, other, choices, trees, ways, settings, observations);
    }

    public Orchard withChoices(List<Choice> other) {
        return new Orchard(site, weather, catalogue, List.copyOf(other), trees, ways, settings, observations);
    }

    public Orchard withTrees(List<Tree> other) {
        return new Orchard(site, weather, catalogue, choices, List.copyOf(other), ways, settings, observations);
    }

    public Orchard with(Ways other) {
        return new Orchard(site, weather, catalogue, choices, trees, other, settings, observations);
    }

    public Orchard with(Settings other) {
        return new Orchard(site, weather, catalogue, choices, trees, ways, other, observations);
    }

    public Orchard with(Observations other) {
        return new Orchard(site, weather, catalogue, choices, trees, ways, settings, other);
    }

    /** The same plan with one tree other than it was: what a drag asks about. */
    public Orchard with(Tree changed) {
        return withTrees(trees.stream()
                .map(tree -> tree.id().equals(changed.id()) ? changed : tree)
                .toList());
    }
}
