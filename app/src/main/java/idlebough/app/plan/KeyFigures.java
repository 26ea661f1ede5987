package idlebough.app.plan;

import idlebough.core.measure.Quantity;
import idlebough.core.winter.SafeChill;
import java.util.LinkedHashMap;
import java.util.Map;

/** The figures whose moving is told: those that somebody downstream may already have carried to the ground. */
final class KeyFigures {
    private KeyFigures() {}

    /** One figure. @param treeId null for figures of the whole orchard */
    record Key(String label, Quantity quantity, Double value, String room, String treeId) {}

    static Map<String, Key> of(Reckoning reckoning) {
        Map<String, Key> figures = new LinkedHashMap<>();
        SafeChill safe = SafeChill.of(
                reckoning.plan().settings().chillModel(),
                reckoning.winters().totals(reckoning.plan().settings().chillModel()));
        put(
                figures,
                "winter.safe",
                "Safe chill",
                Quantity.DECIMAL,
                Double.isNaN(safe.value()) ? null : safe.value(),
                "winter",
                null);
        reckoning
                .pits()
                .forEach(pit -> put(
                        figures,
                        "pit." + pit.id(),
                        "Pit " + pit.label() + " drains",
                        Quantity.DRAINAGE,
                        pit.rate() == null ? null : pit.rate().normalisedMmPerHour(),
                        "site",
                        null));
        put(
                figures,
                "layout.trees",
                "Trees",
                Quantity.COUNT,
                (double) reckoning.trees().size(),
                "layout",
                null);
        reckoning.chosen().forEach(key -> {
            var verdict = reckoning.verdict(key);
            put(
                    figures,
                    "chill." + key,
                    "Winters of ten cold enough for " + verdict.variety().name(),
                    Quantity.COUNT,
                    verdict.match() == null ? null : (double) verdict.match().ofTen(),
                    "variety",
                    null);
        });
        reckoning.trees().stream().filter(TreeView::toPlant).forEach(tree -> {
            String id = tree.id();
            if (tree.section().hasUnion()) {
                put(
                        figures,
                        "union." + id,
                        tree.label() + ": union above the board",
                        Quantity.FINE_LENGTH,
                        tree.section().unionToday(),
                        "planting",
                        id);
            }
            put(
                    figures,
                    "width." + id,
                    tree.label() + ": hole width",
                    Quantity.SHORT_LENGTH,
                    tree.section().width(),
                    "planting",
                    id);
            put(
                    figures,
                    "depth." + id,
                    tree.label() + ": hole depth",
                    Quantity.SHORT_LENGTH,
                    tree.section().depth(),
                    "planting",
                    id);
            put(
                    figures,
                    "mound." + id,
                    tree.label() + ": mound height",
                    Quantity.SHORT_LENGTH,
                    tree.footing().height(),
                    "planting",
                    id);
            put(
                    figures,
                    "mulch." + id,
                    tree.label() + ": mulch",
                    Quantity.VOLUME,
                    tree.section().mulchLitres(),
                    "planting",
                    id);
            put(
                    figures,
                    "compost." + id,
                    tree.label() + ": compost",
                    Quantity.VOLUME,
                    tree.section().compost(),
                    "planting",
                    id);
            put(
                    figures,
                    "water." + id,
                    tree.label() + ": watering in",
                    Quantity.VOLUME,
                    tree.season().wateringIn(),
                    "irrigation",
                    id);
            put(
                    figures,
                    "weeks." + id,
                    tree.label() + ": water in eight weeks",
                    Quantity.VOLUME,
                    tree.season().total(),
                    "irrigation",
                    id);
            put(
                    figures,
                    "crown." + id,
                    tree.label() + ": full-grown width",
                    Quantity.LENGTH,
                    tree.planned().size().spread(),
                    "layout",
                    id);
        });
        return figures;
    }

    private static void put(
            Map<String, Key> figures,
            String key,
            String label,
            Quantity quantity,
            Double value,
            String room,
            String tree) {
        figures.put(key, new Key(label, quantity, value, room, tree));
    }
}
