package idlebough.core.pollination;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.PerTree;
import idlebough.core.judge.Room;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.variety.Choice;
import idlebough.core.variety.VarietyStage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Who pollinates whom, and near enough, for one orchard. */
public final class PollinationStage implements Stage {
    private static final RuleTable TABLE = RuleTable.of("pollination");
    private static final double NEIGHBOUR = TABLE.value("neighbour");
    private static final double GRAFT = TABLE.value("graft");
    private final List<Flowering> flowering;
    private final BloomTimes times;
    private final PartnerWeb web;
    private final PerTree<Neighbourhood, Optional<Finding>> ofTrees;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    private PollinationStage(List<Flowering> flowering, BloomTimes times, PollinationStage before) {
        this.flowering = flowering;
        web = PartnerWeb.of(flowering, times, before == null ? null : before.web);
        this.times = times;
        ofTrees = PerTree.of(web.neighbourhoods(), PartnerRules::judge, before == null ? null : before.ofTrees);
    }

    /**
     * @param stands every tree that stands or will stand
     * @param ground whose existing trees give pollen too where their variety is known
     * @param plot outside of which a tree is somebody else's; empty while no boundary is drawn
     * @param placedChoices ids of the choices that have a tree with a place
     * @param varieties the stage before, whose choices without a place yet count as near to all
     * @param before whose answers are taken over where nothing that they depend on changed; null for none
     */
    public static PollinationStage of(
            List<Stand> stands,
            List<Feature> ground,
            Optional<Plot> plot,
            Set<String> placedChoices,
            VarietyStage varieties,
            PollinationStage before) {
        List<Flowering> flowering = new ArrayList<>();
        stands.forEach(stand -> {
            flowering.add(new Flowering(
                    stand.subject(),
                    stand.label() + " ‘" + stand.variety().name() + "’",
                    stand.variety(),
                    Optional.of(stand.place())));
            stand.grafts().forEach(variety -> flowering.add(branch(stand, variety)));
        });
        ground.stream()
                .filter(feature -> feature.kind() == Feature.Kind.TREE)
                .forEach(feature -> feature.about()
                        .flatMap(key -> named(key, varieties.catalogue()))
                        .ifPresent(variety -> flowering.add(existing(feature, variety, plot))));
        varieties.choices().stream()
                .filter(choice -> !placedChoices.contains(choice.id()))
                .forEach(choice -> flowering.add(unplaced(choice, varieties.catalogue())));
        BloomTimes times = BloomTimes.at(varieties);
        return before != null && before.flowering.equals(flowering) && before.times.same(times)
                ? before
                : new PollinationStage(List.copyOf(flowering), times, before);
    }

    /** A variety by its key, or by that of its crop one that nobody knows. */
    private static Optional<Variety> named(String key, Catalogue catalogue) {
        return catalogue.findVariety(key).or(() -> catalogue.findCrop(key).map(Variety::unknown));
    }

    private static Flowering existing(Feature feature, Variety variety, Optional<Plot> plot) {
        String what = feature.name().isBlank() ? "existing " + variety.crop().name() : feature.name();
        return new Flowering(
                Subject.feature(feature.id()),
                what + (variety.isNamed() ? " ‘" + variety.name() + "’" : ", " + variety.name()),
                variety,
                Optional.of(feature.points().get(0)),
                over(feature.points().get(0), plot) ? NEIGHBOUR : 1);
    }

    private static Flowering branch(Stand stand, Variety variety) {
        return new Flowering(
                stand.subject(),
                stand.label() + ", branch ‘" + variety.name() + "’",
                variety,
                Optional.of(stand.place()),
                GRAFT,
                true);
    }

    private static boolean over(Point place, Optional<Plot> plot) {
        return plot.filter(ours -> !ours.holds(place)).isPresent();
    }

    private static Flowering unplaced(Choice choice, Catalogue catalogue) {
        Variety variety = catalogue.variety(choice.variety());
        return new Flowering(Subject.choice(choice.id()), "‘" + variety.name() + "’", variety, Optional.empty());
    }

    @Override
    public Room room() {
        return Room.POLLINATION;
    }

    @Override
    public boolean begun() {
        return !flowering.isEmpty();
    }

    public PartnerWeb web() {
        return web;
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        List<List<Finding>> found = new ArrayList<>();
        ofTrees.all().values().forEach(finding -> found.add(finding.stream().toList()));
        PollinizerShare.of(web.neighbourhoods().values())
                .forEach(block -> found.add(PartnerRules.judge(block).stream().toList()));
        return Findings.of(found);
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return List.of();
    }
}
