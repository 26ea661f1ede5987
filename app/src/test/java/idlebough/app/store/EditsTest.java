package idlebough.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import idlebough.app.Running;
import idlebough.app.account.AccountService;
import idlebough.app.home.Founder;
import idlebough.core.crop.Form;
import idlebough.core.judge.Room;
import idlebough.core.measure.UnitSystem;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The one door: journal, undo, lost races, what moved, rights. On the real database. */
@ExtendWith(Running.class)
class EditsTest {
    private static int accounts;
    private Edits edits;
    private Scope scope;

    @BeforeEach
    void anOrchard() {
        edits = Running.bean(Edits.class);
        String account = account();
        scope = new Scope(Running.bean(Founder.class).found(account, "Test ground", 42, "UTC"), account);
    }

    private static String account() {
        return Running.bean(AccountService.class)
                .signUp("changer" + accounts++, "T. Oake", "long enough", UnitSystem.METRIC, "en-GB")
                .id();
    }

    private Plan plan() {
        return Running.bean(Plans.class).open(scope);
    }

    private Edits.Applied make(String cause, Edit... all) {
        return edits.apply(scope, Edits.Change.of(cause), now -> List.of(all));
    }

    private PegRow peg(double x) {
        return new PegRow(RowKey.fresh(scope.orchard()), "A1", x, 2, false);
    }

    private PitRow pit() {
        return new PitRow(
                RowKey.fresh(scope.orchard()),
                "1",
                new PitRow.Place(5, 5),
                new PitRow.Soil(Texture.LOAM, 0.3, null, "", null, null),
                new PitRow.Chemistry(6.5, null, null, false),
                new PitRow.Water(null, null),
                new PitRow.Before(null, null, false),
                new PitRow.Seen(null, false, null));
    }

    private TreeRow tree(PegRow peg) {
        return new TreeRow(
                RowKey.fresh(scope.orchard()),
                peg.id(),
                null,
                new TreeRow.What("apple-cox", "mm106"),
                new TreeRow.Nursery(Form.CONTAINER, 0.4, 0.3, 0.13, 0.02),
                null,
                new TreeRow.Life(Tree.State.PLANNED, null));
    }

    @Test
    void aLoamThatIsReallyClayMovesTheUnionAndSaysSo() {
        PitRow pit = pit();
        make("Dug a pit", Edit.add(pit));
        PegRow peg = peg(6);
        TreeRow tree = tree(peg);
        make("Placed a tree", Edit.add(peg), Edit.add(tree));
        make("It is clay", Edit.change(pit, plan().revision(), Map.of("texture", Texture.CLAY)));
        JournalMapper journal = Running.bean(JournalMapper.class);
        ChangeSet last = journal.sets(scope, 1, 0).get(0);
        assertThat(journal.moved(scope, List.of(last.id()))).anySatisfy(moved -> {
            assertThat(moved.room()).isEqualTo(Room.PLANTING);
            assertThat(moved.subjects().id()).isEqualTo(tree.id());
            assertThat(moved.figure()).isEqualTo("planting.union");
            assertThat(moved.to().orElseThrow().low())
                    .isGreaterThan(moved.from().orElseThrow().low());
        });
        assertThat(journal.entries(scope, List.of(last.id()))).singleElement().satisfies(entry -> {
            assertThat(entry.fromRow()).contains("\"LOAM\"");
            assertThat(entry.toRow()).contains("\"CLAY\"");
        });
    }

    @Test
    void aFigureThatVanishesIsToldToo() {
        PegRow peg = peg(6);
        TreeRow tree = tree(peg);
        make("Placed a tree", Edit.add(peg), Edit.add(tree));
        make("Took it out", Edit.remove(tree, plan().revision()), Edit.remove(peg, plan().revision()));
        JournalMapper journal = Running.bean(JournalMapper.class);
        assertThat(journal.moved(scope, List.of(journal.sets(scope, 1, 0).get(0).id())))
                .anySatisfy(moved -> {
                    assertThat(moved.subjects().id()).isEqualTo(tree.id());
                    assertThat(moved.from()).isPresent();
                    assertThat(moved.to()).isEmpty();
                });
    }

    @Test
    void undoGivesBackWhatStoodThereAndRedoWhatItBecame() {
        PegRow peg = peg(1);
        make("Placed", Edit.add(peg));
        make("Moved A1", Edit.change(peg, plan().revision(), Map.of("x", 9.0)));
        make("Took out", Edit.remove(peg, plan().revision()));
        assertThat(plan().rows().pegs()).isEmpty();
        assertThat(edits.undo(scope)).contains("Took out");
        assertThat(plan().rows().pegs()).singleElement().extracting(PegRow::x).isEqualTo(9.0);
        assertThat(edits.undo(scope)).contains("Moved A1");
        assertThat(plan().rows().pegs()).singleElement().extracting(PegRow::x).isEqualTo(1.0);
        assertThat(edits.redo(scope)).contains("Moved A1");
        assertThat(plan().rows().pegs()).singleElement().extracting(PegRow::x).isEqualTo(9.0);
        edits.undo(scope);
        assertThat(edits.undo(scope)).contains("Placed");
        assertThat(plan().rows().pegs()).isEmpty();
        assertThat(edits.undo(scope)).isEmpty();
    }

    @Test
    void aSetFurtherBackCanBeUndoneWhileItsRowsStandAsItLeftThem() {
        PegRow one = peg(1);
        PegRow other = peg(5);
        make("Placed two", Edit.add(one), Edit.add(other));
        make("Moved one", Edit.change(one, plan().revision(), Map.of("x", 2.0)));
        make("Moved the other", Edit.change(other, plan().revision(), Map.of("x", 6.0)));
        List<ChangeSet> sets = Running.bean(JournalMapper.class).sets(scope, 10, 0);
        assertThat(edits.stuck(scope, sets)).containsOnlyKeys(sets.get(2).id());
        assertThat(edits.undo(scope, sets.get(1).id())).isEqualTo("Moved one");
        assertThat(plan().rows().peg(one.id()).orElseThrow().x()).isEqualTo(1);
        assertThat(plan().rows().peg(other.id()).orElseThrow().x()).isEqualTo(6);
        assertThatThrownBy(() -> edits.undo(scope, sets.get(2).id())).isInstanceOf(LostRace.class);
    }

    @Test
    void theSecondToSaveLosesNothingInSilence() {
        PegRow peg = peg(1);
        make("Placed", Edit.add(peg));
        long seen = plan().revision();
        make("First", Edit.change(peg, seen, Map.of("x", 3.0)));
        long revision = plan().revision();
        assertThatThrownBy(() -> make("Second", Edit.change(peg, seen, Map.of("x", 4.0))))
                .isInstanceOf(LostRace.class)
                .satisfies(race ->
                        assertThat(((PegRow) ((LostRace) race).current()).x()).isEqualTo(3.0));
        assertThat(plan().revision()).isEqualTo(revision);
        make("The same as the first", Edit.change(peg, seen, Map.of("x", 3.0)));
        make("Another field", Edit.change(peg, plan().revision(), Map.of("y", 7.0)));
        assertThat(plan().rows().pegs()).singleElement().extracting(PegRow::x).isEqualTo(3.0);
    }

    @Test
    void aFormIsAppliedOnce() {
        Edits.Change form = new Edits.Change(Optional.of(Ids.next()), "Dug a pit");
        Edits.Applied first = edits.apply(scope, form, now -> List.of(Edit.add(pit())));
        Edits.Applied second = edits.apply(scope, form, now -> List.of(Edit.add(pit())));
        assertThat(second.repeated()).isTrue();
        assertThat(second.rowIds()).isEqualTo(first.rowIds());
        assertThat(plan().rows().pits()).hasSize(1);
    }

    @Test
    void aStrangerWritesNothingAndAHelperOnlyTheRecord() {
        Scope stranger = new Scope(scope.orchard(), account());
        assertThatThrownBy(() -> edits.apply(stranger, Edits.Change.of("Intruded"), now -> List.of(Edit.add(pit()))))
                .isInstanceOf(NotFound.class);
        PegRow peg = peg(6);
        TreeRow tree = tree(peg);
        make("Placed a tree", Edit.add(peg), Edit.add(tree));
        edits.admit(scope, stranger.account(), Role.HELPER);
        edits.apply(
                stranger,
                Edits.Change.of("Planted"),
                now -> List.of(
                        Edit.change(
                                tree,
                                now.revision(),
                                Map.of("state", Tree.State.PLANTED, "plantedOn", LocalDate.of(2027, 3, 20))),
                        Edit.add(new NoteRow(
                                RowKey.fresh(scope.orchard()), tree.id(), LocalDate.of(2027, 3, 20), "moist"))));
        assertThatThrownBy(() -> edits.apply(
                        stranger,
                        Edits.Change.of("Killed"),
                        now -> List.of(Edit.change(tree, now.revision(), Map.of("state", Tree.State.DEAD)))))
                .isInstanceOf(NotAllowed.class);
        edits.admit(scope, stranger.account(), Role.READER);
        assertThatThrownBy(() -> edits.apply(
                        stranger,
                        Edits.Change.of("Noted"),
                        now -> List.of(Edit.add(new NoteRow(
                                RowKey.fresh(scope.orchard()), tree.id(), LocalDate.of(2027, 3, 21), "dry")))))
                .isInstanceOf(NotAllowed.class);
        assertThat(plan().rows().notes()).hasSize(1);
        assertThat(plan().rows().pits()).isEmpty();
    }

    @Test
    void theSameFileTwiceChangesNothing() {
        byte[] file = "date,tmin,tmax\n2020-01-01,1,5\n2020-01-02,2,6\n".getBytes(StandardCharsets.UTF_8);
        WeatherFile.Reading reading = WeatherFile.read(file, WeatherFile.Wish.NONE, ZoneOffset.UTC, Watch.NONE);
        WeatherStore weather = Running.bean(WeatherStore.class);
        assertThat(weather.store(scope, null, "mast", "a.csv", file, reading, Watch.NONE))
                .isEqualTo(2);
        assertThat(weather.store(scope, null, "mast", "a.csv", file, reading, Watch.NONE))
                .isZero();
        assertThat(weather.joined(scope).record().size()).isEqualTo(2);
    }
}
