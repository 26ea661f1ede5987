package idlebough.app.store;

import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/** All rows of one orchard that are not taken away, each kind in the order of its ids. Immutable. */
public final class Rows {
    private final Map<Kind, NavigableMap<String, Row>> byKind;

    private Rows(Map<Kind, NavigableMap<String, Row>> byKind) {
        this.byKind = byKind;
    }

    static Rows of(Map<Kind, ? extends Collection<Row>> rows) {
        Map<Kind, NavigableMap<String, Row>> byKind = new EnumMap<>(Kind.class);
        for (Kind kind : Kind.values()) {
            NavigableMap<String, Row> byId = new TreeMap<>();
            Collection<Row> given = rows.get(kind);
            if (given != null) {
                given.forEach(row -> byId.put(row.id(), row));
            }
            byKind.put(kind, byId);
        }
        return new Rows(byKind);
    }

    /** These rows with some of them other than they were; those taken away are gone. */
    Rows with(Collection<Row> changed) {
        Map<Kind, NavigableMap<String, Row>> next = new EnumMap<>(byKind);
        Map<Kind, Boolean> copied = new EnumMap<>(Kind.class);
        for (Row row : changed) {
            Kind kind = Kind.of(row);
            if (copied.putIfAbsent(kind, true) == null) {
                next.put(kind, new TreeMap<>(next.get(kind)));
            }
            if (row.key().deleted()) {
                next.get(kind).remove(row.id());
            } else {
                next.get(kind).put(row.id(), row);
            }
        }
        return new Rows(next);
    }

    int size() {
        return byKind.values().stream().mapToInt(Map::size).sum();
    }

    @SuppressWarnings("unchecked")
    private <T extends Row> List<T> all(Kind kind) {
        return (List<T>) List.copyOf(byKind.get(kind).values());
    }

    /** Every row of a kind. */
    Collection<Row> of(Kind kind) {
        return byKind.get(kind).values();
    }

    public Optional<Row> find(Kind kind, String id) {
        return Optional.ofNullable(byKind.get(kind).get(id));
    }

    public OrchardRow orchard() {
        return (OrchardRow) byKind.get(Kind.ORCHARD).firstEntry().getValue();
    }

    public SiteRow site() {
        return (SiteRow) byKind.get(Kind.SITE).firstEntry().getValue();
    }

    public SettingsRow settings() {
        return (SettingsRow) byKind.get(Kind.SETTINGS).firstEntry().getValue();
    }

    public List<PitRow> pits() {
        return all(Kind.PIT);
    }

    public Optional<PitRow> pit(String id) {
        return find(Kind.PIT, id).map(PitRow.class::cast);
    }

    public List<TestRow> tests() {
        return all(Kind.TEST);
    }

    public List<TestRow> testsOf(String pit) {
        return tests().stream().filter(test -> test.pitId().equals(pit)).toList();
    }

    public Optional<TestRow> test(String id) {
        return find(Kind.TEST, id).map(TestRow.class::cast);
    }

    public List<FeatureRow> features() {
        return all(Kind.FEATURE);
    }

    public Optional<FeatureRow> feature(String id) {
        return find(Kind.FEATURE, id).map(FeatureRow.class::cast);
    }

    public List<ChoiceRow> choices() {
        return all(Kind.CHOICE);
    }

    public Optional<ChoiceRow> choice(String id) {
        return find(Kind.CHOICE, id).map(ChoiceRow.class::cast);
    }

    public Optional<ChoiceRow> choiceOf(String variety) {
        return choices().stream()
                .filter(choice -> choice.varietyKey().equals(variety))
                .findFirst();
    }

    public List<ArrivalRow> arrivals() {
        return all(Kind.ARRIVAL);
    }

    /** Of a tree; empty while nobody looked. */
    public Optional<ArrivalRow> arrivalOf(String tree) {
        return arrivals().stream().filter(row -> row.treeId().equals(tree)).findFirst();
    }

    public List<PegCheckRow> pegChecks() {
        return all(Kind.PEG_CHECK);
    }

    public List<PinRow> pins() {
        return all(Kind.PIN);
    }

    public List<OwnFigureRow> ownFigures() {
        return all(Kind.OWN_FIGURE);
    }

    public List<OwnEntryRow> ownEntries() {
        return all(Kind.OWN_ENTRY);
    }

    public List<BloomRow> blooms() {
        return all(Kind.BLOOM);
    }

    public List<WayRow> ways() {
        return all(Kind.WAY);
    }

    public List<PegRow> pegs() {
        return all(Kind.PEG);
    }

    public Optional<PegRow> peg(String id) {
        return find(Kind.PEG, id).map(PegRow.class::cast);
    }

    public List<TreeRow> trees() {
        return all(Kind.TREE);
    }

    public Optional<TreeRow> tree(String id) {
        return find(Kind.TREE, id).map(TreeRow.class::cast);
    }

    public List<MeasureRow> measures() {
        return all(Kind.MEASURE);
    }

    public List<DoneRow> done() {
        return all(Kind.DONE);
    }

    public List<NoteRow> notes() {
        return all(Kind.NOTE);
    }
}
