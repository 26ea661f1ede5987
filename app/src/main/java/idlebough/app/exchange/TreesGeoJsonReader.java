package idlebough.app.exchange;

import idlebough.app.store.PegRow;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Trees from GeoJSON: ours, or points with a tag and a variety. Metres of the plan count, unless the point on the
 * earth was
 * moved away from them.
 */
public final class TreesGeoJsonReader {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** What rounding of degrees explains, m. */
    private static final double ROUNDED = 0.02;

    private TreesGeoJsonReader() {}

    /** @param frame of the orchard; empty while it is not placed on the globe */
    public static TreesRead read(String text, Optional<LocalFrame> frame) {
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (JacksonException broken) {
            return TreesRead.none("This GeoJSON breaks off or is broken near line "
                    + (broken.getLocation() == null ? 1 : broken.getLocation().getLineNr()) + ". Nothing was changed.");
        }
        List<TreeLine> lines = new ArrayList<>();
        List<String> complaints = new ArrayList<>();
        int row = 0;
        for (JsonNode feature : root.path("features")) {
            row++;
            JsonNode about = feature.path("properties");
            String tag = about.path("tag").asString("").strip();
            String variety = about.path("variety").asString("").strip();
            if (tag.isEmpty() && variety.isEmpty()) {
                continue;
            }
            Optional<Point> place = place(feature, about, frame);
            if (tag.isEmpty() || tag.length() > PegRow.LONGEST_LABEL || variety.isEmpty() || place.isEmpty()) {
                complaints.add("Tree " + row + (tag.isEmpty() ? "" : ", " + tag) + ", "
                        + (tag.isEmpty()
                                ? "has no tag."
                                : tag.length() > PegRow.LONGEST_LABEL
                                        ? "has a tag of more than " + PegRow.LONGEST_LABEL + " letters."
                                        : variety.isEmpty() ? "has no variety." : "has no place."));
            } else {
                lines.add(new TreeLine(
                        tag,
                        variety,
                        about.path("stock").asString("").strip(),
                        place.get().x(),
                        place.get().y(),
                        about.path("state").asString("").strip(),
                        row));
            }
        }
        return lines.isEmpty() && complaints.isEmpty()
                ? TreesRead.none("There is no tree in this file: a tree is a point with a tag and a variety.")
                : new TreesRead(lines, complaints);
    }

    private static Optional<Point> place(JsonNode feature, JsonNode about, Optional<LocalFrame> frame) {
        Optional<Point> metres =
                about.path("x_m").isNumber() && about.path("y_m").isNumber()
                        ? Optional.of(new Point(
                                about.path("x_m").asDouble(), about.path("y_m").asDouble()))
                        : Optional.empty();
        JsonNode at = feature.path("geometry").path("coordinates");
        Optional<Point> onEarth =
                frame.isPresent() && at.path(0).isNumber() && at.path(1).isNumber()
                        ? Optional.of(frame.get()
                                .local(new LocalFrame.Geographic(
                                        at.path(1).asDouble(), at.path(0).asDouble())))
                        : Optional.empty();
        return metres.filter(point ->
                        onEarth.map(other -> other.distance(point) <= ROUNDED).orElse(true))
                .or(() -> onEarth);
    }
}
