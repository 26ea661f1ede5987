package idlebough.app;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.exchange.TreesCsv;
import idlebough.app.exchange.TreesCsvReader;
import idlebough.app.exchange.TreesGeoJson;
import idlebough.app.exchange.TreesGeoJsonReader;
import idlebough.app.exchange.TreesGpx;
import idlebough.app.exchange.TreesRead;
import idlebough.app.layout.TreeImport;
import idlebough.app.store.Plan;
import idlebough.app.store.Plans;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteRow;
import idlebough.core.site.LocalFrame;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Trees out and in: round trips lose nothing, and what cannot be taken is said row by row. */
@ExtendWith(Running.class)
class FilesOfTreesTest {
    private static final String HEAD = "tag,variety,stock,x_m,y_m\n";
    private static Plan plan;

    @BeforeAll
    static void demo() throws java.io.IOException {
        Visitor owner = new Visitor();
        owner.post("/demo", java.util.Map.of());
        Scope scope = RoutesTest.demo();
        plan = Running.bean(Plans.class).open(scope);
    }

    private static Optional<LocalFrame> frame() {
        SiteRow.Where where = plan.rows().site().where();
        return Optional.ofNullable(where.longitude())
                .map(longitude -> new LocalFrame(where.latitude(), longitude, where.rotation()));
    }

    private static TreeImport csv(String text) {
        TreesRead read = TreesCsvReader.read(text);
        return TreeImport.of(plan, read.lines(), read.complaints());
    }

    @Test
    void csvBackInChangesNothing() {
        TreeImport back = csv(TreesCsv.write(plan));
        assertThat(back.complaints()).isEmpty();
        assertThat(back.none()).isTrue();
    }

    @Test
    void geoJsonBackInChangesNothing() {
        TreesRead read =
                TreesGeoJsonReader.read(Running.bean(TreesGeoJson.class).write(plan), frame());
        TreeImport back = TreeImport.of(plan, read.lines(), read.complaints());
        assertThat(back.complaints()).isEmpty();
        assertThat(back.none()).isTrue();
        assertThat(read.lines()).hasSize(plan.evaluation().stands().size());
    }

    /** With semicolons and a decimal comma, as a spreadsheet of many countries writes it. */
    @Test
    void aSpreadsheetsCsvIsReadToo() {
        TreeImport found = csv("\uFEFFY_M;X_M;Tag;Variety;Stock\n25,5;30,25;N9;Discovery;M9\n");
        assertThat(found.complaints()).isEmpty();
        assertThat(found.added()).singleElement().satisfies(added -> {
            assertThat(added.line().x()).isEqualTo(30.25);
            assertThat(added.line().y()).isEqualTo(25.5);
            assertThat(added.words()).isEqualTo("apple ‘Discovery’ on M9");
        });
    }

    @Test
    void whatCannotBeTakenIsSaidAndTheRestIsTaken() {
        TreeImport found = csv(HEAD
                + "N1,Discovery,M9,30,25\n"
                + "N1,Discovery,M9,33,25\n"
                + "N2,Discovery,M9,30.1,25\n"
                + "N3,Nonesuch Wonder,M9,36,25\n"
                + "N4,Discovery,Colt,39,25\n"
                + "N5,Discovery,M9,east,25\n"
                + "N6,Discovery,M9,50,76\n"
                + "a very long tag,Discovery,M9,42,25\n"
                + ",Discovery,M9,45,25\n");
        assertThat(found.added())
                .singleElement()
                .matches(added -> added.line().tag().equals("N1"));
        assertThat(found.complaints())
                .hasSize(8)
                .anyMatch(said -> said.contains("N1 comes twice"))
                .anyMatch(said -> said.contains("N2 stands on the peg of N1"))
                .anyMatch(said -> said.contains("“Nonesuch Wonder”"))
                .anyMatch(said -> said.contains("no stock for apple is called “Colt”"))
                .anyMatch(said -> said.contains("“east” in x_m of N5 is not a figure"))
                .anyMatch(said -> said.contains("N6 lies outside the boundary"))
                .anyMatch(said -> said.contains("at most 12 letters"))
                .anyMatch(said -> said.contains("has no tag"));
    }

    @Test
    void swappedColumnsAreSeen() {
        assertThat(csv(HEAD + "N1,Discovery,M9,10,70\n").complaints())
                .singleElement()
                .satisfies(said -> assertThat(said).contains("are the columns of x and y swapped?"));
    }

    @Test
    void filesThatAreNoneSaySo() {
        assertThat(TreesCsvReader.read("").complaints()).containsExactly("This file is empty.");
        assertThat(TreesCsvReader.read("tag,kind\nA1,x\n").complaints().get(0)).contains("variety, x_m, y_m");
        assertThat(TreesGeoJsonReader.read("{\"features\": [", Optional.empty())
                        .complaints()
                        .get(0))
                .contains("broken near line 1");
        assertThat(TreesGeoJsonReader.read("{}", Optional.empty()).complaints().get(0))
                .contains("no tree in this file");
    }

    /** Who moves a point in another program moves the tree; rounding of degrees moves none. */
    @Test
    void aPointMovedOnTheEarthMovesTheTree() {
        String text = Running.bean(TreesGeoJson.class).write(plan);
        LocalFrame frame = frame().orElseThrow();
        var first = plan.evaluation().stands().get(0);
        LocalFrame.Geographic at = frame.geographic(first.place());
        LocalFrame.Geographic to = frame.geographic(new idlebough.core.site.Point(
                first.place().x() + 2, first.place().y()));
        TreesRead read = TreesGeoJsonReader.read(
                text.replaceFirst(
                        String.valueOf(Math.rint(at.longitude() * 1e8) / 1e8),
                        String.valueOf(Math.rint(to.longitude() * 1e8) / 1e8)),
                frame());
        TreeImport found = TreeImport.of(plan, read.lines(), read.complaints());
        assertThat(found.moved())
                .singleElement()
                .satisfies(move -> assertThat(move.by()).isBetween(1.98, 2.02));
    }

    @Test
    void everyPegIsAWaypoint() {
        String gpx = TreesGpx.write(plan).orElseThrow();
        assertThat(gpx).startsWith("<?xml").contains("<wpt ").contains("<name>C3</name>");
        assertThat(gpx.split("<wpt ")).hasSize(plan.evaluation().stands().size() + 1);
    }
}
