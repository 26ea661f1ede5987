package idlebough.app.plan;

import idlebough.app.daybook.Measure;
import idlebough.app.daybook.Note;
import idlebough.app.layout.Peg;
import idlebough.app.layout.PlanSettings;
import idlebough.app.layout.Tree;
import idlebough.app.layout.WayChoice;
import idlebough.app.site.Drawn;
import idlebough.app.site.Filling;
import idlebough.app.site.Pit;
import idlebough.app.site.Site;
import idlebough.app.variety.Choice;
import idlebough.app.variety.OwnFigure;
import idlebough.app.winter.BloomSeen;
import idlebough.app.winter.WeatherMapper;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Stations;
import idlebough.core.winter.WinterLedger;
import idlebough.core.winter.WinterWays;
import java.util.List;

/** Everything stored of one orchard, as it stood at one revision. */
public record Plan(
        Orchard orchard,
        Site site,
        PlanSettings settings,
        List<Pit> pits,
        List<Filling> fillings,
        List<Drawn> drawn,
        List<Choice> choices,
        List<OwnFigure> ownFigures,
        List<BloomSeen> bloomSeen,
        List<WayChoice> ways,
        List<Peg> pegs,
        List<Tree> trees,
        List<Measure> measures,
        List<Note> notes,
        StationRecord weather,
        List<WeatherMapper.Station> stations,
        List<Stations.Lent> lent) {

    /** The same plan with one peg elsewhere: what a drag asks about. */
    public Plan withPegAt(String pegId, double x, double y) {
        List<Peg> moved = pegs.stream()
                .map(peg -> peg.id().equals(pegId)
                        ? new Peg(peg.id(), peg.orchardId(), peg.label(), x, y, peg.version(), peg.deleted())
                        : peg)
                .toList();
        return new Plan(
                orchard,
                site,
                settings,
                pits,
                fillings,
                drawn,
                choices,
                ownFigures,
                bloomSeen,
                ways,
                moved,
                trees,
                measures,
                notes,
                weather,
                stations,
                lent);
    }

    /** The same plan with one feature elsewhere, or with one more: what drawing asks about. */
    public Plan withDrawn(Drawn changed) {
        List<Drawn> all = new java.util.ArrayList<>(
                drawn.stream().filter(d -> !d.id().equals(changed.id())).toList());
        all.add(changed);
        return new Plan(
                orchard,
                site,
                settings,
                pits,
                fillings,
                List.copyOf(all),
                choices,
                ownFigures,
                bloomSeen,
                ways,
                pegs,
                trees,
                measures,
                notes,
                weather,
                stations,
                lent);
    }

    /** The one that goes first; null without any. */
    public WeatherMapper.Station station() {
        return stations.isEmpty() ? null : stations.get(0);
    }

    /** Null without a station. */
    public String stationName() {
        return stations.isEmpty() ? null : station().name();
    }

    /** Whether the days are made from monthly means. */
    public boolean standIn() {
        return stations.stream().anyMatch(WeatherMapper.Station::standIn);
    }

    /** How its winters are counted. */
    public WinterLedger.Counting counting() {
        String way = ways.stream()
                .filter(w -> w.treeId() == null && w.wayKey().equals(WinterWays.UTAH.key()))
                .map(WayChoice::choice)
                .findFirst()
                .orElse(null);
        return new WinterLedger.Counting(WinterWays.ownStart(way), standIn());
    }
}
