package idlebough.app.store;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.OwnEntry;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;

/** That every variety and stock of which a plan speaks is in its catalogue, whatever was undone or taken away. */
final class CatalogueKeys {
    private final Set<String> varieties = new HashSet<>();
    private final Set<String> stocks = new HashSet<>();

    private CatalogueKeys(Rows rows) {
        Catalogue.shipped().varieties().forEach(variety -> varieties.add(variety.key()));
        Catalogue.shipped().rootstocks().forEach(stock -> stocks.add(stock.key()));
        rows.ownEntries()
                .forEach(row ->
                        (row.what().equals(OwnEntry.What.VARIETY.name()) ? varieties : stocks).add(row.entryKey()));
    }

    /**
     * @param changed rows of the change that leads to {@code after}
     * @throws StillNeeded when one of them, or any where the catalogue itself changed, names what is not there
     */
    static void check(Rows after, Collection<Row> changed) {
        boolean catalogue = changed.stream().anyMatch(OwnEntryRow.class::isInstance);
        boolean named = changed.stream()
                .anyMatch(row -> row instanceof ChoiceRow
                        || row instanceof TreeRow
                        || row instanceof BloomRow
                        || row instanceof PinRow);
        if (!catalogue && !named) {
            return;
        }
        CatalogueKeys keys = new CatalogueKeys(after);
        if (catalogue) {
            after.choices().forEach(keys::choice);
            after.trees().forEach(keys::tree);
            after.blooms().forEach(keys::bloom);
            after.pins().forEach(keys::pin);
        } else {
            changed.stream().filter(row -> !row.key().deleted()).forEach(keys::any);
        }
    }

    private void any(Row row) {
        if (row instanceof ChoiceRow choice) {
            choice(choice);
        } else if (row instanceof TreeRow tree) {
            tree(tree);
        } else if (row instanceof BloomRow bloom) {
            bloom(bloom);
        } else if (row instanceof PinRow pin) {
            pin(pin);
        }
    }

    private void choice(ChoiceRow row) {
        variety(row.varietyKey(), "a choice");
        stock(row.rootstockKey(), "a choice");
    }

    private void tree(TreeRow row) {
        variety(row.what().varietyKey(), "a tree");
        row.what().branches().forEach(key -> variety(key, "a branch"));
        stock(row.what().rootstockKey(), "a tree");
    }

    private void bloom(BloomRow row) {
        variety(row.varietyKey(), "a bloom date");
    }

    private void pin(PinRow row) {
        variety(row.varietyKey(), "a pin");
    }

    private void variety(String key, String who) {
        if (!varieties.contains(key)) {
            throw new StillNeeded("There is " + who + " of this variety; take that away first.");
        }
    }

    private void stock(String key, String who) {
        if (key != null && !stocks.contains(key)) {
            throw new StillNeeded("There is " + who + " on this stock; give it another one first.");
        }
    }
}
