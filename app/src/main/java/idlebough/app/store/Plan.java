package idlebough.app.store;

import idlebough.core.orchard.Evaluation;
import idlebough.core.winter.Stations;
import java.util.List;

/**
 * One orchard as it stood at one revision: its rows, and the chain over them.
 *
 * @param head the orchard as the reader sees it
 */
public record Plan(Head head, Stored stored) {

    /**
     * What all members share of it.
     *
     * @param revision and weatherStamp: at which it stood
     * @param stations in use, the first first
     * @param borrowed days that one station gave for another
     */
    public record Stored(
            long revision,
            long weatherStamp,
            Rows rows,
            List<WeatherMapper.Station> stations,
            List<Stations.Borrowed> borrowed,
            Evaluation evaluation) {}

    public Rows rows() {
        return stored.rows();
    }

    public Evaluation evaluation() {
        return stored.evaluation();
    }

    public List<WeatherMapper.Station> stations() {
        return stored.stations();
    }

    public List<Stations.Borrowed> borrowed() {
        return stored.borrowed();
    }

    /** At which it stands. */
    public long revision() {
        return stored.revision();
    }
}
