package idlebough.app.demo;

import idlebough.app.account.Account;
import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.daybook.Measure;
import idlebough.app.daybook.Note;
import idlebough.app.layout.LayoutService;
import idlebough.app.layout.Peg;
import idlebough.app.layout.Tree;
import idlebough.app.layout.TreeState;
import idlebough.app.plan.Changes;
import idlebough.app.plan.Ids;
import idlebough.app.plan.OrchardController;
import idlebough.app.plan.OrchardMapper;
import idlebough.app.plan.Plan;
import idlebough.app.plan.PlanReader;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.plan.TreeView;
import idlebough.app.variety.Choice;
import idlebough.app.winter.WeatherService;
import idlebough.core.measure.UnitSystem;
import idlebough.core.crop.Form;
import idlebough.core.variety.Varieties;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import idlebough.station.SimulatedStation;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Two made-up orchards and their made-up owner, by code and with fixed seeds. Only a demo start has them. */
@Component
@Profile("demo")
public class Demo implements ApplicationRunner {
    private final AccountService accounts;
    private final OrchardController.Founder founder;
    private final OrchardMapper orchards;
    private final Changes changes;
    private final PlanReader reader;
    private final WeatherService weather;
    private final LayoutService layout;

    Demo(
            AccountService accounts,
            OrchardController.Founder founder,
            OrchardMapper orchards,
            Changes changes,
            PlanReader reader,
            WeatherService weather,
            LayoutService layout) {
        this.accounts = accounts;
        this.founder = founder;
        this.orchards = orchards;
        this.changes = changes;
        this.reader = reader;
        this.weather = weather;
        this.layout = layout;
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
        out.println("Demo sign-in: " + AccountController.DEMO + " / " + password);
    }

    private void quillane(String account) {
        Scope scope = new Scope(founder.found(account, "Quillane Rise", 42.3, "Etc/GMT-1"), account);
        site(
                scope,
                Map.of(
                        "longitude",
                        9.4,
                        "elevation",
                        610.0,
                        "slope",
                        6.0,
                        "aspect",
                        140.0,
                        "prevailingWind",
                        270.0,
                        "stormWind",
                        247.0,
                        "declination",
                        4.0,
                        "deer",
                        2,
                        "voles",
                        1,
                        "corners",
                        "0 0;77 2;79 47;47 59;2 53"));
        changes.make(scope, "Drew the ground and dug three pits", pen -> DemoSites.quillane(pen, scope));
        load(scope, DemoStations.RISE, LocalDate.of(2026, 11, 22));
        changes.make(scope, "Two old trees", pen -> {
            old(pen, scope, "Old 1", 9, 46, "apple-northern-spy", "antonovka", LocalDate.of(1988, 3, 20));
            old(pen, scope, "Old 2", 70, 40, "pear-winter-nelis", "pear-seedling", LocalDate.of(1994, 3, 20));
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
        set(scope, Map.of("plantingDate", LocalDate.of(2027, 3, 20), "margin", 5.0, "alley", 2.5));
        layout.fill(scope, reader.reckon(scope));
        record(scope);
    }

    /** The first row went in last spring, with its unions measured on the day and after eight weeks. */
    private void record(Scope scope) {
        LocalDate day = LocalDate.of(2026, 3, 14);
        Reckoning plan = reader.reckon(scope);
        List<TreeView> row =
                plan.trees().stream().filter(TreeView::toPlant).limit(6).toList();
        double[] union = {0.14, 0.13, 0.155, 0.12, 0.145, 0.13};
        double[] sank = {0.002, 0.001, 0.003, 0.052, 0.002, 0.001};
        changes.make(scope, "Planted the first row", pen -> {
            for (int i = 0; i < row.size(); i++) {
                Map<String, Object> in = new HashMap<>(
                        Map.of("state", TreeState.PLANTED, "plantedOn", day, "unionAboveFlare", union[i]));
                pen.save(changes.with(row.get(i).row(), in));
                pen.add(new Measure(
                        Ids.next(),
                        scope.orchard(),
                        row.get(i).id(),
                        day,
                        union[i] + row.get(i).section().raise(),
                        Measure.Kind.AS_PLANTED,
                        0,
                        false));
                pen.add(new Measure(
                        Ids.next(),
                        scope.orchard(),
                        row.get(i).id(),
                        day.plusWeeks(8),
                        union[i] + row.get(i).section().raise() - sank[i],
                        Measure.Kind.CHECK,
                        0,
                        false));
            }
            pen.add(new Note(
                    Ids.next(),
                    scope.orchard(),
                    row.get(0).id(),
                    day,
                    "Planted with T. Oake. Soil moist, no wind. Soaked three hours.",
                    0,
                    false));
            pen.add(new Note(
                    Ids.next(),
                    scope.orchard(),
                    row.get(3).id(),
                    day.plusWeeks(8),
                    "Sank more than the others; the bottom had been dug deeper for a stone.",
                    0,
                    false));
        });
        changes.make(
                scope,
                "Measured what came early",
                pen -> plan.trees().stream()
                        .filter(TreeView::toPlant)
                        .skip(6)
                        .limit(14)
                        .forEach(tree -> pen.save(changes.with(
                                tree.row(),
                                Map.of(
                                        "unionAboveFlare",
                                        tree.variety().crop().key().equals("peach") ? 0.08 : 0.13,
                                        "state",
                                        TreeState.ORDERED)))));
        seen(scope);
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
        changes.make(scope, "Drew the yard and dug a pit", pen -> DemoSites.terrace(pen, scope));
        load(scope, DemoStations.TERRACE, LocalDate.of(2026, 10, 31));
        choose(
                scope,
                List.of(
                        "lemon-lisbon/trifoliate-dwarf/1",
                        "mandarin-clementine/trifoliate-dwarf/1",
                        "orange-valencia/trifoliate-dwarf/1",
                        "peach-desert-gold/st-julien/1",
                        "fig-brown-turkey/fig-own/1",
                        "jplum-santa-rosa/st-julien/1"));
        set(scope, Map.of("plantingDate", LocalDate.of(2027, 9, 11), "margin", 1.5, "alley", 1.0));
        double[][] places = {{2.2, 13.6}, {5.6, 13.7}, {8.9, 13.5}, {2.6, 8.0}, {8.6, 2.2}, {8.2, 8.2}};
        Plan plan = reader.reckon(scope).plan();
        changes.make(scope, "Placed six trees", pen -> {
            for (int i = 0; i < places.length; i++) {
                Choice choice = plan.choices().get(i);
                Peg peg = new Peg(Ids.next(), scope.orchard(), "T" + (i + 1), places[i][0], places[i][1], 0, false);
                pen.add(peg);
                Tree tree = LayoutService.planned(scope, peg.id(), choice, Varieties.of(choice.varietyKey()));
                pen.add(i < 3 ? changes.with(tree, Map.of("unionAboveFlare", 0.16)) : tree);
            }
        });
        seen(scope);
    }

    private void seen(Scope scope) {
        orchards.sets(scope, 20).forEach(set -> orchards.markSeen(scope, set.id()));
    }

    private void site(Scope scope, Map<String, Object> values) {
        changes.make(
                scope,
                "Described the ground",
                pen -> pen.save(changes.with(reader.reckon(scope).plan().site(), values)));
    }

    private void set(Scope scope, Map<String, Object> values) {
        changes.make(
                scope,
                "Set the plan",
                pen -> pen.save(changes.with(reader.reckon(scope).plan().settings(), values)));
    }

    private void choose(Scope scope, List<String> wanted) {
        changes.make(
                scope,
                "Chose varieties and stocks",
                pen -> wanted.forEach(choice -> {
                    String[] part = choice.split("/");
                    pen.add(new Choice(
                            Ids.next(), scope.orchard(), part[0], part[1], Integer.parseInt(part[2]), 0, false));
                }));
    }

    private static void old(
            Changes.Pen pen,
            Scope scope,
            String label,
            double x,
            double y,
            String variety,
            String stock,
            LocalDate planted) {
        Peg peg = new Peg(Ids.next(), scope.orchard(), label, x, y, 0, false);
        pen.add(peg);
        pen.add(new Tree(
                Ids.next(),
                scope.orchard(),
                peg.id(),
                null,
                variety,
                stock,
                TreeState.PLANTED,
                Form.BARE,
                0.5,
                0.3,
                null,
                0.3,
                null,
                planted,
                0,
                false));
    }

    private void load(Scope scope, SimulatedStation station, LocalDate last) {
        byte[] file = station.download(station.begin(), last).getBytes(StandardCharsets.UTF_8);
        changes.weather(
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
