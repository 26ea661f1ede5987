package idlebough.app.store;

import idlebough.core.site.Tree;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The kinds of rows of an orchard: the table, its columns, and which right changes them. */
public enum Kind {
    ORCHARD("orchard", OrchardRow.class, false),
    SITE("site", SiteRow.class, false),
    SETTINGS("plan", SettingsRow.class, false),
    PIT("soil_pit", PitRow.class, true),
    TEST("drainage_test", TestRow.class, true),
    FEATURE("feature", FeatureRow.class, true),
    CHOICE("variety_choice", ChoiceRow.class, true),
    PIN("variety_pin", PinRow.class, true),
    OWN_FIGURE("variety_own", OwnFigureRow.class, true),
    OWN_ENTRY("own_entry", OwnEntryRow.class, true),
    BLOOM("bloom_seen", BloomRow.class, true),
    WAY("way_choice", WayRow.class, true),
    PEG("peg", PegRow.class, true),
    PEG_CHECK("peg_check", PegCheckRow.class, true),
    TREE("tree", TreeRow.class, true),
    ARRIVAL("arrival", ArrivalRow.class, true),
    MEASURE("union_measure", MeasureRow.class, true),
    NOTE("note", NoteRow.class, true),
    DONE("task_done", DoneRow.class, true);

    /** Fields of a tree, a peg and a test that make a record of the day and not a plan. */
    private static final Map<Kind, Set<String>> RECORDED = Map.of(
            TREE, Set.of("state", "plantedOn", "unionAboveFlare"),
            PEG, Set.of("setOut"),
            TEST, Set.of("readings", "waterEntered", "waterDepth"));

    /** Kinds that record what happened. */
    private static final Set<Kind> RECORDS = EnumSet.of(MEASURE, NOTE, DONE, PEG_CHECK, ARRIVAL);

    private final String table;
    private final boolean deletable;
    private final RowShape shape;

    Kind(String table, Class<? extends Row> type, boolean deletable) {
        this.table = table;
        this.deletable = deletable;
        this.shape = new RowShape(type, deletable);
    }

    /** The table's name; it is also the stable key under which the journal knows the kind. */
    public String table() {
        return table;
    }

    /** For the mapper. */
    public String getTable() {
        return table;
    }

    /** For the mapper: whether rows of it can be taken away. */
    public boolean isDeletable() {
        return deletable;
    }

    /** For the mapper. */
    public List<RowShape.Column> getColumns() {
        return shape.columns();
    }

    RowShape shape() {
        return shape;
    }

    /** The right that a new row of this kind takes. */
    Right rightToAdd() {
        return RECORDS.contains(this) ? Right.RECORD : Right.PLAN;
    }

    /** The right that a change of these fields takes. */
    Right rightToChange(Set<String> fields, Row after) {
        boolean recorded = RECORDED.getOrDefault(this, Set.of()).containsAll(fields)
                && (!fields.contains("state") || ((TreeRow) after).life().state() == Tree.State.PLANTED);
        return recorded ? Right.RECORD : rightToAdd();
    }

    /** @throws IllegalArgumentException when no kind has this table */
    static Kind of(String table) {
        for (Kind kind : values()) {
            if (kind.table.equals(table)) {
                return kind;
            }
        }
        throw new IllegalArgumentException("No kind of row is called " + table + ".");
    }

    static Kind of(Row row) {
        for (Kind kind : values()) {
            if (kind.shape.type() == row.getClass()) {
                return kind;
            }
        }
        throw new IllegalArgumentException(
                "No kind of row is a " + row.getClass().getSimpleName() + ".");
    }
}
