package idlebough.app.site;

import idlebough.app.plan.Row;

/**
 * The ground as it is stored. Metres, degrees, per cent; corners as {@code x y;x y}.
 *
 * @param tapes the tape survey as it was typed; null when there was none
 * @param deer and the others: pressure, 0 none, 1 some, 2 heavy
 */
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
        String tapes,
        int deer,
        int rabbits,
        int voles,
        int gophers,
        int birds,
        int version)
        implements Row {
    @Override
    public String entity() {
        return "site";
    }
}
