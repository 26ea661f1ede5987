package idlebough.app.exchange;

import idlebough.app.store.FeatureRow;
import idlebough.app.store.PitRow;
import idlebough.app.store.Plan;
import idlebough.app.store.SiteRow;
import idlebough.app.store.SiteText;
import idlebough.core.site.Feature;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The ground as GeoJSON (RFC 7946): the boundary, every feature and every pit, with what is known of them in metres.
 * {@link BoundaryFile} reads the boundary and its tapes back.
 */
@Component
public class SiteGeoJson {
    private final JsonMapper json;

    SiteGeoJson(JsonMapper json) {
        this.json = json;
    }

    public String write(Plan plan) {
        SiteRow site = plan.rows().site();
        SiteRow.Where where = site.where();
        LocalFrame frame =
                new LocalFrame(where.latitude(), where.longitude() == null ? 0 : where.longitude(), where.rotation());
        List<Object> features = new ArrayList<>();
        if (!site.boundary().corners().isBlank()) {
            Map<String, Object> about = new LinkedHashMap<>();
            about.put("kind", "boundary");
            about.put("name", plan.head().name());
            if (where.longitude() == null) {
                about.put("note", "the orchard's longitude is not known; it is drawn at 0");
            }
            put(about, "tapes", site.boundary().tapes());
            put(about, "slope_percent", site.fall().slope());
            put(about, "aspect_degrees", site.fall().aspect());
            features.add(
                    feature(Feature.Shape.AREA, SiteText.points(site.boundary().corners()), frame, about));
        }
        for (FeatureRow drawn : plan.rows().features()) {
            Map<String, Object> about = new LinkedHashMap<>();
            about.put("kind", drawn.kind().name().toLowerCase(Locale.ROOT));
            put(about, "name", drawn.name().isBlank() ? null : drawn.name());
            put(about, "height_m", drawn.body().height());
            put(about, "width_m", drawn.body().width());
            put(about, "crown_m", drawn.body().crown());
            put(
                    about,
                    "material",
                    drawn.material() == null ? null : drawn.material().name().toLowerCase(Locale.ROOT));
            put(about, "clearance_m", drawn.body().clearance());
            put(about, "flow_l_min", drawn.supply().flow());
            put(about, "pressure_kpa", drawn.supply().pressure());
            features.add(feature(drawn.kind().shape(), SiteText.points(drawn.points()), frame, about));
        }
        for (PitRow pit : plan.rows().pits()) {
            Map<String, Object> about = new LinkedHashMap<>();
            about.put("kind", "pit");
            about.put("name", pit.label());
            about.put("texture", pit.soil().texture().label());
            put(about, "ph", pit.chemistry().ph());
            features.add(feature(
                    Feature.Shape.POINT,
                    List.of(new Point(pit.place().x(), pit.place().y())),
                    frame,
                    about));
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("type", "FeatureCollection");
        all.put("features", features);
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(all);
    }

    private static void put(Map<String, Object> about, String name, Object value) {
        if (value != null) {
            about.put(name, value);
        }
    }

    private static Map<String, Object> feature(
            Feature.Shape shape, List<Point> points, LocalFrame frame, Map<String, Object> about) {
        List<double[]> places = new ArrayList<>(
                points.stream().map(p -> position(frame.geographic(p))).toList());
        Object coordinates = switch (shape) {
            case POINT -> places.get(0);
            case LINE -> places;
            case AREA -> {
                places.add(places.get(0));
                yield List.of(places);
            }
        };
        Map<String, Object> geometry = new LinkedHashMap<>();
        geometry.put(
                "type",
                shape == Feature.Shape.POINT ? "Point" : shape == Feature.Shape.LINE ? "LineString" : "Polygon");
        geometry.put("coordinates", coordinates);
        Map<String, Object> feature = new LinkedHashMap<>();
        feature.put("type", "Feature");
        feature.put("properties", about);
        feature.put("geometry", geometry);
        return feature;
    }

    /** To about a millimetre. */
    private static double[] position(LocalFrame.Geographic place) {
        return new double[] {Math.rint(place.longitude() * 1e8) / 1e8, Math.rint(place.latitude() * 1e8) / 1e8};
    }
}
