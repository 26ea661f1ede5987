package idlebough.app.web;

import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Stage;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Finds a tree, a variety, a pit, a page or a figure of one orchard by what somebody types of it. */
public final class Finder {
    private static final int MOST = 12;
    /** Pages beside the ten stages: what they are called, and where they are. */
    private static final Map<String, String> PAGES = Map.ofEntries(
            Map.entry("Doubts", "doubts"),
            Map.entry("Ways", "ways"),
            Map.entry("What was changed", "history"),
            Map.entry("Draw the ground", "site/draw"),
            Map.entry("Slope, winds, pests", "site/edit"),
            Map.entry("Dig a pit", "site/pits/new"),
            Map.entry("Load temperatures", "winters/load"),
            Map.entry("Springs: bloom and frost", "winters/springs"),
            Map.entry("Pegging list", "layout/pegs"),
            Map.entry("The order", "almanac#order"),
            Map.entry("One old tree, room for two", "short"));

    private Finder() {}

    /**
     * One thing that was found.
     *
     * @param kind in a word
     * @param path below the orchard's address
     */
    public record Hit(String kind, String name, String detail, String path) {}

    private record Ranked(Hit hit, int rank) {}

    /** Best first; what begins with the words before what holds them. */
    public static List<Hit> find(PlanView plan, String words) {
        String wanted = plain(words);
        List<Ranked> found = new ArrayList<>();
        all(plan).forEach(hit -> {
            int rank = rank(hit, wanted);
            if (rank >= 0) {
                found.add(new Ranked(hit, rank));
            }
        });
        return found.stream()
                .sorted(Comparator.comparingInt(Ranked::rank))
                .map(Ranked::hit)
                .limit(MOST)
                .toList();
    }

    private static int rank(Hit hit, String wanted) {
        String name = plain(hit.name());
        String detail = plain(hit.detail());
        if (wanted.isEmpty()) {
            return hit.kind().equals("page") ? 0 : -1;
        }
        if (name.equals(wanted)) {
            return 0;
        }
        if (name.startsWith(wanted)) {
            return 1;
        }
        if (name.contains(" " + wanted)) {
            return 2;
        }
        // A tree is told by its variety: where a word begins with it, that goes before letters within a name.
        if ((" " + detail).contains(" " + wanted)) {
            return 3;
        }
        return name.contains(wanted) ? 4 : detail.contains(wanted) ? 5 : -1;
    }

    /** Small letters without accents and quotation marks. */
    private static String plain(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("[\\p{M}'‘’\"]", "")
                .toLowerCase(Locale.ROOT)
                .strip();
    }

    private static List<Hit> all(PlanView plan) {
        List<Hit> all = new ArrayList<>();
        for (StagePage page : StagePage.values()) {
            all.add(new Hit("page", page.title(), "", page.path()));
        }
        PAGES.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(page -> all.add(new Hit("page", page.getKey(), "", page.getValue())));
        plan.evaluation()
                .stands()
                .forEach(stand -> all.add(
                        new Hit("tree", stand.label(), stand.variety().label(), "planting?tree=" + stand.id())));
        plan.pits()
                .forEach(pit -> all.add(
                        new Hit("pit", "pit " + pit.label(), pit.texture().label(), "site?pit=" + pit.id())));
        Set<String> chosen = new LinkedHashSet<>(
                plan.chosen().stream().map(variety -> variety.key()).toList());
        plan.evaluation()
                .varieties()
                .catalogue()
                .varieties()
                .forEach(variety -> all.add(new Hit(
                        "variety",
                        variety.name(),
                        variety.crop().name() + (chosen.contains(variety.key()) ? ", chosen" : ""),
                        "varieties?variety=" + variety.key())));
        figures(plan, all);
        return all;
    }

    /** The kinds of key figures, each once. */
    private static void figures(PlanView plan, List<Hit> all) {
        for (Stage stage : plan.evaluation().stages()) {
            StagePage page = StagePage.of(stage.room());
            stage.keyFigures().stream()
                    .map(KeyFigure::key)
                    .distinct()
                    .forEach(key -> all.add(new Hit(
                            "figure",
                            Sentences.of(stage.room().key())
                                    .say("figure." + key, Map.of())
                                    .pattern(),
                            page.title(),
                            page.path())));
        }
    }
}
