package idlebough.core.irrigation;

import idlebough.core.crop.Form;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.PerTree;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Way;
import idlebough.core.site.SiteStage;
import idlebough.core.site.Stand;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** How much water and how often in the first weeks, for one orchard. */
public final class IrrigationStage implements Stage {
    private final List<Stand> stands;
    private final Way mulch;
    private final Map<String, FirstSeason.Setting> settings;
    private final PerTree<FirstSeason.Setting, FirstSeason> seasons;
    private final PerTree<Judged, List<Finding>> ofTrees;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /** All that one tree's findings depend on. */
    private record Judged(Stand stand, FirstSeason.Setting setting) {}

    private IrrigationStage(
            List<Stand> stands, Map<String, FirstSeason.Setting> settings, Way mulch, IrrigationStage before) {
        this.stands = stands;
        this.mulch = mulch;
        this.settings = settings;
        seasons = PerTree.of(settings, FirstSeason::of, before == null ? null : before.seasons);
        Map<String, Judged> judged = new LinkedHashMap<>(2 * stands.size());
        stands.stream()
                .filter(Stand::toPlant)
                .forEach(stand -> judged.put(stand.id(), new Judged(stand, settings.get(stand.id()))));
        ofTrees = PerTree.of(judged, this::judge, before == null ? null : before.ofTrees);
    }

    /**
     * @param stands every tree that stands or will stand
     * @param planting date of the plan; a tree that is in the ground has its own
     * @param mulch the way of mulching
     * @param before whose answers are taken over where nothing that they depend on changed; null for none
     */
    public static IrrigationStage of(
            List<Stand> stands,
            LocalDate planting,
            SiteStage site,
            WinterStage winters,
            Way mulch,
            IrrigationStage before) {
        Map<LocalDate, PlantingClimate> climates = new HashMap<>();
        Map<String, FirstSeason.Setting> settings = new LinkedHashMap<>(2 * stands.size());
        for (Stand stand : stands) {
            LocalDate day = stand.tree().life().plantedOn().orElse(planting);
            var nursery = stand.tree().nursery();
            settings.put(
                    stand.id(),
                    PerTree.earlier(
                            before == null ? null : before.settings.get(stand.id()),
                            new FirstSeason.Setting(
                                    day,
                                    nursery.form() == Form.BARE ? 0 : nursery.litres(),
                                    site.pitOf(stand.id()),
                                    climates.computeIfAbsent(day, same -> PlantingClimate.after(day, winters)))));
        }
        return before != null && before.stands.equals(stands) && before.settings.equals(settings)
                ? before
                : new IrrigationStage(stands, settings, mulch, before);
    }

    @Override
    public Room room() {
        return Room.IRRIGATION;
    }

    @Override
    public boolean begun() {
        return !stands.isEmpty();
    }

    /** @throws IllegalArgumentException when there is no such tree */
    public FirstSeason seasonOf(String tree) {
        return seasons.of(tree);
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        return Findings.of(ofTrees.all().values());
    }

    private List<Finding> judge(Judged judged) {
        Stand stand = judged.stand();
        return WaterRules.judge(stand.id(), stand.label(), stand.crop().key(), seasonOf(stand.id()), mulch);
    }

    @Override
    public List<KeyFigure> keyFigures() {
        List<KeyFigure> figures = new ArrayList<>();
        stands.stream().filter(Stand::toPlant).forEach(stand -> {
            FirstSeason season = seasonOf(stand.id());
            figures.add(KeyFigure.of("irrigation.watering-in", stand.subject(), Amount.litres(season.wateringIn())));
            figures.add(KeyFigure.of("irrigation.eight-weeks", stand.subject(), Amount.litres(season.total())));
        });
        return figures;
    }
}
