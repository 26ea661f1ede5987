package idlebough.core.site;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import java.util.List;
import java.util.Optional;

/**
 * A tree at its place with its variety and stock looked up: what all rooms know of it.
 *
 * @param stock empty while none is chosen
 * @param grafts other varieties that it bears as branches
 */
public record Stand(Tree tree, Variety variety, Optional<Rootstock> stock, List<Variety> grafts) {
    /** @throws IllegalArgumentException when the catalogue has no such variety */
    public static Stand of(Tree tree, Catalogue catalogue) {
        return new Stand(
                tree,
                catalogue.variety(tree.kind().variety()),
                tree.kind().stock().flatMap(catalogue::findRootstock),
                tree.kind().grafts().stream().map(catalogue::variety).toList());
    }

    public String id() {
        return tree.id();
    }

    public String label() {
        return tree.label();
    }

    public Point place() {
        return tree.place();
    }

    public Crop crop() {
        return variety.crop();
    }

    public Footing footing() {
        return tree.footing();
    }

    public Subject subject() {
        return Subject.tree(tree.id());
    }

    /** Whether it has still to be planted. */
    public boolean toPlant() {
        return tree.life().state().toPlant();
    }

    /** “C3, plum ‘Stanley’”, with “+ ‘Opal’” for a branch. */
    public String title() {
        StringBuilder title = new StringBuilder(tree.label() + ", " + variety.label());
        grafts.forEach(branch -> title.append(" + ‘").append(branch.name()).append("’"));
        return title.toString();
    }
}
