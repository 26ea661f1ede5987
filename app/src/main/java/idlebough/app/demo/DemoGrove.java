package idlebough.app.demo;

import idlebough.app.home.Founder;
import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.FeatureRow;
import idlebough.app.store.Ids;
import idlebough.app.store.PegRow;
import idlebough.app.store.PitRow;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteText;
import idlebough.app.store.TestRow;
import idlebough.app.store.TreeRow;
import idlebough.app.store.WeatherStore;
import idlebough.core.orchard.Orchard;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Tree;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import idlebough.station.MadeGrove;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** The made grove as a third orchard of the demo, for measuring; only where it is asked for. */
@Component
@Profile("demo")
class DemoGrove {
    private final Founder founder;
    private final Edits edits;
    private final WeatherStore weather;

    DemoGrove(Founder founder, Edits edits, WeatherStore weather) {
        this.founder = founder;
        this.edits = edits;
        this.weather = weather;
    }

    void grow(String account, int trees) {
        Orchard grove = MadeGrove.of(trees);
        Scope scope = new Scope(founder.found(account, "Measured grove", MadeGrove.LATITUDE, "UTC"), account);
        String orchard = scope.orchard();
        edits.apply(scope, Edits.Change.of("Described the grove"), now -> {
            Plot plot = grove.site().plot().orElseThrow();
            List<Edit> all = new ArrayList<>();
            all.add(Edit.change(
                    now.rows().site(), now.revision(), Map.of("corners", SiteText.corners(plot.corners()))));
            all.add(Edit.change(
                    now.rows().settings(),
                    now.revision(),
                    Map.of("plantingDate", grove.settings().planting())));
            grove.site().features().forEach(feature -> all.add(Edit.add(feature(orchard, feature))));
            grove.site().pits().forEach(pit -> pit(orchard, pit, all));
            return all;
        });
        record(scope, grove.weather().record().days());
        edits.apply(scope, Edits.Change.of("Planted the grove"), now -> {
            List<Edit> all = new ArrayList<>();
            Map<String, ChoiceRow> choices = new HashMap<>();
            grove.choices().forEach(choice -> {
                ChoiceRow row = new ChoiceRow(
                        RowKey.fresh(orchard), choice.variety(), choice.stock().orElseThrow(), choice.wanted());
                choices.put(choice.variety(), row);
                all.add(Edit.add(row));
            });
            grove.trees().forEach(tree -> tree(orchard, tree, choices, all));
            return all;
        });
    }

    private static FeatureRow feature(String orchard, Feature feature) {
        return new FeatureRow(
                RowKey.fresh(orchard),
                feature.kind(),
                feature.name(),
                SiteText.corners(feature.points()),
                new FeatureRow.Body(
                        feature.size().height().orElse(null),
                        feature.size().width().orElse(null),
                        feature.size().crown().orElse(null),
                        false,
                        feature.size().clearance().orElse(null)),
                feature.material().orElse(null),
                null,
                new FeatureRow.Supply(null, null));
    }

    private static void pit(String orchard, SoilPit pit, List<Edit> into) {
        DrainageTest test = pit.test().orElseThrow();
        PitRow row = new PitRow(
                RowKey.fresh(orchard),
                pit.label(),
                new PitRow.Place(pit.place().x(), pit.place().y()),
                new PitRow.Soil(pit.texture(), pit.topsoil(), pit.pan().orElse(null), "", null, null),
                new PitRow.Chemistry(pit.ph().orElse(null), null, null, false),
                new PitRow.Water(null, null),
                new PitRow.Before(null, null, false),
                new PitRow.Seen(null, false, null));
        into.add(Edit.add(row));
        into.add(Edit.add(new TestRow(
                RowKey.fresh(orchard),
                row.id(),
                "1",
                new TestRow.Hole(TestRow.Shape.CYLINDER, 0.3, null, test.depth()),
                new TestRow.Filling(true, false, false, null),
                null,
                SiteText.readings(test.readings()))));
    }

    private static void tree(String orchard, Tree tree, Map<String, ChoiceRow> choices, List<Edit> into) {
        PegRow peg = new PegRow(
                RowKey.fresh(orchard),
                tree.label(),
                tree.place().x(),
                tree.place().y(),
                false);
        into.add(Edit.add(peg));
        into.add(Edit.add(new TreeRow(
                new RowKey(Ids.next(), orchard, 0, false),
                peg.id(),
                choices.get(tree.kind().variety()).id(),
                new TreeRow.What(tree.kind().variety(), tree.kind().stock().orElseThrow()),
                new TreeRow.Nursery(
                        tree.nursery().form(),
                        tree.nursery().ballDiameter(),
                        tree.nursery().ballHeight(),
                        tree.nursery().unionAboveFlare().orElse(null),
                        tree.nursery().stem()),
                null,
                new TreeRow.Life(tree.life().state(), null))));
    }

    private void record(Scope scope, Collection<DailyExtremes> days) {
        String text = "date,tmin,tmax\n"
                + days.stream()
                        .map(day ->
                                String.format(Locale.ROOT, "%s,%.1f,%.1f", day.date(), day.minimum(), day.maximum()))
                        .collect(Collectors.joining("\n"));
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        edits.weather(
                scope,
                "Loaded the grove's record",
                () -> weather.store(
                        scope,
                        null,
                        "Grove mast",
                        "grove.csv",
                        file,
                        WeatherFile.read(file, WeatherFile.Wish.NONE, ZoneOffset.UTC, Watch.NONE),
                        Watch.NONE));
    }
}
