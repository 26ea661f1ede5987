package idlebough.app.web;

import idlebough.app.layout.Tree;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.TreeView;
import idlebough.app.variety.Choice;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Turns the core's remedies into buttons that act in this orchard. What cannot act here is not shown. */
public final class Acts {
    private final Reckoning plan;
    private final String base;

    Acts(Reckoning plan) {
        this.plan = plan;
        this.base = "/orchards/" + plan.plan().orchard().id();
    }

    /** @param post whether it changes something, or only leads there */
    public record Act(Phrase label, boolean post, String url, Map<String, String> fields) {}

    public List<Act> of(Finding finding) {
        List<Act> acts = new ArrayList<>();
        for (Remedy remedy : finding.remedies()) {
            Act act = act(remedy);
            if (act != null && acts.size() < 3) {
                acts.add(act);
            }
        }
        return acts;
    }

    private Act act(Remedy remedy) {
        Map<String, String> with = remedy.details();
        return switch (remedy.action()) {
            case "ways.set" -> does(remedy, "/ways");
            case "plan.footing" ->
                trees(with.get("pit"), with.get("crop")).isEmpty() ? null : does(remedy, "/planting/footing");
            case "site.pit" -> leads(remedy, "/site/pits/" + with.get("pit"));
            case "site.answers" -> leads(remedy, "/site/pits/" + with.get("pit") + "/answers?crop=" + with.get("crop"));
            case "site.layer" -> leads(remedy, "/site?layer=" + with.get("layer"));
            case "site.dig" -> leads(remedy, "/site/pits/new?x=" + with.get("x") + "&y=" + with.get("y"));
            case "winter.count" -> new Act(remedy.label(), true, base + "/winters", Map.of("chill", with.get("chill")));
            case "winter.load" -> leads(remedy, "/winters/load");
            case "variety.like" -> leads(remedy, "/varieties?crop=" + with.get("crop"));
            case "pollination.mend" -> leads(remedy, "/partners?mend&tree=" + with.get("tree"));
            case "rootstock.choose" -> leads(remedy, "/rootstocks" + choice(with.get("subject")));
            case "rootstock.set" ->
                new Act(
                        remedy.label(),
                        true,
                        base + "/rootstocks",
                        Map.of(
                                "choice",
                                with.get("subject").substring("choice:".length()),
                                "stock",
                                with.get("stock")));
            case "layout.move" -> does(remedy, "/layout/move");
            case "plan.date" -> leads(remedy, "/almanac#planting-date");
            case "planting.tree" -> leads(remedy, "/planting/" + with.get("tree"));
            case "planting.measure" -> leads(remedy, "/planting?tree=" + with.get("tree") + "#as-planted");
            case "daybook.measure" -> leads(remedy, "/daybook?tree=" + with.get("tree") + "#measure");
            default -> null;
        };
    }

    /** Trees to be planted of one crop for which one pit speaks. */
    public List<TreeView> trees(String pit, String crop) {
        return plan.trees().stream()
                .filter(TreeView::toPlant)
                .filter(tree -> tree.pit() != null
                        && tree.pit().id().equals(pit)
                        && tree.variety().crop().key().equals(crop))
                .toList();
    }

    private String choice(String subject) {
        String id = subject.substring(subject.indexOf(':') + 1);
        if (subject.startsWith("choice:")) {
            return "?choice=" + id;
        }
        return plan.plan().trees().stream()
                .filter(tree -> tree.id().equals(id) && tree.choiceId() != null)
                .findFirst()
                .map(Tree::choiceId)
                .filter(choice -> plan.plan().choices().stream().map(Choice::id).anyMatch(choice::equals))
                .map(choice -> "?choice=" + choice)
                .orElse("");
    }

    private Act does(Remedy remedy, String path) {
        return new Act(remedy.label(), true, base + path, remedy.details());
    }

    private Act leads(Remedy remedy, String path) {
        return new Act(remedy.label(), false, base + path, Map.of());
    }
}
