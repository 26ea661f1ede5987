package idlebough.app.exchange;

import idlebough.app.store.Plan;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The trees of a plan as GeoJSON (RFC 7946): metres of the plan among the properties, and a point on the earth where
 * the
 * orchard is placed on the globe; else they are unlocated, as the standard calls it.
 */
@Component
public class TreesGeoJson {
    private final JsonMapper json;

    TreesGeoJson(JsonMapper json) {
        this.json = json;
    }

    public String write(Plan plan) {
        Optional<LocalFrame> frame = TreesOfPlan.frame(plan);
        List<Object> features = new ArrayList<>();
        for (Stand stand : TreesOfPlan.stands(plan)) {
            TreeLine line = TreesOfPlan.line(stand);
            Map<String, Object> about = new LinkedHashMap<>();
            about.put("kind", "planned_tree");
            about.put("tag", line.tag());
            about.put("variety", line.variety());
            about.put("stock", line.stock());
            about.put("x_m", line.x());
            about.put("y_m", line.y());
            about.put("state", line.state());
            about.put("name", stand.variety().label());
            Map<String, Object> feature = new LinkedHashMap<>();
            feature.put("type", "Feature");
            feature.put("properties", about);
            feature.put(
                    "geometry",
                    frame.map(on -> TreesOfPlan.place(on, stand))
                            .map(at -> Map.of("type", "Point", "coordinates", new double[] {
                                TreesOfPlan.degrees(at.longitude()), TreesOfPlan.degrees(at.latitude())
                            }))
                            .orElse(null));
            features.add(feature);
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("type", "FeatureCollection");
        all.put("features", features);
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(all);
    }
}
