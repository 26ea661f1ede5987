package idlebough.app.web;

import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.layout.PlannedTree;
import idlebough.core.orchard.Doubts;
import idlebough.core.site.Plot;
import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Envelope;

/**
 * The plan at a glance, true to scale: the ground, every tree as it stands or will stand, and which of them something is
 * the matter with.
 *
 * @param marks of the ground, without their labels
 * @param rotation of the plan against north, degrees
 * @param dots path of all trees as dots where they are too many for crowns; empty where they are not
 * @param labels of trees that something is the matter with, or that are picked
 */
public record PlanSketch(
        Sheet sheet,
        String plot,
        List<GroundDrawing.Mark> marks,
        List<Crown> crowns,
        List<Labels.Label> labels,
        double rotation,
        String dots) {
    private static final double LETTERS = 14;
    private static final double LEAST = 4;
    private static final double PEG = 7;
    private static final int YEAR_SHOWN = 7;
    private static final int LABELLED = 60;
    private static final int FEW = 15;
    private static final int MANY = 400;

    /**
     * One tree.
     *
     * @param at transform of its place
     * @param radius in the seventh year
     * @param look planned or standing
     */
    public record Crown(String id, String words, String at, double radius, String look, Standing standing, boolean on) {
        /** A peg is seen in it. */
        public boolean marked() {
            return standing != Standing.SOUND;
        }

        public String css() {
            return "sk-" + look + " sk-" + standing.word();
        }

        /** The peg leans or lies. */
        public String peg() {
            return Svg.turned(standing == Standing.STOP ? 90 : 14);
        }
    }

    /** @param picked ids of trees that are shown as chosen */
    public static Optional<PlanSketch> of(PlanView plan, Reader say, Set<String> picked, double width, double height) {
        return Optional.ofNullable(plan.plot()).map(plot -> of(plan, plot, say, picked, width, height));
    }

    /** The same with the label of every tree, to carry to the ground. */
    public static Optional<PlanSketch> named(PlanView plan, Reader say, double width, double height) {
        return of(plan, say, Set.of(), width, height)
                .map(sketch -> new PlanSketch(
                        sketch.sheet(),
                        sketch.plot(),
                        sketch.marks(),
                        sketch.crowns(),
                        labels(plan, sketch.crowns(), sketch.sheet(), true),
                        sketch.rotation(),
                        sketch.dots()));
    }

    private static PlanSketch of(
            PlanView plan, Plot plot, Reader say, Set<String> picked, double width, double height) {
        Sheet sheet = Sheet.of(plot, width, height, 34);
        Map<String, Standing> worst = worst(plan);
        boolean many = plan.treeCount() > MANY;
        List<Crown> crowns = plan.evaluation().stands().stream()
                .filter(stand -> !many || picked.contains(stand.id()) || worst.containsKey(stand.id()))
                .limit(MANY)
                .map(stand -> crown(plan, stand, sheet, worst, picked.contains(stand.id())))
                .toList();
        return new PlanSketch(
                sheet,
                sheet.points(plot.corners()),
                GroundDrawing.of(plan, sheet, say),
                crowns,
                labels(plan, crowns, sheet, crowns.size() <= FEW),
                plan.site().where().rotation(),
                many ? GroundDrawing.trees(plan, sheet) : "");
    }

    /** The worst that any room says of each tree itself. */
    private static Map<String, Standing> worst(PlanView plan) {
        Map<String, Standing> worst = new HashMap<>();
        Doubts.of(plan.evaluation()).stream()
                .filter(doubt -> doubt.finding().subject().kind() == Subject.Kind.TREE)
                .forEach(doubt -> doubt.trees()
                        .forEach(tree -> worst.merge(tree, doubt.finding().standing(), Standing::worse)));
        return worst;
    }

    private static Crown crown(PlanView plan, Stand stand, Sheet sheet, Map<String, Standing> worst, boolean on) {
        PlannedTree tree = plan.evaluation().layout().tree(stand.id());
        return new Crown(
                stand.id(),
                stand.title(),
                sheet.at(stand.place()),
                Math.max(LEAST, sheet.size(tree.crown(YEAR_SHOWN)) / 2),
                stand.toPlant() ? "planned" : "standing",
                worst.getOrDefault(stand.id(), Standing.SOUND),
                on);
    }

    private static List<Labels.Label> labels(PlanView plan, List<Crown> crowns, Sheet sheet, boolean all) {
        List<Labels.Wish> wishes = new ArrayList<>();
        List<Envelope> taken = new ArrayList<>();
        for (Crown crown : crowns) {
            Stand stand = plan.evaluation().stand(crown.id()).orElseThrow();
            double x = sheet.x(stand.place().x());
            double y = sheet.y(stand.place().y());
            double r = crown.marked() ? Math.max(PEG, crown.radius()) : crown.radius();
            taken.add(new Envelope(x - r, x + r, y - r, y + r));
            if (wishes.size() < LABELLED && (all || crown.on() || crown.standing() == Standing.STOP)) {
                wishes.add(new Labels.Wish(stand.label(), x, y, r, LETTERS));
            }
        }
        return Labels.place(wishes, taken, sheet.width(), sheet.height());
    }
}
