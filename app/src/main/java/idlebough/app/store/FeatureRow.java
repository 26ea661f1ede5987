package idlebough.app.store;

import idlebough.core.site.Feature;
import java.util.Optional;

/**
 * A feature as it is stored; metres.
 *
 * @param points as {@code x y;x y}
 * @param about a zone's pit or an existing tree's crop; null for others
 */
public record FeatureRow(
        RowKey key,
        Feature.Kind kind,
        String name,
        String points,
        Body body,
        Feature.Material material,
        String about,
        Supply supply)
        implements Row {

    /** @param clearance to be kept from it; null for the usual one */
    public record Body(Double height, Double width, Double crown, boolean evergreen, Double clearance) {}

    /** Of wells and taps: L/min and kPa. */
    public record Supply(Double flow, Double pressure) {}

    /** As the core sees it. */
    public Feature feature() {
        return new Feature(
                id(),
                kind,
                name,
                SiteText.points(points),
                Feature.Size.of(body.height(), body.width(), body.crown(), body.clearance()),
                body.evergreen(),
                Optional.ofNullable(material),
                Optional.ofNullable(about));
    }

    /** What to call it: its name, or what it is. */
    public String title() {
        return name.isBlank() ? kind.words() : name;
    }
}
