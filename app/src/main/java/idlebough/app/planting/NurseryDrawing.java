package idlebough.app.planting;

import idlebough.app.tree.Leaf;
import idlebough.app.tree.Plate;
import idlebough.app.tree.TreeFigure;
import idlebough.app.tree.TreeForm;
import idlebough.app.web.Svg;
import idlebough.app.web.TreeView;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import java.util.Optional;

/**
 * A tree as it comes, beside a person, to scale; page units. Ball, stem and union are as measured; its height is
 * as it was measured on arrival, else as is usual.
 *
 * @param union measure from flare to union; empty on own roots
 * @param wide and deep: measures of the ball or the roots
 * @param pointers to what is looked at on arrival
 */
public record NurseryDrawing(
        Plate person, Plate tree, Optional<Measure> union, Measure wide, Measure deep, Pointers pointers) {
    private static final double SCALE = 225;
    private static final double GROUND = 470;
    private static final double PERSON = 170;
    private static final double TREE = 430;
    private static final double WIDE = 0.8;

    /** Lines from the parts of the tree to what is asked of them, and how high each is. */
    public record Pointers(String path, double tip, double middle, double union, double roots) {
        private static final double WORDS = 590;

        static Pointers of(double height, double union, double deep) {
            double tip = GROUND - height;
            double middle = GROUND - height / 2;
            double join = GROUND - union;
            double roots = GROUND + deep / 2;
            return new Pointers(
                    Svg.path(
                            "M# #H#M# #H#M# #H#M# #H#",
                            TREE + 12,
                            tip,
                            WORDS,
                            TREE + 70,
                            middle,
                            WORDS,
                            TREE + 10,
                            join,
                            WORDS,
                            TREE + 60,
                            roots,
                            WORDS),
                    tip,
                    middle,
                    join,
                    roots);
        }
    }

    /** A measure with its ends, and where its words stand. */
    public record Measure(String path, double x, double y, double metres) {}

    /** The tree as it comes: its own kind, as tall as it was measured or as such trees usually are. */
    static TreeFigure figure(TreeView tree) {
        return figure(tree, 1);
    }

    /** @param deep how far its roots are drawn down, a share of what they are */
    static TreeFigure figure(TreeView tree, double deep) {
        NurseryTree comes = tree.nursery();
        Crop crop = tree.variety().crop();
        boolean grafted = tree.stock() != null && !tree.stock().ownRooted();
        return new TreeFigure(
                form(crop, comes.form()),
                Leaf.of(crop),
                1,
                new TreeFigure.Size(comes.height(), WIDE * Math.min(1, comes.height()), comes.stem()),
                grafted ? new TreeFigure.Union(comes.union(), 1) : TreeFigure.Union.NONE,
                new TreeFigure.Below(roots(comes.form()), comes.ballDiameter(), deep * comes.ballHeight()),
                comes.form() == Form.BARE,
                3);
    }

    static NurseryDrawing of(TreeView tree) {
        NurseryTree comes = tree.nursery();
        boolean grafted = tree.stock() != null && !tree.stock().ownRooted();
        double half = comes.ballDiameter() / 2 * SCALE;
        double deep = comes.ballHeight() * SCALE;
        double up = comes.union() * SCALE;
        double beside = TREE + Math.max(half, WIDE / 2 * SCALE) + 24;
        TreeFigure figure = figure(tree);
        return new NurseryDrawing(
                Plate.person(PERSON, GROUND, SCALE),
                Plate.of(figure, TREE, GROUND, SCALE),
                grafted ? Optional.of(upright(beside, GROUND - up, GROUND, comes.union())) : Optional.empty(),
                new Measure(
                        Svg.path(
                                "M# #v12M# #H#M# #v12",
                                TREE - half,
                                GROUND + deep + 14,
                                TREE - half,
                                GROUND + deep + 20,
                                TREE + half,
                                TREE + half,
                                GROUND + deep + 14),
                        TREE,
                        GROUND + deep + 42,
                        comes.ballDiameter()),
                upright(beside, GROUND, GROUND + deep, comes.ballHeight()),
                Pointers.of(comes.height() * SCALE, up, deep));
    }

    private static Measure upright(double x, double top, double low, double metres) {
        return new Measure(
                Svg.path("M# #h12M# #V#M# #h12", x - 6, top, x, top, low, x - 6, low),
                x + 14,
                (top + low) / 2 + 5,
                metres);
    }

    private static TreeForm form(Crop crop, Form comes) {
        TreeForm grown = TreeForm.of(crop, 1);
        boolean own = grown == TreeForm.ROUND || grown == TreeForm.WEEPING || grown == TreeForm.STOOL;
        return own ? grown : comes == Form.BARE ? TreeForm.MAIDEN : TreeForm.HEADED;
    }

    private static TreeFigure.Roots roots(Form comes) {
        return switch (comes) {
            case BARE -> TreeFigure.Roots.BARE;
            case CONTAINER -> TreeFigure.Roots.POT;
            case FIELD -> TreeFigure.Roots.BURLAP;
        };
    }
}
