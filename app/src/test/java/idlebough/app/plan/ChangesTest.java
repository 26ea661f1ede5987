package idlebough.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import idlebough.app.Running;
import idlebough.app.account.AccountService;
import idlebough.app.layout.Peg;
import idlebough.app.layout.PegMapper;
import idlebough.app.site.Pit;
import idlebough.app.site.PitMapper;
import idlebough.app.winter.WeatherService;
import idlebough.core.measure.UnitSystem;
import idlebough.core.site.Texture;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The one door: journal, undo, lost races, what moved. On the real database. */
@ExtendWith(Running.class)
class ChangesTest {
    private static int accounts;
    private Changes changes;
    private Scope scope;

    @BeforeEach
    void anOrchard() {
        changes = Running.bean(Changes.class);
        String account = Running.bean(AccountService.class)
                .signUp("changer" + accounts++, "T. Oake", "long enough", UnitSystem.METRIC, "en-GB")
                .id();
        scope = new Scope(
                Running.bean(OrchardController.Founder.class).found(account, "Test ground", 42, "UTC"), account);
    }

    private Pit pit(String id) {
        return new Pit(
                id,
                scope.orchard(),
                "1",
                5,
                5,
                Texture.LOAM,
                0.3,
                null,
                6.5,
                "",
                null,
                null,
                null,
                null,
                false,
                null,
                null,
                false,
                null,
                false,
                null,
                null,
                null,
                0,
                false);
    }

    @Test
    void aLoamThatIsReallyClayMovesTheUnionAndSaysSo() {
        String id = Ids.next();
        changes.make(scope, "Dug a pit", pen -> pen.add(pit(id)));
        Peg peg = new Peg(Ids.next(), scope.orchard(), "A1", 6, 6, 0, false);
        changes.make(scope, "Placed a tree", pen -> {
            pen.add(peg);
            pen.add(new idlebough.app.layout.Tree(
                    Ids.next(),
                    scope.orchard(),
                    peg.id(),
                    null,
                    "apple-cox",
                    "mm106",
                    idlebough.app.layout.TreeState.PLANNED,
                    idlebough.core.crop.Form.CONTAINER,
                    0.4,
                    0.3,
                    0.13,
                    0.02,
                    null,
                    null,
                    0,
                    false));
        });
        Pit stored = Running.bean(PitMapper.class).find(scope, id);
        changes.make(scope, "It is clay", pen -> pen.save(changes.with(stored, Map.of("texture", Texture.CLAY))));
        OrchardMapper orchards = Running.bean(OrchardMapper.class);
        OrchardMapper.ChangeSet last = orchards.sets(scope, 1).get(0);
        assertThat(orchards.moved(scope, last.id())).anySatisfy(moved -> {
            assertThat(moved.label()).isEqualTo("A1: union above the board");
            assertThat(moved.toValue()).isGreaterThan(moved.fromValue());
        });
        assertThat(orchards.entries(scope, last.id())).singleElement().satisfies(entry -> {
            assertThat(entry.fromRow()).contains("\"LOAM\"");
            assertThat(entry.toRow()).contains("\"CLAY\"");
        });
    }

    @Test
    void undoGivesBackWhatStoodThere() {
        Peg peg = new Peg(Ids.next(), scope.orchard(), "A1", 1, 2, 0, false);
        changes.make(scope, "Placed", pen -> pen.add(peg));
        PegMapper pegs = Running.bean(PegMapper.class);
        changes.make(scope, "Moved A1", pen -> pen.save(changes.with(pegs.find(scope, peg.id()), Map.of("x", 9.0))));
        changes.make(scope, "Took out", pen -> pen.remove(pegs.find(scope, peg.id())));
        assertThat(pegs.all(scope)).isEmpty();
        assertThat(changes.undo(scope)).isEqualTo("Took out");
        assertThat(pegs.all(scope)).singleElement().extracting(Peg::x).isEqualTo(9.0);
        assertThat(changes.undo(scope)).isEqualTo("Moved A1");
        assertThat(pegs.all(scope)).singleElement().extracting(Peg::x).isEqualTo(1.0);
        assertThat(changes.undo(scope)).isEqualTo("Placed");
        assertThat(pegs.all(scope)).isEmpty();
        assertThat(changes.undo(scope)).isNull();
    }

    @Test
    void theSecondToSaveLosesNothingInSilence() {
        Peg peg = new Peg(Ids.next(), scope.orchard(), "A1", 1, 2, 0, false);
        changes.make(scope, "Placed", pen -> pen.add(peg));
        PegMapper pegs = Running.bean(PegMapper.class);
        Peg read = pegs.find(scope, peg.id());
        changes.make(scope, "First", pen -> pen.save(changes.with(read, Map.of("x", 3.0))));
        long revision =
                Running.bean(PlanReader.class).reckon(scope).plan().orchard().revision();
        assertThatThrownBy(() -> changes.make(scope, "Second", pen -> pen.save(changes.with(read, Map.of("x", 4.0)))))
                .isInstanceOf(LostRace.class)
                .satisfies(race ->
                        assertThat(((Peg) ((LostRace) race).current()).x()).isEqualTo(3.0));
        assertThat(Running.bean(PlanReader.class).reckon(scope).plan().orchard().revision())
                .isEqualTo(revision);
    }

    @Test
    void aStrangerWritesNothing() {
        Scope stranger = new Scope(
                scope.orchard(),
                Running.bean(AccountService.class)
                        .signUp("stranger" + accounts++, "N", "long enough", UnitSystem.METRIC, "en-GB")
                        .id());
        assertThatThrownBy(() -> changes.make(stranger, "Intruded", pen -> pen.add(pit(Ids.next()))))
                .isInstanceOf(NotFound.class);
        assertThat(Running.bean(PitMapper.class).insert(stranger, pit(Ids.next())))
                .isZero();
        assertThat(Running.bean(PitMapper.class).all(scope)).isEmpty();
    }

    @Test
    void theSameFileTwiceChangesNothing() {
        byte[] file = "date,tmin,tmax\n2020-01-01,1,5\n2020-01-02,2,6\n".getBytes(StandardCharsets.UTF_8);
        WeatherFile.Reading reading =
                WeatherFile.read(file, WeatherFile.Wish.NONE, java.time.ZoneOffset.UTC, Watch.NONE);
        WeatherService weather = Running.bean(WeatherService.class);
        assertThat(weather.store(scope, null, "mast", "a.csv", file, reading, Watch.NONE))
                .isEqualTo(2);
        assertThat(weather.store(scope, null, "mast", "a.csv", file, reading, Watch.NONE))
                .isZero();
        assertThat(Running.bean(PlanReader.class).reckon(scope).plan().weather().size())
                .isEqualTo(2);
    }
}
