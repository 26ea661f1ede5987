package idlebough.app.layout;

import idlebough.app.exchange.TreeLine;
import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.PegRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.TreeRow;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.layout.PlannedTree;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a file of trees would change in a plan: trees are known by their tags.
 *
 * @param added and moved and changed: what the file says otherwise than the plan
 * @param gone trees that the file does not hold and that are only planned
 * @param complaints what cannot be taken, a sentence a row
 */
public record TreeImport(
        List<Line> added, List<Move> moved, List<Line> changed, List<Stand> gone, List<String> complaints) {
    /** @param stock null for none */
    public record Line(TreeLine line, Variety variety, Rootstock stock) {
        /** “apple ‘Discovery’ on M9”. */
        public String words() {
            return variety.label() + (stock == null ? "" : " on " + stock.name());
        }
    }

    /** @param by m */
    public record Move(Stand stand, Point to, double by) {}

    /** Whether nothing would change. */
    public boolean none() {
        return added.isEmpty() && moved.isEmpty() && changed.isEmpty() && gone.isEmpty();
    }

    public static TreeImport of(Plan plan, List<TreeLine> lines, List<String> unread) {
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        Map<String, Stand> byTag = new LinkedHashMap<>();
        plan.evaluation().stands().forEach(stand -> byTag.put(stand.label(), stand));
        List<Line> added = new ArrayList<>();
        List<Move> moved = new ArrayList<>();
        List<Line> changed = new ArrayList<>();
        List<String> complaints = new ArrayList<>(unread);
        Set<String> seen = new HashSet<>();
        Map<String, Point> places = new HashMap<>();
        for (TreeLine line : lines) {
            String which = "Row " + line.row() + ": ";
            if (!seen.add(line.tag())) {
                complaints.add(which + "the tag " + line.tag() + " comes twice; the first counts.");
                continue;
            }
            Optional<Variety> variety = variety(catalogue, line.variety());
            Optional<Rootstock> stock =
                    variety.filter(of -> !line.stock().isEmpty()).flatMap(of -> stock(catalogue, of, line.stock()));
            if (variety.isEmpty()) {
                complaints.add(which + "no variety of the catalogue is called “" + line.variety() + "”.");
                continue;
            }
            if (!line.stock().isEmpty() && stock.isEmpty()) {
                complaints.add(
                        which + "no stock for " + variety.get().crop().name() + " is called “" + line.stock() + "”.");
                continue;
            }
            Point at = new Point(line.x(), line.y());
            Stand known = byTag.get(line.tag());
            boolean stays = known != null && known.place().equals(at);
            Optional<String> misplaced = stays ? Optional.empty() : misplaced(plan, at, places);
            if (misplaced.isPresent()) {
                complaints.add(which + line.tag() + " " + misplaced.get());
                continue;
            }
            places.put(line.tag(), at);
            Line read = new Line(line, variety.get(), stock.orElse(null));
            if (known == null) {
                added.add(read);
                continue;
            }
            if (!stays) {
                moved.add(new Move(known, at, known.place().distance(at)));
            }
            if (!known.variety().key().equals(variety.get().key())
                    || !known.tree().kind().stock().equals(stock.map(Rootstock::key))) {
                if (known.tree().life().state() == Tree.State.PLANNED) {
                    changed.add(read);
                } else {
                    complaints.add(which + line.tag() + " is ordered or stands; it stays " + known.title() + ".");
                }
            }
        }
        List<Stand> gone = plan.evaluation().stands().stream()
                .filter(stand ->
                        !seen.contains(stand.label()) && stand.tree().life().state() == Tree.State.PLANNED)
                .toList();
        return new TreeImport(added, moved, changed, gone, complaints);
    }

    private static Optional<Variety> variety(Catalogue catalogue, String words) {
        return catalogue.varieties().stream()
                .filter(variety -> variety.key().equals(words)
                        || variety.name().equalsIgnoreCase(words)
                        || variety.label().equalsIgnoreCase(words))
                .findFirst();
    }

    private static Optional<Rootstock> stock(Catalogue catalogue, Variety variety, String words) {
        return catalogue.rootstocksFor(variety.crop()).stream()
                .filter(stock -> stock.key().equals(words) || stock.name().equalsIgnoreCase(words))
                .findFirst();
    }

    private static Optional<String> misplaced(Plan plan, Point at, Map<String, Point> places) {
        Optional<Plot> outside = plan.evaluation()
                .site()
                .plot()
                .filter(plot -> !plot.holds(at) && plot.distanceToBoundary(at) > PlannedTree.ONE_PEG);
        if (outside.isPresent()) {
            Point turned = new Point(at.y(), at.x());
            return Optional.of("lies outside the boundary"
                    + (outside.get().holds(turned) ? "; are the columns of x and y swapped?" : "."));
        }
        return places.entrySet().stream()
                .filter(other -> other.getValue().distance(at) < PlannedTree.ONE_PEG)
                .findFirst()
                .map(other -> "stands on the peg of " + other.getKey() + ".");
    }

    /**
     * As edits of one change.
     *
     * @param takeOut whether trees that the file does not hold are taken out
     */
    List<Edit> edits(Plan plan, boolean takeOut, long base) {
        List<Edit> edits = new ArrayList<>();
        Map<String, ChoiceRow> fresh = new LinkedHashMap<>();
        Map<String, Integer> more = new HashMap<>();
        for (Line line : added) {
            ChoiceRow choice = choice(plan, line, fresh, more);
            PegRow peg = new PegRow(
                    RowKey.fresh(plan.head().id()),
                    line.line().tag(),
                    line.line().x(),
                    line.line().y(),
                    true);
            edits.add(Edit.add(peg));
            edits.add(Edit.add(LayoutFill.planned(plan, peg, choice)));
        }
        for (Move move : moved) {
            edits.add(Edit.change(
                    peg(plan, move.stand()),
                    base,
                    Map.of("x", move.to().x(), "y", move.to().y(), "byHand", true)));
        }
        for (Line line : changed) {
            ChoiceRow choice = choice(plan, line, fresh, more);
            Stand stand = plan.evaluation().stands().stream()
                    .filter(each -> each.label().equals(line.line().tag()))
                    .findFirst()
                    .orElseThrow();
            Map<String, Object> what = new HashMap<>();
            what.put("varietyKey", line.variety().key());
            what.put("rootstockKey", line.stock() == null ? null : line.stock().key());
            what.put("choiceId", choice.id());
            edits.add(Edit.change(plan.rows().tree(stand.id()).orElseThrow(), base, what));
        }
        if (takeOut) {
            for (Stand stand : gone) {
                TreeRow tree = plan.rows().tree(stand.id()).orElseThrow();
                edits.add(Edit.remove(tree, base));
                edits.add(Edit.remove(peg(plan, stand), base));
            }
        }
        List<Edit> choices = new ArrayList<>();
        fresh.values()
                .forEach(row -> choices.add(Edit.add(new ChoiceRow(
                        row.key(), row.varietyKey(), row.rootstockKey(), Math.max(1, more.get(row.id()))))));
        choices.addAll(edits);
        return choices;
    }

    private static PegRow peg(Plan plan, Stand stand) {
        return plan.rows()
                .peg(plan.rows().tree(stand.id()).orElseThrow().pegId())
                .orElseThrow();
    }

    /** The choice of this variety on this stock, or a new one. */
    private static ChoiceRow choice(Plan plan, Line line, Map<String, ChoiceRow> fresh, Map<String, Integer> more) {
        String stock = line.stock() == null ? null : line.stock().key();
        ChoiceRow choice = plan.rows().choices().stream()
                .filter(row -> row.varietyKey().equals(line.variety().key())
                        && java.util.Objects.equals(row.rootstockKey(), stock))
                .findFirst()
                .orElseGet(() -> fresh.computeIfAbsent(
                        line.variety().key() + " " + stock,
                        key -> new ChoiceRow(
                                RowKey.fresh(plan.head().id()), line.variety().key(), stock, 1)));
        more.merge(choice.id(), 1, Integer::sum);
        return choice;
    }
}
