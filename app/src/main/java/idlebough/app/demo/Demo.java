package idlebough.app.demo;

import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.home.Founder;
import idlebough.app.layout.LayoutFill;
import idlebough.app.store.Account;
import idlebough.app.store.ChoiceRow;
import idlebough.app.store.DoneRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.JournalMapper;
import idlebough.app.store.MeasureRow;
import idlebough.app.store.NoteRow;
import idlebough.app.store.PegRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.TreeRow;
import idlebough.app.store.WeatherStore;
import idlebough.core.crop.Form;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.measure.UnitSystem;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.site.Footing;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import idlebough.station.SimulatedStation;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Two made-up orchards and their made-up owner, by code and with fixed seeds. Only a demo start has them. */
@Component
@Profile("demo")
public class Demo implements ApplicationRunner {
    private static final int SETS = 50;
    /** One tree of the first row was planted years before the others and has its whole record. */
    private static final int LONG_KNOWN = 4;

    private static final LocalDate LONG_AGO = LocalDate.of(2021, 3, 20);
    private static final Map<LocalDate, String> LONG_RECORD = new TreeMap<>(Map.of(
            LONG_AGO,
            "Planted to try the slope. Whip of 1.4 m, cut at 80 cm.",
            LocalDate.of(2022, 3, 6),
            "Four limbs chosen, the rest off. Stem 2.4 cm at a hand over the union.",
            LocalDate.of(2023, 9, 22),
            "First crop: eleven apples.",
            LocalDate.of(2024, 5, 2),
            "Full bloom, three days before the old pear.",
            LocalDate.of(2024, 9, 20),
            "9 kg. Stake off in March, it stands.",
            LocalDate.of(2025, 9, 18),
            "17 kg, a third of them thinned in June.",
            LocalDate.of(2026, 9, 16),
            "22 kg. Stem 6.8 cm; the crown is 2.6 m wide."));
    private final AccountService accounts;
    private final Founder founder;
    private final JournalMapper journal;
    private final Edits edits;
    private final WeatherStore weather;
    private final DemoGrove grove;
    private final int groveTrees;

    Demo(
            AccountService accounts,
            Founder founder,
            JournalMapper journal,
            Edits edits,
            WeatherStore weather,
            DemoGrove grove,
            @Value("${bough.grove:0}") int groveTrees) {
        this.accounts = accounts;
        this.founder = founder;
        this.journal = journal;
        this.edits = edits;
        this.weather = weather;
        this.grove = grove;
        this.groveTrees = groveTrees;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        if (accounts.find(AccountController.DEMO) != null) {
            out.println("Demo is there from an earlier start");
            return;
        }
        String password = AccountService.random();
        Account maren = accounts.signUp(AccountController.DEMO, "I. Maren", password, UnitSystem.METRIC, "en-GB");
        quillane(maren.id());
        terrace(maren.id());
        if (groveTrees > 0) {
            grove.grow(maren.id(), groveTrees);
        }
        out.println("Demo sign-in: " + AccountController.DEMO + " / " + password);
    }

    private void make(Scope scope, String cause, Function<Plan, List<Edit>> work) {
        edits.apply(scope, Edits.Change.of(cause), work);
    }

    private void quillane(String account) {
        Scope scope = new Scope(founder.found(account, "Quillane Rise", 42.3, "Etc/GMT-1"), account);
        site(
                scope,
                Map.ofEntries(
                        Map.entry("longitude", 9.4),
                        Map.entry("elevation", 610.0),
                        Map.entry("slope", 6.0),
                        Map.entry("aspect", 140.0),
                        Map.entry("prevailingWind", 270.0),
                        Map.entry("stormWind", 247.0),
                        Map.entry("declination", 4.0),
                        Map.entry("deer", 2),
                        Map.entry("voles", 1),
                        Map.entry("corners", "0 0;77 2;79 47;47 59;2 53")));
        make(scope, "Drew the ground and dug three pits", now -> DemoSites.quillane(scope.orchard()));
        load(scope, DemoStations.RISE, LocalDate.of(2026, 11, 22));
        make(scope, "Two old trees", now -> {
            List<Edit> old = new ArrayList<>();
            old(
                    old,
                    new PegRow(RowKey.fresh(scope.orchard()), "Old 1", 9, 46, true),
                    1988,
                    "apple-northern-spy/antonovka");
            old(
                    old,
                    new PegRow(RowKey.fresh(scope.orchard()), "Old 2", 70, 40, true),
                    1994,
                    "pear-winter-nelis/pear-seedling");
            return old;
        });
        choose(
                scope,
                List.of(
                        "apple-cox/mm106/3",
                        "apple-james-grieve/mm106/3",
                        "apple-golden/m26/3",
                        "apple-bramley/mm106/1",
                        "pear-comice/ohf87/2",
                        "pear-packham/ohf87/2",
                        "plum-stanley/st-julien/3",
                        "plum-jefferson/st-julien/1",
                        "cherry-stella/colt/2",
                        "sour-montmorency/colt/2",
                        "peach-redhaven/st-julien/3",
                        "apricot-moorpark/st-julien/2",
                        "quince-champion/quince-own/1"));
        set(
                scope,
                Map.of(
                        "plantingDate",
                        LocalDate.of(2027, 3, 20),
                        "orderCloses",
                        LocalDate.of(2026, 12, 15),
                        "margin",
                        5.0,
                        "alley",
                        2.5));
        make(scope, "Filled the plot", now -> {
            PlotFill.Wish wish = new PlotFill.Wish(RowFill.Pattern.TRIANGLE, 5, 2.5, Optional.empty());
            return LayoutFill.of(now, wish, LayoutFill.Trees.ANEW).edits(now.revision());
        });
        record(scope);
        // What a stop looks like: a peach where water stands.
        make(scope, "Set a peach by the slow corner", now -> {
            PegRow peg = new PegRow(RowKey.fresh(scope.orchard()), "P1", 63.5, 12, true);
            ChoiceRow peach = now.rows().choiceOf("peach-redhaven").orElseThrow();
            return List.of(Edit.add(peg), Edit.add(LayoutFill.planned(now, peg, peach)));
        });
        seen(scope);
    }

    /** The first row went in last spring, with its unions measured on the day and after eight weeks. */
    private void record(Scope scope) {
        LocalDate lately = LocalDate.of(2026, 3, 14);
        double[] union = {0.14, 0.13, 0.155, 0.12, 0.145, 0.13};
        double[] sank = {0.012, 0.011, 0.013, 0.052, 0.012, 0.011};
        make(scope, "Planted the first row", now -> {
            List<Edit> all = new ArrayList<>();
            List<Stand> row = toPlant(now);
            for (int i = 0; i < union.length; i++) {
                String tree = row.get(i).id();
                LocalDate day = i == LONG_KNOWN ? LONG_AGO : lately;
                double planted =
                        union[i] + now.evaluation().planting().sectionOf(tree).raise();
                all.add(Edit.change(
                        now.rows().tree(tree).orElseThrow(),
                        now.revision(),
                        Map.of("state", Tree.State.PLANTED, "plantedOn", day, "unionAboveFlare", union[i])));
                all.add(measure(scope, tree, day, planted, UnionMeasure.Kind.AS_PLANTED));
                all.add(measure(scope, tree, day.plusWeeks(8), planted - sank[i], UnionMeasure.Kind.CHECK));
            }
            all.add(Edit.add(new DoneRow(RowKey.fresh(scope.orchard()), "level-" + lately, lately.plusWeeks(9))));
            LONG_RECORD.forEach((day, words) -> all.add(note(scope, row.get(LONG_KNOWN), day, words)));
            all.add(note(scope, row.get(0), lately, "Planted with T. Oake. Soil moist, no wind. Soaked three hours."));
            all.add(note(
                    scope,
                    row.get(3),
                    lately.plusWeeks(8),
                    "Sank more than the others; the bottom had been dug deeper for a stone."));
            return all;
        });
        make(
                scope,
                "Measured what came early",
                now -> toPlant(now).stream()
                        .limit(14)
                        .map(stand -> Edit.change(
                                now.rows().tree(stand.id()).orElseThrow(),
                                now.revision(),
                                Map.of(
                                        "unionAboveFlare",
                                        stand.crop().key().equals("peach") ? 0.08 : 0.13,
                                        "state",
                                        Tree.State.ORDERED)))
                        .toList());
    }

    private static List<Stand> toPlant(Plan plan) {
        return plan.evaluation().stands().stream().filter(Stand::toPlant).toList();
    }

    private static Edit measure(Scope scope, String tree, LocalDate day, double height, UnionMeasure.Kind kind) {
        return Edit.add(new MeasureRow(RowKey.fresh(scope.orchard()), tree, day, height, kind));
    }

    private static Edit note(Scope scope, Stand tree, LocalDate day, String words) {
        return Edit.add(new NoteRow(RowKey.fresh(scope.orchard()), tree.id(), day, words));
    }

    private void terrace(String account) {
        Scope scope = new Scope(founder.found(account, "Ninth Terrace", -36.8, "Etc/GMT-12"), account);
        site(
                scope,
                Map.of(
                        "longitude",
                        171.2,
                        "elevation",
                        40.0,
                        "slope",
                        1.5,
                        "aspect",
                        20.0,
                        "prevailingWind",
                        225.0,
                        "stormWind",
                        45.0,
                        "corners",
                        "0 0;11 0;11 16;0 16"));
        make(scope, "Drew the yard and dug a pit", now -> DemoSites.terrace(scope.orchard()));
        load(scope, DemoStations.TERRACE, LocalDate.of(2026, 10, 31));
        List<String> wanted = List.of(
                "lemon-lisbon/trifoliate-dwarf/1",
                "mandarin-clementine/trifoliate-dwarf/1",
                "orange-valencia/trifoliate-dwarf/1",
                "peach-desert-gold/st-julien/1",
                "fig-brown-turkey/fig-own/1",
                "jplum-santa-rosa/st-julien/1");
        choose(scope, wanted);
        set(scope, Map.of("plantingDate", LocalDate.of(2027, 9, 11), "margin", 1.5, "alley", 1.0));
        double[][] places = {{2.3, 13.6}, {5.6, 13.7}, {8.9, 13.5}, {3.1, 8.0}, {8.2, 8.2}, {8.2, 3.2}};
        make(scope, "Placed six trees", now -> {
            List<Edit> all = new ArrayList<>();
            for (int i = 0; i < places.length; i++) {
                PegRow peg = new PegRow(RowKey.fresh(scope.orchard()), "T" + (i + 1), places[i][0], places[i][1], true);
                ChoiceRow choice =
                        now.rows().choiceOf(wanted.get(i).split("/")[0]).orElseThrow();
                TreeRow tree = LayoutFill.planned(now, peg, choice);
                all.add(Edit.add(peg));
                all.add(Edit.add(tree));
                // The plum is left on the grade: what the clay says of it is shown.
                if (i < places.length - 1) {
                    all.add(Edit.change(tree, now.revision(), Map.of("footing", Footing.DRAINED)));
                }
                if (tree.nursery().form() == Form.BARE) {
                    all.add(Edit.change(
                            tree,
                            now.revision(),
                            Map.of("form", Form.CONTAINER, "ballDiameter", 0.32, "ballHeight", 0.28)));
                }
                if (i < 3) {
                    all.add(Edit.change(tree, now.revision(), Map.of("unionAboveFlare", 0.13)));
                }
            }
            return all;
        });
        seen(scope);
    }

    private void seen(Scope scope) {
        journal.sets(scope, SETS, 0).forEach(set -> journal.markSeen(scope, set.id()));
    }

    private void site(Scope scope, Map<String, Object> values) {
        make(
                scope,
                "Described the ground",
                now -> List.of(Edit.change(now.rows().site(), now.revision(), values)));
    }

    private void set(Scope scope, Map<String, Object> values) {
        make(scope, "Set the plan", now -> List.of(Edit.change(now.rows().settings(), now.revision(), values)));
    }

    private void choose(Scope scope, List<String> wanted) {
        make(
                scope,
                "Chose varieties and stocks",
                now -> wanted.stream()
                        .map(choice -> {
                            String[] part = choice.split("/");
                            return Edit.add(new ChoiceRow(
                                    RowKey.fresh(scope.orchard()), part[0], part[1], Integer.parseInt(part[2])));
                        })
                        .toList());
    }

    private static void old(List<Edit> into, PegRow peg, int year, String what) {
        String[] part = what.split("/");
        into.add(Edit.add(peg));
        into.add(Edit.add(new TreeRow(
                RowKey.fresh(peg.key().orchardId()),
                peg.id(),
                null,
                new TreeRow.What(part[0], part[1]),
                new TreeRow.Nursery(Form.BARE, 0.5, 0.3, null, 0.3),
                null,
                new TreeRow.Life(Tree.State.PLANTED, LocalDate.of(year, 3, 20)))));
    }

    private void load(Scope scope, SimulatedStation station, LocalDate last) {
        byte[] file = station.download(station.begin(), last).getBytes(StandardCharsets.UTF_8);
        edits.weather(
                scope,
                "Loaded the station",
                () -> weather.store(
                        scope,
                        null,
                        station.name(),
                        "station.csv",
                        file,
                        WeatherFile.read(file, WeatherFile.Wish.NONE, ZoneOffset.UTC, Watch.NONE),
                        Watch.NONE));
    }
}
