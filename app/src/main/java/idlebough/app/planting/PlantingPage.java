package idlebough.app.planting;

import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.TreeView;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.Basin;
import idlebough.core.planting.FillBalance;
import idlebough.core.planting.Guard;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.Stake;
import idlebough.core.site.Stand;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the pages of one tree's planting show. */
@Component
class PlantingPage {
    /** How long after planting the drawing may look, weeks: four years. */
    static final int LATEST = 208;

    /** Less fall than that across a hole is no news, m. */
    private static final double FALL = 0.02;

    private final Pages pages;

    PlantingPage(Pages pages) {
        this.pages = pages;
    }

    /** Which moment and side of a tree are looked at. */
    record Look(String tree, int weeks, boolean above) {
        static Look of(String tree, int weeks, boolean above) {
            return new Look(tree, Math.max(0, Math.min(LATEST, weeks)), above);
        }
    }

    /** The whole page of a tree; nothing without one. */
    void show(Model model, PlanView plan, Reader say, Look look) {
        TreeView picked = plan.treeOrFirst(look.tree());
        model.addAttribute("module", "planting");
        live(model, plan, say, look);
        if (picked == null) {
            return;
        }
        model.addAttribute("unionWords", union(picked, say));
        model.addAttribute("soilWords", soilWords(picked));
        pages.about(model, plan, Room.PLANTING, picked.subject());
        model.addAttribute(
                "stoppedBy",
                pages.shown(
                        plan,
                        picked.stops().stream()
                                .filter(stop -> !stop.room().equals(Room.PLANTING.key()))
                                .toList()));
        Stand stand = plan.evaluation().stand(picked.id()).orElseThrow();
        model.addAttribute("parts", WaysController.parts(plan, stand));
        model.addAttribute(
                "asPlanted",
                plan.evaluation().daybook().unions().asPlanted(picked.id()).orElse(null));
        model.addAttribute("wallsAsked", wallsAsked(picked.section()));
    }

    /** Whether the walls of its hole may be polished, so that it is asked for them. */
    static boolean wallsAsked(PlantingSection section) {
        return section.setting().texture().traits().heavy()
                || section.setting().soil().slow();
    }

    /** What follows a drag: figures, findings and the drawing. */
    void live(Model model, PlanView plan, Reader say, Look look) {
        TreeView picked = plan.treeOrFirst(look.tree());
        model.addAttribute("picked", picked);
        model.addAttribute("weeks", look.weeks());
        model.addAttribute("above", look.above());
        if (picked == null) {
            return;
        }
        PlantingSection section = picked.section();
        model.addAttribute("figures", figures(picked));
        model.addAttribute("soilFigures", soil(section));
        model.addAttribute("besideFigures", beside(plan, picked));
        model.addAttribute("steps", plan.evaluation().planting().stepsOf(picked.id()));
        model.addAttribute("turning", section.turning());
        model.addAttribute(
                "drawing", SectionDrawing.of(section, Optional.ofNullable(picked.pit()), look.weeks(), picked));
        model.addAttribute("fromAbove", look.above() ? AboveDrawing.of(section) : null);
        // A drag asks for what the height of one tree changes; the rest is told when it is let go.
        model.addAttribute(
                "about",
                pages.shown(
                        plan,
                        plan.judged(Room.PLANTING).about(picked.subject()).stream()
                                .filter(finding -> !finding.isSound())
                                .toList()));
    }

    private static String union(TreeView tree, Reader say) {
        Double measured = tree.row().nursery().unionAboveFlare();
        if (measured != null) {
            return "Union " + say.fine(measured) + " above the flare, measured on the tree.";
        }
        return tree.toPlant()
                ? "Union not measured yet."
                : "Union " + say.fine(tree.section().setting().tree().union()) + " above the flare, assumed.";
    }

    /** What it stands in; on what it is set only where nothing stops it. */
    private static String soilWords(TreeView tree) {
        if (tree.pit() == null) {
            return "No soil pit: loam is taken.";
        }
        return "Soil of pit " + tree.pit().label()
                + (tree.stops().isEmpty() || tree.footing().raised()
                        ? ", " + tree.footing().words()
                        : "") + ".";
    }

    /** Heights and the hole. */
    static List<Figure> figures(TreeView tree) {
        PlantingSection s = tree.section();
        List<Figure> figures = new ArrayList<>();
        if (s.hasUnion()) {
            figures.add(Figure.of(
                    "union",
                    s.measured() ? "Union above the board, measured" : "Union above the board, planting day",
                    Amount.fine(s.unionToday()),
                    "",
                    s::heightWorking));
            figures.add(new Figure(
                    "settled",
                    Phrase.of("In the end, when it has settled"),
                    Amount.fine(s.unionAtLast()),
                    Phrase.of(
                            "{} to {}",
                            Amount.fine(s.unionToday() - s.settlingHigh().total()),
                            Amount.fine(s.unionToday() - s.settlingLow().total())),
                    s::heightWorking));
        }
        figures.add(Figure.of(
                "flare",
                "Flare above the board",
                Amount.fine(s.raise()),
                s.raise() < 0 ? "below it" : "proud",
                s::raiseWorking));
        s.mound()
                .ifPresent(mound -> figures.add(new Figure(
                        "mound",
                        Phrase.of("Mound, settled; {} at its foot", Amount.metres(mound.base())),
                        Amount.cm(mound.height()),
                        Phrase.of("{} placed", Amount.of(1000 * mound.placed(), Quantity.EARTH)),
                        mound::working)));
        figures.add(Figure.of(
                "depth",
                "Dig depth",
                Amount.cm(s.depth()),
                s.below() > 0.005 ? "yours" : "no deeper",
                s::depthWorking));
        figures.add(new Figure(
                "width",
                Phrase.of("Dig width"),
                Amount.cm(s.width()),
                Phrase.of(
                        "{} × ball",
                        Amount.decimal(s.width() / s.setting().tree().ballDiameter())),
                s::widthWorking));
        if (s.fallAcross() >= FALL) {
            figures.add(new Figure(
                    "low-side",
                    Phrase.of("Board over the ground at the low side"),
                    Amount.cm(s.fallAcross()),
                    Phrase.of("it lies on the high side"),
                    s::fallWorking));
        }
        return figures;
    }

    /** Where the soil goes. */
    private static List<Figure> soil(PlantingSection s) {
        FillBalance balance = s.balance();
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "spoil",
                Phrase.of("Soil out, loose"),
                Amount.litres(balance.out()),
                Phrase.of("{} barrows", Amount.decimal(s.barrows())),
                balance::working));
        figures.add(new Figure(
                "back", Phrase.of("goes back"), Amount.litres(balance.back()), Phrase.of(""), balance::working));
        if (balance.carted() >= 0.5) {
            figures.add(new Figure(
                    "carted",
                    Phrase.of("carted off, or composted"),
                    Amount.litres(balance.carted()),
                    Phrase.of(""),
                    balance::working));
        }
        figures.add(new Figure(
                "left",
                Phrase.of("left beside it"),
                Amount.litres(balance.left()),
                Phrase.of("ring, low spots"),
                balance::working));
        if (balance.fetched() >= 0.5) {
            figures.add(new Figure(
                    "fetched",
                    Phrase.of("to fetch: soil"),
                    Amount.litres(balance.fetched()),
                    Phrase.of("for the sod, the rim"),
                    balance::working));
        }
        figures.add(Figure.of("compost", "Compost", Amount.litres(s.compost()), "in the hole", s::compostWorking));
        return figures;
    }

    /** What stands and lies beside the tree, and what is lifted. */
    static List<Figure> beside(PlanView plan, TreeView tree) {
        PlantingSection s = tree.section();
        List<Figure> figures = new ArrayList<>();
        s.stake().ifPresent(stake -> figures.add(stake(stake)));
        s.basin().ifPresent(basin -> figures.add(basin(basin)));
        if (s.mesh() > 0) {
            figures.add(new Figure(
                    "mesh",
                    Phrase.of("Mesh round the wall, {} deep", Amount.cm(0.23)),
                    Amount.metres(s.mesh()),
                    Phrase.of("opening {} at most", Amount.of(s.meshOpening(), Quantity.FINE_LENGTH)),
                    s::meshWorking));
        }
        s.guard().ifPresent(guard -> figures.add(guard(guard)));
        plan.evaluation()
                .planting()
                .screenOf(tree.id())
                .ifPresent(screen -> figures.add(new Figure(
                        "screen",
                        Phrase.of("Shade screen of 50 %, open to the east"),
                        Amount.of(screen.area(), Quantity.AREA),
                        Phrase.of("{} high", Amount.metres(screen.height())),
                        screen::working)));
        figures.add(new Figure(
                "mulch",
                Phrase.of(
                        "Mulch ring {}, {} deep, {} clear",
                        Amount.cm(s.mulchRing()),
                        Amount.cm(s.mulchDepth()),
                        Amount.cm(s.mulchClear())),
                Amount.litres(s.mulchLitres()),
                Phrase.of("coarse"),
                s::mulchWorking));
        FirstSeason season = plan.evaluation().water().seasonOf(tree.id());
        figures.add(Figure.of(
                "water-in", "Water in, slowly", Amount.litres(season.wateringIn()), "even in rain", season::working));
        figures.add(Figure.of(
                "lift",
                "To lift",
                Amount.of(s.setting().tree().weight(), Quantity.MASS),
                s.lift().words(),
                s::liftWorking));
        LocalDate day = plan.rows().settings().plantingDate();
        plan.evaluation()
                .planting()
                .seasonOf(tree.id())
                .ifPresent(when -> when.soil(day)
                        .ifPresent(soil -> figures.add(new Figure(
                                "soil-warmth",
                                Phrase.of("Soil on planting day, a spade deep"),
                                Amount.of(soil, Quantity.TEMPERATURE),
                                Phrase.of("± {}", Amount.of(2, Quantity.TEMPERATURE_STEP)),
                                () -> when.soilWorking(day)))));
        return figures;
    }

    private static Figure stake(Stake stake) {
        return new Figure(
                "stake",
                stake.count() == 1 ? Phrase.of("Stake") : Phrase.of("{} stakes, each", Amount.count(stake.count())),
                Amount.metres(stake.length()),
                Phrase.of("{} in the ground", Amount.cm(stake.buried())),
                stake::working);
    }

    private static Figure guard(Guard guard) {
        return new Figure(
                "guard",
                guard.posts() == 0
                        ? Phrase.of("Guard of mesh, {} wide from the roll", Amount.cm(guard.roll()))
                        : Phrase.of(
                                "Guard of mesh, {} wide from the roll, {} posts",
                                Amount.cm(guard.roll()),
                                Amount.count(guard.posts())),
                Amount.metres(guard.length()),
                Phrase.of("{} high", Amount.metres(guard.height())),
                guard::working);
    }

    private static Figure basin(Basin basin) {
        return new Figure(
                "basin",
                Phrase.of("Basin: {}", basin.kind().words()),
                Amount.litres(basin.holds()),
                Phrase.of("held"),
                basin::working);
    }
}
