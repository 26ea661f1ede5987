package idlebough.app.variety;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.OwnEntryRow;
import idlebough.app.store.Scope;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Own varieties and stocks, by form and by table, and what the plan still speaks of. */
@ExtendWith(Running.class)
class CatalogueFormsTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    @BeforeEach
    void anOrchardOfOnesOwn() {
        String name = "pomologist" + growers++;
        grower = Visitor.signedUp(name);
        base = grower.founds("My ground", "42.3");
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
    }

    private Catalogue catalogue() {
        return Running.plan(scope).evaluation().varieties().catalogue();
    }

    private Variety own() {
        return catalogue().variety(rowOf(0).entryKey());
    }

    private OwnEntryRow rowOf(int index) {
        return Running.plan(scope).rows().ownEntries().get(index);
    }

    private HttpResponse<String> adds(Map<String, String> more) {
        Map<String, String> fields =
                new HashMap<>(Map.of("name", "Old Anne", "crop", "apple", "ripe", "9", "bloom", "B", "self", "0,2"));
        fields.putAll(more);
        return grower.post(base + "/catalogue/varieties", fields);
    }

    @Test
    void anOwnVarietyStandsInTheShortlistAndIsMarkedAsOnesOwn() {
        assertThat(adds(Map.of("chill", "900-1100", "remark", "from grandmother"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(own().chillNeed()).isEqualTo(1000);
        assertThat(own().selfFruitful()).as("a decimal comma").isEqualTo(0.2);
        assertThat(rowOf(0).remark()).isEqualTo("from grandmother");
        assertThat(grower.get(base + "/varieties?q=anne").body()).contains("Old Anne");
        assertThat(grower.get(base + "/varieties?variety=" + own().key()).body())
                .contains("your own entry");
        assertThat(grower.get(base + "/catalogue/varieties.csv?own=1").body())
                .startsWith("key,crop,name,chill")
                .contains("apple,Old Anne,900-1100");
        assertThat(grower.get(base + "/catalogue/varieties.csv").body().lines()).hasSizeGreaterThan(239);
    }

    @Test
    void whatIsWrongIsSaidBesideTheFieldAndNothingTypedIsLost() {
        HttpResponse<String> answer = adds(Map.of("ripe", "in autumn", "uses", "cider & pies"));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body())
                .contains("Ripe is a month of the north")
                .contains("in autumn")
                .contains("cider &amp; pies");
        assertThat(Running.plan(scope).rows().ownEntries()).isEmpty();
    }

    @Test
    void whatThePlanSpeaksOfCannotGo() {
        adds(Map.of());
        String key = own().key();
        assertThat(grower.post(base + "/varieties/" + key, Map.of("wanted", "2"))
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> refused = grower.post(base + "/catalogue/varieties/" + key + "/remove", Map.of());
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body()).contains("take that away first");
        assertThat(catalogue().findVariety(key)).isPresent();
        grower.post(base + "/varieties/" + key, Map.of("wanted", "0"));
        assertThat(grower.post(base + "/catalogue/varieties/" + key + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(302);
        assertThat(catalogue().findVariety(key)).isEmpty();
        // Undoing back: the row comes back, then the choice; undoing further the choice goes before the row.
        for (int i = 0; i < 4; i++) {
            assertThat(grower.post(base + "/undo", Map.of()).statusCode()).isLessThan(400);
        }
        assertThat(catalogue().findVariety(key)).isEmpty();
    }

    @Test
    void aValueLaidOverAShippedOneIsUndoneAndGivenBack() {
        Map<String, String> cells =
                new HashMap<>(Catalogue.shippedCells(idlebough.core.crop.OwnEntry.What.VARIETY, "apple-cox"));
        cells.put("bloom", "D");
        cells.put("remark", "late here");
        assertThat(grower.post(base + "/catalogue/varieties/apple-cox", cells).statusCode())
                .isEqualTo(302);
        assertThat(catalogue().variety("apple-cox").bloomGroup()).isEqualTo('D');
        assertThat(rowOf(0).entry().cells())
                .as("only what is other than shipped")
                .containsOnlyKeys("bloom");
        assertThat(catalogue().variety("apple-cox").alleles()).isEqualTo("5/9");
        grower.post(base + "/undo", Map.of());
        assertThat(catalogue().variety("apple-cox").bloomGroup()).isEqualTo('C');
        grower.post(base + "/catalogue/varieties/apple-cox", cells);
        cells.put("bloom", "");
        grower.post(base + "/catalogue/varieties/apple-cox", cells);
        assertThat(Running.plan(scope).rows().ownEntries())
                .as("an emptied field gives the shipped value back")
                .isEmpty();
    }

    @Test
    void ofATableTheGoodRowsAreKeptAndTheBadOnesStandToBeMended() {
        HttpResponse<String> answer = grower.upload(
                base + "/catalogue/varieties/load",
                Map.of(),
                "file",
                "name;crop;ripe;vigour\nAnne;apple;9;0,9\nBess;pear;fortnight;1\nRose;rose;6;\napple-cox;;;\n"
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body())
                .contains("One row was stored", "3 are left")
                .contains("Line 2, ripe", "Line 3, crop")
                .contains("Bess;pear;fortnight;1");
        assertThat(own().vigour()).isEqualTo(0.9);
        HttpResponse<String> none =
                grower.upload(base + "/catalogue/rootstocks/load", Map.of("rows", "so,and,so"), "file", new byte[0]);
        assertThat(none.body()).contains("The first line must name the columns").contains("so,and,so");
    }

    @Test
    void anOwnStockCarriesATree() {
        assertThat(grower.post(
                                base + "/catalogue/rootstocks",
                                Map.of(
                                        "name",
                                        "Wild crab",
                                        "crops",
                                        "apple;crab",
                                        "f",
                                        "0.9",
                                        "union_min",
                                        "8",
                                        "support",
                                        "N"))
                        .statusCode())
                .isEqualTo(302);
        String key = rowOf(0).entryKey();
        assertThat(catalogue().rootstock(key).unionMin())
                .as("centimetres as read")
                .isEqualTo(0.08);
        assertThat(catalogue().rootstocksFor(catalogue().crop("apple")))
                .extracting(stock -> stock.key())
                .contains(key);
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "1"));
        String choice = Running.plan(scope).rows().choices().get(0).id();
        assertThat(grower.post(base + "/rootstocks", Map.of("choice", choice, "stock", key))
                        .statusCode())
                .isEqualTo(302);
        assertThat(grower.get(base + "/rootstocks").body()).contains("Wild crab");
        assertThat(grower.post(base + "/catalogue/rootstocks/" + key + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(409);
    }
}
