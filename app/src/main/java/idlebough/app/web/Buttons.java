package idlebough.app.web;

import idlebough.app.store.TreeRow;
import idlebough.core.daybook.DaybookRemedy;
import idlebough.core.irrigation.IrrigationRemedy;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Subject;
import idlebough.core.layout.LayoutRemedy;
import idlebough.core.planting.PlantingRemedy;
import idlebough.core.pollination.PartnerRemedy;
import idlebough.core.rootstock.RootstockRemedy;
import idlebough.core.site.Point;
import idlebough.core.site.SiteRemedy;
import idlebough.core.variety.VarietyRemedy;
import idlebough.core.winter.WinterRemedy;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Turns the core's remedies into buttons that act in this orchard. What cannot act here is not shown. */
public final class Buttons {
    private static final int MOST = 3;
    private final PlanView plan;
    private final String base;
    private final Map<Class<? extends Remedy>, Function<Remedy, Optional<Button>>> kinds = new LinkedHashMap<>();

    /** @param post whether it changes something, or only leads there */
    public record Button(Phrase label, boolean post, String url, Map<String, String> fields) {}

    public Buttons(PlanView plan) {
        this.plan = plan;
        this.base = "/orchards/" + plan.head().id();
        on(Remedy.TakeWay.class, this::takeWay);
        on(SiteRemedy.SetOnFooting.class, this::setOnFooting);
        on(SiteRemedy.EnterTest.class, r -> leads(r, "/site/pits/" + r.pit()));
        on(SiteRemedy.SeeAnswers.class, r -> leads(r, "/site/pits/" + r.pit() + "/answers?crop=" + r.crop()));
        on(SiteRemedy.SeeLayer.class, r -> leads(r, "/site?layer=" + r.layer().key()));
        on(SiteRemedy.DigPit.class, r -> leads(r, "/site/pits/new?x=" + x(r.place()) + "&y=" + y(r.place())));
        on(WinterRemedy.LoadRecord.class, r -> leads(r, "/winters/load"));
        on(
                WinterRemedy.CountIn.class,
                r -> does(r, "/winters", Map.of("chill", r.model().name())));
        on(VarietyRemedy.GrowInPot.class, r -> does(r, "/varieties/" + r.variety() + "/pot", Map.of("on", "true")));
        on(VarietyRemedy.SeeOthers.class, r -> leads(r, "/varieties?crop=" + r.crop()));
        on(VarietyRemedy.SeeSprings.class, r -> leads(r, "/winters/springs?variety=" + r.variety()));
        on(
                PartnerRemedy.SeeMending.class,
                r -> leads(r, "/partners?mend&tree=" + r.tree().id()));
        on(RootstockRemedy.SeeStocks.class, r -> leads(r, "/rootstocks" + choice(r.of())));
        on(
                RootstockRemedy.TakeStock.class,
                r -> does(r, "/rootstocks", Map.of("choice", r.choice(), "stock", r.stock())));
        on(
                LayoutRemedy.MoveTree.class,
                r -> does(r, "/layout/move", Map.of("tree", r.tree(), "x", x(r.to()), "y", y(r.to()))));
        on(LayoutRemedy.LetStay.class, r -> does(r, "/layout/filler", Map.of("tree", r.tree(), "on", "false")));
        on(LayoutRemedy.SeePeg.class, r -> leads(r, "/layout/pegs#peg-" + r.tree()));
        on(IrrigationRemedy.ChooseDate.class, r -> leads(r, "/almanac#planting-date"));
        on(PlantingRemedy.ChooseDate.class, r -> leads(r, "/almanac#planting-date"));
        on(
                PlantingRemedy.SetDate.class,
                r -> does(r, "/almanac", Map.of("plantingDate", r.day().toString())));
        on(PlantingRemedy.LookAgain.class, r -> leads(r, "/planting/" + r.tree() + "/arrival"));
        on(PlantingRemedy.EnterTree.class, r -> leads(r, "/planting/" + r.tree()));
        on(PlantingRemedy.TakeHole.class, r -> does(r, "/planting/" + r.tree() + "/hole", Map.of()));
        on(PlantingRemedy.MeasureAgain.class, r -> leads(r, "/planting?tree=" + r.tree() + "#as-planted"));
        on(DaybookRemedy.MeasureUnion.class, r -> leads(r, "/daybook?tree=" + r.tree() + "#measure"));
    }

    private <R extends Remedy> void on(Class<R> kind, Function<R, Optional<Button>> button) {
        kinds.put(kind, remedy -> button.apply(kind.cast(remedy)));
    }

    /** Whether this program knows what to do about a kind of remedy. */
    public boolean knows(Class<?> kind) {
        return kinds.containsKey(kind);
    }

    /** At most three, the best first. */
    public List<Button> of(Finding finding) {
        return finding.remedies().stream()
                .flatMap(remedy ->
                        Stream.ofNullable(kinds.get(remedy.getClass())).map(to -> to.apply(remedy)))
                .flatMap(Optional::stream)
                .limit(MOST)
                .toList();
    }

    private Optional<Button> does(Remedy remedy, String path, Map<String, String> fields) {
        return Optional.of(new Button(remedy.label(), true, base + path, fields));
    }

    private Optional<Button> leads(Remedy remedy, String path) {
        return Optional.of(new Button(remedy.label(), false, base + path, Map.of()));
    }

    private Optional<Button> takeWay(Remedy.TakeWay remedy) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("way", remedy.way().key());
        fields.put("choice", remedy.school());
        remedy.tree().ifPresent(tree -> fields.put("tree", tree));
        return does(remedy, "/ways", fields);
    }

    private Optional<Button> setOnFooting(SiteRemedy.SetOnFooting remedy) {
        return plan.toPlant(remedy.pit(), remedy.crop()).isEmpty()
                ? Optional.empty()
                : does(
                        remedy,
                        "/planting/footing",
                        Map.of(
                                "pit", remedy.pit(),
                                "crop", remedy.crop(),
                                "footing", remedy.footing().name()));
    }

    /** The choice that is meant by a choice itself, or by a tree of it. */
    private String choice(Subject of) {
        Optional<String> choice = of.kind() == Subject.Kind.CHOICE
                ? Optional.of(of.id())
                : plan.rows().tree(of.id()).map(TreeRow::choiceId);
        return choice.filter(id -> plan.rows().choice(id).isPresent())
                .map(id -> "?choice=" + id)
                .orElse("");
    }

    private static String x(Point place) {
        return String.format(Locale.ROOT, "%.3f", place.x());
    }

    private static String y(Point place) {
        return String.format(Locale.ROOT, "%.3f", place.y());
    }
}
