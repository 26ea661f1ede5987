package idlebough.app.store;

/** The ground as it is stored. Metres, degrees, per cent. Null: not known. */
public record SiteRow(RowKey key, Where where, Fall fall, Winds winds, Boundary boundary, Animals animals, Water water)
        implements Row {

    /** @param rotation turns the plan's north to true north */
    public record Where(double latitude, Double longitude, Double elevation, double rotation, Double declination) {}

    public record Fall(Double slope, Double aspect) {}

    /** Bearings from which they come. */
    public record Winds(Double prevailingWind, Double stormWind) {}

    /**
     * @param corners as {@code x y;x y}; empty while none is drawn
     * @param tapes the tape survey as it was typed; null when there was none
     */
    public record Boundary(String corners, String tapes) {}

    /** @param waterSalt electrical conductivity, dS/m */
    public record Water(Double waterSalt) {}

    /** Pressure: 0 none, 1 some, 2 heavy. */
    public record Animals(int deer, int rabbits, int voles, int gophers, int birds) {}
}
