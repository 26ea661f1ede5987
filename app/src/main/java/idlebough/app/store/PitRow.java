package idlebough.app.store;

import idlebough.core.crop.Crop;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;

/** A soil pit as it is stored; lengths in metres, null where nothing was met or measured. */
public record PitRow(
        RowKey key, String label, Place place, Soil soil, Chemistry chemistry, Water water, Before before, Seen seen)
        implements Row {

    public record Place(double x, double y) {}

    /**
     * @param layers below the topsoil, as {@code bottom TEXTURE COLOUR mottled roots;…}, metres; {@code -} for no
     * colour
     * @param jar heights after a minute, two hours and two days, as {@code sand silt all}; null when none was made
     */
    public record Soil(Texture texture, double topsoil, Double pan, String layers, SoilPit.Colour colour, String jar) {}

    /** @param salt dS/m, @param organic per cent */
    public record Chemistry(Double ph, Double salt, Double organic, boolean fizzes) {}

    public record Water(Double mottles, Double waterAt) {}

    /** What grew here before. */
    public record Before(Crop.Kind beforeKind, Double yearsSince, boolean died) {}

    public record Seen(Double bottom, boolean worms, String note) {}
}
