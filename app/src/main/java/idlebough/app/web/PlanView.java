package idlebough.app.web;

import idlebough.app.store.Head;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.Rows;
import idlebough.app.store.SiteRow;
import idlebough.app.store.WeatherMapper;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.Room;
import idlebough.core.orchard.Evaluation;
import idlebough.core.site.Plot;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Stand;
import idlebough.core.site.Terrain;
import idlebough.core.winter.FrostDates;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WinterLedger;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** An opened plan as pages and templates ask of it. Computes nothing; it only finds. */
public final class PlanView {
    private final Plan plan;
    private final Evaluation evaluation;
    private Map<String, TreeView> trees;

    public PlanView(Plan plan) {
        this(plan, plan.evaluation());
    }

    private PlanView(Plan plan, Evaluation evaluation) {
        this.plan = plan;
        this.evaluation = evaluation;
    }

    /** The same rows under another chain. */
    public PlanView as(Evaluation other) {
        return new PlanView(plan, other);
    }

    /** What it is a view of. */
    public Plan stored() {
        return plan;
    }

    public Head head() {
        return plan.head();
    }

    public Rows rows() {
        return plan.rows();
    }

    public SiteRow site() {
        return plan.rows().site();
    }

    public long revision() {
        return plan.revision();
    }

    public Evaluation evaluation() {
        return evaluation;
    }

    /** Null while no boundary is drawn. */
    public Plot plot() {
        return evaluation.site().plot().orElse(null);
    }

    public List<SoilPit> pits() {
        return evaluation.site().pits();
    }

    /** Every tree that stands or will stand, in the order of the pegs. */
    public List<TreeView> trees() {
        return List.copyOf(byId().values());
    }

    private Map<String, TreeView> byId() {
        if (trees == null) {
            trees = new LinkedHashMap<>();
            evaluation.stands().forEach(stand -> trees.put(stand.id(), view(stand)));
        }
        return trees;
    }

    private TreeView view(Stand stand) {
        var row = plan.rows().tree(stand.id()).orElseThrow();
        return new TreeView(evaluation, stand, row, plan.rows().peg(row.pegId()).orElseThrow());
    }

    /** How many trees stand or will stand. */
    public int treeCount() {
        return evaluation.stands().size();
    }

    /** @throws NotFound when no such tree stands */
    public TreeView tree(String id) {
        return evaluation.stand(id).map(this::view).orElseThrow(NotFound::new);
    }

    /** The tree asked for, or the first to plant, or the first, or null when there are none. */
    public TreeView treeOrFirst(String id) {
        if (id != null && !id.isBlank()) {
            return tree(id);
        }
        List<Stand> stands = evaluation.stands();
        return stands.stream()
                .filter(Stand::toPlant)
                .findFirst()
                .or(() -> stands.stream().findFirst())
                .map(this::view)
                .orElse(null);
    }

    /** Trees to be planted of one crop for which one pit speaks. */
    public List<TreeView> toPlant(String pit, String crop) {
        return evaluation.stands().stream()
                .filter(stand -> stand.toPlant()
                        && stand.crop().key().equals(crop)
                        && evaluation
                                .site()
                                .pitOf(stand.id())
                                .filter(spoken -> spoken.id().equals(pit))
                                .isPresent())
                .map(this::view)
                .toList();
    }

    /** The lie of the ground, its sun and its cold air. */
    public Terrain terrain() {
        return evaluation.site().terrain();
    }

    public Findings judged(Room room) {
        return evaluation.stage(room).judged();
    }

    /** Those of a room that are not sound. */
    public List<Finding> doubts(Room room) {
        return judged(room).doubts();
    }

    public WinterLedger winters() {
        return evaluation.winters().ledger();
    }

    public FrostDates frost(double threshold) {
        return evaluation.winters().frost(threshold);
    }

    /** The varieties that are chosen, each once. */
    public List<Variety> chosen() {
        return evaluation.varieties().chosenVarieties();
    }

    /** @throws NotFound when it is not chosen */
    public Variety chosen(String key) {
        return chosen().stream()
                .filter(variety -> variety.key().equals(key))
                .findFirst()
                .orElseThrow(NotFound::new);
    }

    public StationRecord record() {
        return evaluation.orchard().weather().record();
    }

    /** Whether the days are made from monthly means. */
    public boolean synthetic() {
        return evaluation.orchard().weather().synthetic();
    }

    /** In use, the first first. */
    public List<WeatherMapper.Station> stations() {
        return plan.stations();
    }

    /** The one that goes first; null without any. */
    public WeatherMapper.Station station() {
        return plan.stations().isEmpty() ? null : plan.stations().get(0);
    }

    /** How many days each other station gave to the first one's gaps. */
    public List<idlebough.core.winter.Stations.Borrowed> borrowed() {
        return plan.borrowed();
    }
}
