package idlebough.app.site;

import idlebough.app.plan.Row;
import idlebough.core.site.Texture;

/** A soil pit as it is stored, with its drainage test; readings as {@code minutes metres;…} down from the stick. */
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
        Double holeDiameter,
        Double holeDepth,
        boolean secondFilling,
        boolean waterEntered,
        String readings,
        int version,
        boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "soil_pit";
    }
}
