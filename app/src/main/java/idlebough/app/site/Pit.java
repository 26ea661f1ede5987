package idlebough.app.site;

import idlebough.app.plan.Row;
import idlebough.core.crop.Crop;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;

/**
 * A soil pit as it is stored.
 *
 * @param layers below the topsoil, as {@code bottom TEXTURE COLOUR mottled roots;…}, metres; {@code -} for no colour
 * @param jar heights after a minute, two hours and two days, as {@code sand silt all}; null when none was made
 */
public record Pit(
        String id,
        String orchardId,
        String label,
        double x,
        double y,
        Texture texture,
        double topsoil,
        Double pan,
        Double ph,
        String layers,
        Double mottles,
        Double waterAt,
        Double salt,
        Double organic,
        boolean fizzes,
        Crop.Kind beforeKind,
        Double yearsSince,
        boolean died,
        Double bottom,
        boolean worms,
        SoilPit.Colour colour,
        String jar,
        String note,
        int version,
        boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "soil_pit";
    }
}
