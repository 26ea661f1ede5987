package idlebough.app.exchange;

import idlebough.core.site.LocalFrame.Geographic;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A boundary read from a file: a GeoJSON polygon (RFC 7946) or a GPX 1.1 track.
 *
 * @param ring places in the order of the file, the end not repeated; empty with a complaint
 * @param walked whether it is a track, which wants to be made simple
 * @param notes what was put right while reading, in sentences
 * @param tapes the tape survey that a file of ours carries; null in others
 * @param complaint a sentence when nothing can be read; null when it can
 */
public record BoundaryFile(List<Geographic> ring, boolean walked, List<String> notes, String tapes, String complaint) {
    private static final int MOST_POINTS = 500_000;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    public static BoundaryFile read(byte[] file) {
        String start = new String(file, 0, Math.min(file.length, 200), StandardCharsets.UTF_8)
                .replace("\uFEFF", "")
                .strip();
        if (start.startsWith("{")) {
            return geoJson(file);
        }
        if (start.startsWith("<")) {
            return gpx(file);
        }
        return none(
                file.length == 0
                        ? "This file is empty."
                        : "This is neither GeoJSON nor GPX: the one begins with {, the other with <. Nothing was "
                                + "changed.");
    }

    /** Nothing was read. */
    public static BoundaryFile none(String complaint) {
        return new BoundaryFile(List.of(), false, List.of(), null, complaint);
    }

    private static BoundaryFile geoJson(byte[] file) {
        JsonNode root;
        try {
            root = JSON.readTree(new ByteArrayInputStream(file));
        } catch (JacksonException broken) {
            return none("This GeoJSON breaks off or is broken near line "
                    + (broken.getLocation() == null ? 1 : broken.getLocation().getLineNr()) + ". Nothing was changed.");
        }
        List<JsonNode> polygons = new ArrayList<>();
        JsonNode boundary = polygons(root, polygons, 0);
        JsonNode feature = boundary != null ? boundary : null;
        JsonNode geometry = feature != null ? feature.path("geometry") : polygons.isEmpty() ? null : polygons.get(0);
        if (geometry == null) {
            return none("There is no polygon in this file; a boundary is one. Nothing was changed.");
        }
        List<String> notes = new ArrayList<>();
        JsonNode rings = geometry.path("coordinates");
        if (geometry.path("type").asString("").equals("MultiPolygon")) {
            if (rings.size() > 1) {
                notes.add("The file has " + rings.size() + " parts; the first is taken as the boundary.");
            }
            rings = rings.path(0);
        }
        if (feature == null && polygons.size() > 1) {
            notes.add("The file has " + polygons.size() + " polygons; the first is taken as the boundary.");
        }
        if (rings.size() > 1) {
            notes.add("The polygon has a hole. A boundary has none, so the outer ring is taken; draw what lies in "
                    + "the hole as a feature.");
        }
        List<Geographic> ring = new ArrayList<>();
        for (JsonNode position : rings.path(0)) {
            if (position.size() < 2
                    || !position.path(0).isNumber()
                    || !position.path(1).isNumber()) {
                return none("Position " + (ring.size() + 1) + " of the ring is not two figures. Nothing was changed.");
            }
            ring.add(
                    new Geographic(position.path(1).asDouble(), position.path(0).asDouble()));
        }
        if (ring.size() < 3) {
            return none("The ring has " + ring.size() + " positions; a boundary needs three at least.");
        }
        if (ring.get(0).equals(ring.get(ring.size() - 1))) {
            ring.remove(ring.size() - 1);
        } else {
            notes.add("The ring was not closed; its last corner was joined to its first.");
        }
        String tapes = feature == null
                ? null
                : feature.path("properties").path("tapes").asString(null);
        return new BoundaryFile(List.copyOf(ring), false, List.copyOf(notes), tapes, null);
    }

    /** Gathers polygons; the feature that says of itself that it is the boundary is returned. */
    private static JsonNode polygons(JsonNode node, List<JsonNode> found, int depth) {
        if (depth > 6) {
            return null;
        }
        String type = node.path("type").asString("");
        switch (type) {
            case "FeatureCollection" -> {
                JsonNode boundary = null;
                for (JsonNode feature : node.path("features")) {
                    JsonNode inner = polygons(feature, found, depth + 1);
                    boundary = boundary == null ? inner : boundary;
                }
                return boundary;
            }
            case "Feature" -> {
                int before = found.size();
                polygons(node.path("geometry"), found, depth + 1);
                boolean own = node.path("properties").path("kind").asString("").equals("boundary");
                return own && found.size() > before ? node : null;
            }
            case "GeometryCollection" -> node.path("geometries").forEach(g -> polygons(g, found, depth + 1));
            case "Polygon", "MultiPolygon" -> found.add(node);
            default -> {}
        }
        return null;
    }

    private static BoundaryFile gpx(byte[] file) {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        List<Geographic> track = new ArrayList<>();
        List<Geographic> route = new ArrayList<>();
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(file));
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.DTD) {
                    return none("This file brings a document type of its own, which a GPX track never needs; it was "
                            + "not read.");
                }
                if (event == XMLStreamConstants.START_ELEMENT) {
                    String name = xml.getLocalName().toLowerCase(Locale.ROOT);
                    if (name.equals("trkpt") || name.equals("rtept")) {
                        (name.equals("trkpt") ? track : route)
                                .add(new Geographic(
                                        Double.parseDouble(xml.getAttributeValue(null, "lat")),
                                        Double.parseDouble(xml.getAttributeValue(null, "lon"))));
                        if (track.size() + route.size() > MOST_POINTS) {
                            return none("This track has more than " + MOST_POINTS
                                    + " points; cut out the walk round the boundary. Nothing was changed.");
                        }
                    }
                }
            }
        } catch (XMLStreamException broken) {
            return none("This GPX breaks off or is broken near line "
                    + (broken.getLocation() == null ? 1 : broken.getLocation().getLineNumber())
                    + ". Nothing was changed.");
        } catch (NumberFormatException | NullPointerException noPlace) {
            return none(
                    "Point " + (track.size() + route.size() + 1) + " of the track has no place. Nothing was changed.");
        }
        List<Geographic> ring = track.isEmpty() ? route : track;
        if (ring.size() < 3) {
            return none("There are " + ring.size() + " track points in this file; a boundary needs three at least.");
        }
        return new BoundaryFile(List.copyOf(ring), true, List.of(), null, null);
    }
}
