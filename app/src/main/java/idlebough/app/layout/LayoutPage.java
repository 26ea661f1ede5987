package idlebough.app.layout;

import idlebough.app.store.SettingsRow;
import idlebough.app.web.Fields;
import idlebough.app.web.GroundDrawing;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.app.web.TreeView;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Cropping;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.layout.BaseLine;
import idlebough.core.layout.Crowns;
import idlebough.core.layout.PlanYears;
import idlebough.core.layout.PlanYield;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.layout.Tally;
import idlebough.core.layout.TwoTapes;
import idlebough.core.measure.Quantity;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.rootstock.TreeSizes;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Shelter;
import idlebough.core.site.Site;
import idlebough.core.site.Stand;
import idlebough.core.site.SunHours;
import idlebough.core.variety.Choice;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The layout page as its controllers show it: the plan, what is picked, what is wanted and placed. */
@Component
class LayoutPage {
    static final double WIDTH = 726;
    static final double HEIGHT = 660;
    static final int LAST_YEAR = 25;
    static final String FIRST_YEAR_SHOWN = "7";
    /** So many trees are looked at whole while one is dragged. */
    private static final int FEW = 300;

    /** More trees than this are counted. */
    private static final int MANY = 6;

    private static final Set<Feature.Kind> ALONG = EnumSet.of(
            Feature.Kind.WALL, Feature.Kind.FENCE, Feature.Kind.HEDGE, Feature.Kind.PATH, Feature.Kind.BUILDING);
    private final Pages pages;

    LayoutPage(Pages pages) {
        this.pages = pages;
    }

    /** What a page is asked to show beside the plan. */
    record Look(String tree, int year, List<Point> ghosts) {
        static final Look FIRST = new Look(null, Integer.parseInt(FIRST_YEAR_SHOWN), List.of());

        static Look of(String tree, int year) {
            return new Look(tree, Math.max(0, Math.min(LAST_YEAR, year)), List.of());
        }
    }

    /** What is wanted of a choice. */
    record Wanted(Tally tally, String words, String label) {
        public int placed() {
            return tally.placed();
        }

        public int missing() {
            return tally.missing();
        }

        public Choice choice() {
            return tally.choice();
        }
    }

    /** The whole page; fields are those of its forms. */
    void show(Model model, PlanView plan, Reader say, Look look, Fields fields) {
        model.addAttribute("shaded", false);
        live(model, plan, say, look, false);
        TreeView picked = (TreeView) model.getAttribute("picked");
        if (plan.plot() != null) {
            Sheet sheet = Sheet.of(plan.plot(), WIDTH, HEIGHT);
            model.addAttribute("marks", GroundDrawing.of(plan, sheet, say));
            model.addAttribute("drawing", LayoutDrawing.of(plan, sheet, picked, look.year()));
            model.addAttribute(
                    "ghosts",
                    look.ghosts().stream()
                            .map(at -> Svg.translate(sheet.x(at.x()), sheet.y(at.y())))
                            .toList());
        }
        model.addAttribute("inRow", spacing(plan, say));
        model.addAttribute("patterns", RowFill.Pattern.values());
        model.addAttribute("mixings", PlotFill.Mixing.values());
        model.addAttribute("alongs", alongs(plan));
        List<Wanted> wanted = wanted(plan);
        model.addAttribute("wanted", wanted);
        model.addAttribute(
                "open", wanted.stream().filter(each -> each.missing() != 0).toList());
        fill(plan, picked, fields);
        model.addAttribute("fields", fields);
    }

    /** What the forms hold where nothing was typed. */
    private static void fill(PlanView plan, TreeView picked, Fields fields) {
        SettingsRow.RowsOfTrees rows = plan.rows().settings().rows();
        Fields usual = Fields.blank(fields.display())
                .put("pattern", rows.pattern())
                .put("margin", rows.margin(), Quantity.LENGTH)
                .put("alley", rows.alley(), Quantity.LENGTH)
                .put("bearing", rows.bearing(), Quantity.BEARING);
        List<String> names = new ArrayList<>(List.of("pattern", "margin", "alley", "bearing"));
        if (picked != null && plan.plot() != null) {
            place(usual, plan, picked).put("tag", picked.label());
            names.addAll(List.of("tag", "toEast", "toNorth"));
        }
        names.stream().filter(name -> !fields.typed(name)).forEach(name -> fields.put(name, usual.value(name)));
    }

    /** East and north of P of a tree, as they stand in its form. */
    static Fields place(Fields fields, PlanView plan, TreeView tree) {
        Point p = BaseLine.of(plan.plot()).p();
        Point at = tree.planned().place();
        return fields.put("toEast", at.x() - p.x(), Quantity.TAPE).put("toNorth", at.y() - p.y(), Quantity.TAPE);
    }

    private static List<Feature> alongs(PlanView plan) {
        return plan.terrain().site().features().stream()
                .filter(feature -> ALONG.contains(feature.kind()))
                .toList();
    }

    private static List<Wanted> wanted(PlanView plan) {
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        return Tally.of(
                        plan.evaluation().varieties().choices(),
                        plan.evaluation().stands())
                .stream()
                .map(tally -> new Wanted(
                        tally,
                        words(catalogue, tally.choice()),
                        catalogue.variety(tally.choice().variety()).name()))
                .toList();
    }

    private static String words(Catalogue catalogue, Choice choice) {
        return catalogue.variety(choice.variety()).label()
                + choice.stock()
                        .flatMap(catalogue::findRootstock)
                        .map(stock -> " on " + stock.name())
                        .orElse("");
    }

    private static String spacing(PlanView plan, Reader say) {
        DoubleSummaryStatistics widths = PlotFill.inRow(
                plan.evaluation().varieties().choices(), plan.evaluation().rootstocks());
        String own = widths.getCount() == 0
                ? ""
                : "Each variety stands at its own width, "
                        + (widths.getMax() - widths.getMin() < 0.05
                                ? say.length(widths.getMax())
                                : say.length(widths.getMin()) + " to " + say.length(widths.getMax()))
                        + ". ";
        return own + "Trees that have a place keep it.";
    }

    /** The left page: what follows a drag. */
    void live(Model model, PlanView plan, Reader say, Look look, boolean dragged) {
        // Of a large grove a drag asks for what one tree's place changes; the rest is told when it is let go.
        boolean whole = !dragged || plan.treeCount() <= FEW;
        String tree = look.tree();
        int year = look.year();
        Plot plot = plan.plot();
        TreeView picked = plan.treeOrFirst(tree);
        model.addAttribute("plot", plot);
        model.addAttribute("sheet", plot == null ? null : Sheet.of(plot, WIDTH, HEIGHT));
        model.addAttribute("year", year);
        if (whole) {
            throughYears(model, plan, year);
        }
        model.addAttribute("picked", picked);
        model.addAttribute("doubts", plan.doubts(Room.LAYOUT).size());
        model.addAttribute("spoken", spoken(plan, say, picked));
        if (plot != null && picked != null) {
            model.addAttribute("figures", figures(plan, picked, year));
            pages.about(model, plan, Room.LAYOUT, picked.subject());
            model.addAttribute("about", pages.shown(plan, ofPlace(plan, picked, whole)));
        }
    }

    /** What the years do to the whole plan. */
    private static void throughYears(Model model, PlanView plan, int year) {
        List<Stand> stands = plan.evaluation().stands();
        PlanYield brings = PlanYield.of(stands, plan.evaluation().layout(), year);
        PlanYears years = PlanYears.of(stands, plan.evaluation().layout(), year);
        List<Figure> figures = new ArrayList<>();
        if (brings.full() > 0) {
            figures.add(new Figure(
                    "plan-brings",
                    Phrase.of("The plan brings in year {}", Amount.count(year)),
                    Amount.of(brings.inYear(), Quantity.MASS),
                    Phrase.of("at full crop {}", Amount.of(brings.full(), Quantity.MASS)),
                    brings::working));
        }
        if (plan.plot() != null && years.covered() > 0) {
            double ground = plan.plot().area();
            figures.add(new Figure(
                    "plan-open",
                    Phrase.of("Open ground between the crowns"),
                    Amount.of(Math.max(0, ground - years.covered()), Quantity.AREA),
                    Phrase.of("for vegetables"),
                    () -> years.openWorking(ground)));
        }
        model.addAttribute("planFigures", figures);
        model.addAttribute("throughYears", told(years));
    }

    /** What happens in the years, in sentences. */
    private static List<String> told(PlanYears years) {
        List<String> told = new ArrayList<>();
        if (!years.closed().isEmpty()) {
            PlanYears.Gap first = years.closed().get(0);
            told.add(
                    (years.closed().size() == 1 ? "One gap has" : years.closed().size() + " gaps have")
                            + " closed by then, the first between " + first.a().label() + " and "
                            + first.b().label()
                            + " in year " + (int) Math.ceil(first.year()) + ".");
        }
        if (!years.gone().isEmpty()) {
            told.add("Fillers that are out by then: " + labels(years.gone()) + ".");
        }
        if (!years.old().isEmpty()) {
            told.add("Past the years for which such trees are kept: "
                    + labels(years.old().stream().map(PlanYears.Old::tree).toList()) + ". Plan what follows them.");
        }
        return told;
    }

    private static String labels(List<PlannedTree> trees) {
        return trees.stream().limit(MANY).map(PlannedTree::label).collect(Collectors.joining(", "))
                + (trees.size() > MANY ? " and " + (trees.size() - MANY) + " more" : "");
    }

    /** What speaks against the place, whatever room says it. */
    private static List<Finding> ofPlace(PlanView plan, TreeView picked, boolean whole) {
        return Stream.of(Room.LAYOUT, Room.SITE, Room.ROOTSTOCK)
                .filter(room -> whole || room == Room.LAYOUT)
                .flatMap(room -> plan.judged(room).about(picked.subject()).stream())
                .filter(finding -> !finding.isSound())
                .toList();
    }

    /** Where it stands, said after a move. */
    private static String spoken(PlanView plan, Reader say, TreeView picked) {
        if (picked == null || plan.plot() == null) {
            return "";
        }
        Point p = BaseLine.of(plan.plot()).p();
        Point at = picked.planned().place();
        return picked.label() + " stands " + say.tape(at.x() - p.x()) + " east and " + say.tape(at.y() - p.y())
                + " north of P.";
    }

    private static List<Figure> figures(PlanView plan, TreeView picked, int year) {
        BaseLine base = BaseLine.of(plan.plot());
        TwoTapes tapes = base.tapes(picked.planned().place());
        PlannedTree tree = picked.planned();
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "tapes-p",
                Phrase.of("{}: tape from P", picked.label()),
                Amount.of(tapes.fromP(), Quantity.TAPE),
                Phrase.of("± {}", Amount.fine(tapes.expectedError())),
                () -> tapes.working(base.length())));
        figures.add(new Figure(
                "tapes-q",
                Phrase.of("tape from Q"),
                Amount.of(tapes.fromQ(), Quantity.TAPE),
                Phrase.of(tapes.good() ? "good angle" : "weak angle"),
                () -> tapes.working(base.length())));
        figures.add(new Figure(
                "place",
                Phrase.of("East of P"),
                Amount.of(tree.place().x() - base.p().x(), Quantity.TAPE),
                Phrase.of("{} north", Amount.of(tree.place().y() - base.p().y(), Quantity.TAPE)),
                null));
        figures.add(new Figure(
                "crown",
                Phrase.of("Crown in year {}", Amount.count(year)),
                Amount.metres(tree.crown(year)),
                Phrase.of("full {}", Amount.metres(tree.size().spread())),
                () -> picked.stock() == null
                        ? null
                        : TreeSize.working(
                                picked.variety(),
                                picked.stock(),
                                TreeSizes.habit(
                                        plan.evaluation().stand(picked.id()).orElseThrow(),
                                        plan.evaluation().varieties().choices(),
                                        plan.evaluation().site()))));
        Cropping.of(picked.variety().crop(), Optional.ofNullable(picked.stock()))
                .ifPresent(brings -> figures.add(new Figure(
                        "crops",
                        Phrase.of("Brings in year {}", Amount.count(year)),
                        Amount.of(brings.in(tree.age() + year), Quantity.MASS),
                        Phrase.of(
                                "first {}, full {}, kept to {}",
                                Amount.count(brings.first()),
                                Amount.count(brings.full()),
                                Amount.count(brings.life().high())),
                        brings::working)));
        plan.evaluation()
                .layout()
                .nearest(tree)
                .ifPresent(other -> figures.add(new Figure(
                        "room",
                        Phrase.of("Left to {} when both are full grown", other.label()),
                        Amount.metres(Crowns.room(tree, other)),
                        meets(Crowns.yearOfTouch(tree, other)),
                        () -> Crowns.roomWorking(tree, other))));
        figures.add(new Figure(
                "edge",
                Phrase.of("To the boundary"),
                Amount.metres(plan.plot().distanceToBoundary(tree.place())),
                Phrase.of(""),
                () -> Crowns.edgeWorking(plan.plot(), tree)));
        place(figures, plan, picked);
        return figures;
    }

    /** What the place gives it: sun, water that gets away, partners in reach. */
    private static void place(List<Figure> figures, PlanView plan, TreeView picked) {
        SunHours sun = plan.evaluation().site().sunOf(picked.id());
        figures.add(new Figure(
                "sun",
                Phrase.of("Sun a day while in leaf"),
                Amount.of(sun.season(), Quantity.HOURS),
                Phrase.of("{} after noon", Amount.of(sun.afternoon(), Quantity.HOURS)),
                sun::working));
        Optional.ofNullable(picked.pit())
                .flatMap(pit -> pit.rate()
                        .map(rate -> new Figure(
                                "drains",
                                Phrase.of("Its soil, pit {}, drains", pit.label()),
                                Amount.of(rate.normalisedMmPerHour(), Quantity.DRAINAGE),
                                Phrase.of(""),
                                rate::working)))
                .ifPresent(figures::add);
        Site site = plan.terrain().site();
        site.winds()
                .storm()
                .map(from -> new Shelter(site.features(), from, site.location().rotation()))
                .ifPresent(shelter -> {
                    Point at = picked.planned().place();
                    double left = shelter.at(at);
                    figures.add(new Figure(
                            "wind",
                            Phrase.of("Storm wind that reaches it"),
                            Amount.of(100 * left, Quantity.PERCENT),
                            Phrase.of(left <= Shelter.SHELTERED ? "sheltered" : "open: fruit drops, twigs rub"),
                            () -> shelter.workingAt(at)));
                });
        if (picked.variety().selfFruitful() < 1) {
            Optional.ofNullable(
                            plan.evaluation().partners().web().neighbourhoods().get(picked.id()))
                    .ifPresent(around -> figures.add(new Figure(
                            "partners",
                            Phrase.of("Partners that give to it"),
                            Amount.count(around.giving().size()),
                            around.nearestServing()
                                    .map(link -> Phrase.of(
                                            "nearest {} away",
                                            Amount.metres(link.score().apart())))
                                    .orElse(Phrase.of("none in reach")),
                            () -> plan.evaluation().partners().web().setWorking(around.tree()))));
        }
    }

    private static Phrase meets(double year) {
        return Double.isInfinite(year)
                ? Phrase.of("never meet")
                : Phrase.of("meet in year {}", Amount.count(Math.ceil(year)));
    }
}
