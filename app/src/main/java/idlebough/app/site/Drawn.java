package idlebough.app.site;

import idlebough.app.plan.Row;
import idlebough.core.site.Feature;

/** A feature as it is stored; points as {@code x y;x y}. Flow in L/min and pressure in kPa belong to wells and taps. */
public record Drawn(
        String id,
        String orchardId,
        Feature.Kind kind,
        String name,
        String points,
        Double height,
        Double width,
        Double crown,
        boolean evergreen,
        Feature.Material material,
        Double clearance,
        String about,
        Double flow,
        Double pressure,
        int version,
        boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "feature";
    }

    /** As the core sees it. */
    public Feature feature() {
        return new Feature(
                id, kind, name, SiteText.points(points), height, width, crown, evergreen, material, clearance, about);
    }

    /** What to call it: its name, or what it is. */
    public String title() {
        return name.isBlank() ? kind.words() : name;
    }
}
