package idlebough.core.rootstock;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.site.SoilPit;
import idlebough.core.variety.Choice;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** On what roots, for one orchard. */
public final class RootstockStage implements Stage {
    private final Input input;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /**
     * What this stage depends on.
     *
     * @param pits that speak for each choice's trees, by the choice's id
     */
    public record Input(Catalogue catalogue, List<Choice> choices, Map<String, List<SoilPit>> pits) {}

    private RootstockStage(Input input) {
        this.input = input;
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static RootstockStage of(Input input, RootstockStage before) {
        return before != null && before.input.equals(input) ? before : new RootstockStage(input);
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

    /** Full size of a choice's trees. */
    public TreeSize size(Choice choice) {
        return TreeSize.of(variety(choice), stock(choice));
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        RootstockRules rules = new RootstockRules(input.catalogue());
        return Findings.of(input.choices().stream()
                .map(choice -> rules.judge(
                        choice.id(),
                        variety(choice),
                        stock(choice),
                        input.pits().getOrDefault(choice.id(), List.of())))
                .toList());
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return List.of();
    }
}
