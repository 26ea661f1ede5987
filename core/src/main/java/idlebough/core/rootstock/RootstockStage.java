package idlebough.core.rootstock;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.PerTree;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.site.Footing;
import idlebough.core.site.PlaceIndex;
import idlebough.core.site.SiteStage;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Stand;
import idlebough.core.variety.Choice;
import idlebough.core.variety.Evidence;
import idlebough.core.winter.WinterStage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/** On what roots, for one orchard. */
public final class RootstockStage implements Stage {
    private final Input input;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    private final PerTree<Placed, List<Finding>> ofTrees;

    /**
     * What this stage depends on.
     *
     * @param stands every tree that stands or will stand
     */
    public record Input(
            Catalogue catalogue, List<Choice> choices, List<Stand> stands, SiteStage site, WinterStage winters) {}

    /** All that the drainage of one tree depends on. */
    private record Placed(Catalogue catalogue, RootstockRules.Rooted tree, SoilPit pit) {}

    private RootstockStage(Input input, RootstockStage before) {
        this.input = input;
        Map<String, Placed> placed = new LinkedHashMap<>(2 * input.stands().size());
        Set<String> potted =
                input.choices().stream().filter(Choice::pot).map(Choice::id).collect(Collectors.toSet());
        for (Stand stand : input.stands()) {
            // A pot stands on the ground at its peg: no water of the soil stands in it.
            boolean inGround = stand.tree().choice().filter(potted::contains).isEmpty();
            if (stand.toPlant() && inGround) {
                input.site()
                        .pitOf(stand.id())
                        .ifPresent(pit -> placed.put(stand.id(), new Placed(input.catalogue(), rooted(stand), pit)));
            }
        }
        ofTrees = PerTree.of(
                placed,
                each -> new RootstockRules(each.catalogue()).drainage(each.tree(), each.pit()),
                before == null ? null : before.ofTrees);
    }

    private static RootstockRules.Rooted rooted(Stand stand) {
        return new RootstockRules.Rooted(
                stand.subject(),
                stand.label(),
                stand.variety(),
                stand.stock(),
                stand.footing(),
                stand.tree().choice());
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static RootstockStage of(Input input, RootstockStage before) {
        return before != null && before.input.equals(input) ? before : new RootstockStage(input, before);
    }

    @Override
    public Room room() {
        return Room.ROOTSTOCK;
    }

    @Override
    public boolean begun() {
        return input.choices().stream().anyMatch(choice -> choice.stock().isPresent());
    }

    public Variety variety(Choice choice) {
        return input.catalogue().variety(choice.variety());
    }

    /** Empty while none is chosen. */
    public Optional<Rootstock> stock(Choice choice) {
        return choice.stock().flatMap(input.catalogue()::findRootstock);
    }

    /** Full size of a choice's trees where they grow largest. */
    public TreeSize size(Choice choice) {
        return TreeSize.of(
                variety(choice), stock(choice), habit(choice, input.site().pits()));
    }

    /** Soil and training of a choice's trees, in the best of all the pits. */
    public Habit habit(Choice choice) {
        return habit(choice, input.site().pits());
    }

    private static Habit habit(Choice choice, List<SoilPit> pits) {
        return Habit.of(pits, choice.training().flatMap(TrainingSystem::named));
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        RootstockRules rules = new RootstockRules(input.catalogue());
        Optional<Double> rainySpring = Evidence.Air.of(
                        input.winters().weather().wetness(), input.winters().latitude())
                .rainySpring();
        Map<String, Map<String, SoilPit>> speaking = pitsOfChoices();
        List<List<Finding>> found = new ArrayList<>();
        for (Choice choice : input.choices()) {
            Map<String, SoilPit> own = speaking.get(choice.id());
            List<SoilPit> pits =
                    choice.pot() ? List.of() : own == null ? input.site().pits() : List.copyOf(own.values());
            found.add(judge(rules, choice, pits));
            stock(choice).ifPresent(stock -> {
                RootstockRules.ills(choice.id(), variety(choice), stock, rainySpring)
                        .ifPresent(ill -> found.add(List.of(ill)));
                choice.training()
                        .flatMap(TrainingSystem::named)
                        .ifPresent(system -> found.add(
                                List.of(RootstockRules.training(choice.id(), variety(choice), stock, system))));
            });
            if (own == null && !choice.pot()) {
                found.add(unplaced(rules, choice, pits));
            }
        }
        found.addAll(ofTrees.all().values());
        return Findings.of(found);
    }

    /** Where ground or winter speaks against its stock, another one is looked for and named with what it loses. */
    private List<Finding> judge(RootstockRules rules, Choice choice, List<SoilPit> pits) {
        Optional<Rootstock> stock = stock(choice);
        if (choice.pot()) {
            return rules.judge(choice.id(), variety(choice), stock, List.of(), OptionalDouble.empty());
        }
        List<Finding> found = rules.judge(
                choice.id(), variety(choice), stock, pits, input.winters().coldest());
        if (stock.isEmpty() || found.stream().allMatch(Finding::isSound)) {
            return found;
        }
        return rules.judge(
                choice.id(),
                variety(choice),
                stock,
                pits,
                input.winters().coldest(),
                BetterStock.of(offers(choice), stock.get()));
    }

    /** The pit that suits it best speaks while it may still be planted there; one that was not tested says nothing. */
    private List<Finding> unplaced(RootstockRules rules, Choice choice, List<SoilPit> pits) {
        return bestDrained(pits)
                .map(best -> rules.drainage(unplaced(choice, Footing.GRADE), best))
                .orElse(List.of());
    }

    private static Optional<SoilPit> bestDrained(List<SoilPit> pits) {
        return pits.stream()
                .filter(pit -> pit.rate().isPresent())
                .max(Comparator.comparingDouble(pit -> pit.rate().orElseThrow().normalisedMmPerHour()));
    }

    private RootstockRules.Rooted unplaced(Choice choice, Footing footing) {
        return new RootstockRules.Rooted(
                Subject.choice(choice.id()),
                "‘" + variety(choice).name() + "’",
                variety(choice),
                stock(choice),
                footing,
                Optional.of(choice.id()));
    }

    /** All stocks of a choice, as they stand what is asked of them where its trees have their places. */
    public StockOffers offers(Choice choice) {
        List<Stand> standing = input.stands().stream()
                .filter(stand -> stand.tree().life().state().stands())
                .toList();
        List<Stand> own = standing.stream()
                .filter(stand ->
                        stand.tree().choice().filter(choice.id()::equals).isPresent())
                .toList();
        Map<String, SoilPit> speaking = new LinkedHashMap<>();
        own.forEach(stand -> input.site().pitOf(stand.id()).ifPresent(pit -> speaking.put(pit.id(), pit)));
        PlaceIndex<Stand> index = PlaceIndex.of(standing, Stand::place);
        Optional<Double> apart = own.stream()
                .flatMap(stand -> index
                        .nearest(stand.place(), other -> other != stand)
                        .map(other -> other.place().distance(stand.place()))
                        .stream())
                .min(Comparator.naturalOrder());
        List<SoilPit> pits = own.isEmpty()
                ? bestDrained(input.site().pits()).map(List::of).orElse(List.of())
                : List.copyOf(speaking.values());
        Footing footing = own.isEmpty() ? Footing.GRADE : own.get(0).footing();
        return StockOffers.of(
                input.catalogue(),
                variety(choice),
                new StockOffers.Here(
                        unplaced(choice, footing), pits, apart, input.winters().coldest(), habit(choice, pits)));
    }

    /** The pits that speak for the trees of each choice that has trees with places. */
    private Map<String, Map<String, SoilPit>> pitsOfChoices() {
        Map<String, Map<String, SoilPit>> speaking = new LinkedHashMap<>();
        for (Stand stand : input.stands()) {
            stand.tree().choice().ifPresent(choice -> {
                Map<String, SoilPit> pits = speaking.computeIfAbsent(choice, key -> new LinkedHashMap<>());
                input.site().pitOf(stand.id()).ifPresent(pit -> pits.put(pit.id(), pit));
            });
        }
        return speaking;
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return List.of();
    }
}
