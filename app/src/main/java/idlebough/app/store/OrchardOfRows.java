package idlebough.app.store;

import idlebough.core.almanac.Gates;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Ways;
import idlebough.core.layout.PegCheck;
import idlebough.core.orchard.Orchard;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.planting.Unions;
import idlebough.core.site.Footing;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Tree;
import idlebough.core.variety.BloomSeen;
import idlebough.core.variety.Choice;
import idlebough.core.winter.Weather;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Stored rows as the core's inputs. */
public final class OrchardOfRows {
    private OrchardOfRows() {}

    public static Orchard of(Rows rows, Weather weather) {
        return new Orchard(
                site(rows),
                weather,
                catalogue(rows),
                rows.choices().stream().map(OrchardOfRows::choice).toList(),
                trees(rows),
                ways(rows.ways()),
                new Orchard.Settings(
                        rows.settings().plantingDate(),
                        rows.settings().chillModel(),
                        new Gates.Order(
                                Optional.ofNullable(rows.settings().order().orderCloses()),
                                Optional.ofNullable(rows.settings().order().orderSent())),
                        Optional.ofNullable(rows.settings().rows().bearing())),
                observations(rows));
    }

    private static Site site(Rows rows) {
        SiteRow row = rows.site();
        String corners = row.boundary().corners();
        SiteRow.Fall fall = row.fall();
        return new Site(
                new Site.Location(row.where().latitude(), row.where().rotation()),
                new Site.Winds(
                        Optional.ofNullable(row.winds().prevailingWind()),
                        Optional.ofNullable(row.winds().stormWind())),
                corners.isBlank() ? Optional.empty() : Optional.of(Plot.of(SiteText.points(corners))),
                fall.slope() == null || fall.aspect() == null
                        ? Optional.empty()
                        : Optional.of(new Site.Fall(fall.slope(), fall.aspect())),
                rows.features().stream().map(FeatureRow::feature).toList(),
                rows.pits().stream()
                        .map(pit -> pit(pit, rows.testsOf(pit.id())))
                        .toList(),
                Optional.ofNullable(row.water().waterSalt()));
    }

    /** A stored pit with its tests. */
    public static SoilPit pit(PitRow row, List<TestRow> tests) {
        return new SoilPit(
                row.id(),
                row.label(),
                new Point(row.place().x(), row.place().y()),
                row.soil().texture(),
                row.soil().topsoil(),
                tests.stream().map(TestRow::test).toList(),
                new SoilPit.Profile(
                        SiteText.layers(row.soil().layers()),
                        Optional.ofNullable(row.soil().pan()),
                        Optional.ofNullable(row.water().mottles()),
                        Optional.ofNullable(row.water().waterAt()),
                        Optional.ofNullable(row.seen().bottom()),
                        row.seen().worms(),
                        new SoilPit.History(
                                Optional.ofNullable(row.before().beforeKind()),
                                Optional.ofNullable(row.before().yearsSince()),
                                row.before().died())),
                new SoilPit.Analysis(
                        Optional.ofNullable(row.chemistry().ph()),
                        Optional.ofNullable(row.chemistry().salt()),
                        Optional.ofNullable(row.chemistry().organic()),
                        row.chemistry().fizzes()));
    }

    private static Catalogue catalogue(Rows rows) {
        Map<String, Double> own = new HashMap<>();
        rows.ownFigures().forEach(figure -> own.put(figure.varietyKey(), figure.chillNeed()));
        return Catalogue.with(
                own, rows.ownEntries().stream().map(OwnEntryRow::entry).toList());
    }

    private static Choice choice(ChoiceRow row) {
        return new Choice(
                row.id(),
                row.varietyKey(),
                Optional.ofNullable(row.rootstockKey()),
                row.wanted(),
                row.inPot(),
                Optional.ofNullable(row.training()));
    }

    /** Trees that have a peg, in the order of the pegs. */
    private static List<Tree> trees(Rows rows) {
        Map<String, List<TreeRow>> byPeg = new HashMap<>();
        rows.trees()
                .forEach(tree -> byPeg.computeIfAbsent(tree.pegId(), peg -> new ArrayList<>())
                        .add(tree));
        Map<String, Arrival> arrivals = new HashMap<>();
        rows.arrivals().forEach(arrival -> arrivals.put(arrival.treeId(), arrival.arrival()));
        List<Tree> trees = new ArrayList<>();
        for (PegRow peg : rows.pegs()) {
            byPeg.getOrDefault(peg.id(), List.of())
                    .forEach(tree -> trees.add(tree(tree, peg, arrivals.getOrDefault(tree.id(), Arrival.NOT_SEEN))));
        }
        return trees;
    }

    private static Tree tree(TreeRow row, PegRow peg, Arrival arrival) {
        TreeRow.Nursery nursery = row.nursery();
        return new Tree(
                row.id(),
                peg.label(),
                new Point(peg.x(), peg.y()),
                new Tree.Kind(
                        row.what().varietyKey(),
                        Optional.ofNullable(row.what().rootstockKey()),
                        row.what().branches()),
                new NurseryTree(
                        nursery.form(),
                        nursery.ballDiameter(),
                        nursery.ballHeight(),
                        Optional.ofNullable(nursery.unionAboveFlare()),
                        nursery.stem(),
                        arrival),
                new Tree.Ground(row.footing() == null ? Footing.GRADE : row.footing(), hole(row.hole())),
                new Tree.Life(
                        row.life().state(),
                        Optional.ofNullable(row.life().plantedOn()),
                        row.life().filler()),
                Optional.ofNullable(row.choiceId()));
    }

    private static Tree.Hole hole(TreeRow.Hole own) {
        return own == null
                ? Tree.Hole.PROPOSED
                : new Tree.Hole(
                        Optional.ofNullable(own.holeDepth()),
                        Optional.ofNullable(own.holeWidth()),
                        Optional.ofNullable(own.holeBottom()),
                        Optional.ofNullable(own.holeRefill()),
                        Optional.ofNullable(own.holeRaise()),
                        Optional.ofNullable(own.holeClear()),
                        own.holeFilled() == null ? Tree.Filled.BY_THE_WAYS : own.holeFilled());
    }

    private static Ways ways(List<WayRow> rows) {
        Map<String, String> ofOrchard = new HashMap<>();
        Map<String, Map<String, String>> ofCrops = new HashMap<>();
        Map<String, Map<String, String>> ofTrees = new HashMap<>();
        for (WayRow row : rows) {
            Map<String, String> of = row.treeId() != null
                    ? ofTrees.computeIfAbsent(row.treeId(), tree -> new HashMap<>())
                    : row.cropKey() != null
                            ? ofCrops.computeIfAbsent(row.cropKey(), crop -> new HashMap<>())
                            : ofOrchard;
            of.put(row.wayKey(), row.choice());
        }
        return new Ways(ofOrchard, ofCrops, ofTrees);
    }

    private static Orchard.Observations observations(Rows rows) {
        return new Orchard.Observations(
                rows.blooms().stream()
                        .map(bloom -> new BloomSeen(bloom.varietyKey(), bloom.seenOn()))
                        .toList(),
                new Unions(rows.measures().stream()
                        .map(m -> new UnionMeasure(
                                m.treeId(),
                                m.measuredOn(),
                                m.height(),
                                m.kind(),
                                m.beside().seen()))
                        .toList()),
                rows.notes().size(),
                rows.done().stream()
                        .collect(Collectors.toMap(DoneRow::taskKey, DoneRow::doneOn, (a, b) -> a.isAfter(b) ? a : b)),
                rows.pegChecks().stream()
                        .map(check -> new PegCheck(check.id(), check.fromTreeId(), check.toTreeId(), check.metres()))
                        .toList());
    }
}
