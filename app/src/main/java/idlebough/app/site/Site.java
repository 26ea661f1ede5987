package idlebough.app.site;

import idlebough.app.plan.Row;

/** The ground as it is stored. Metres, degrees, per cent; corners as {@code x y;x y}. */
public record Site(
        String id,
        String orchardId,
        double latitude,
        Double longitude,
        Double elevation,
        double rotation,
        Double declination,
        Double slope,
        Double aspect,
        Double prevailingWind,
        Double stormWind,
        String corners,
        int version)
        implements Row {
    @Override
    public String entity() {
        return "site";
    }
}
