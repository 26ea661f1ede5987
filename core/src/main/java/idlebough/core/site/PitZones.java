package idlebough.core.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.algorithm.construct.LargestEmptyCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.triangulate.VoronoiDiagramBuilder;

/**
 * For which ground each pit speaks: the zones drawn by hand, and elsewhere the nearest pit (Voronoi cells).
 *
 * @param zones each pit's ground, in the order of the pits; a pit in a corner of others' zones may have none
 * @param furthest the place on the plot that is furthest from every pit, where there are pits
 * @param distance from there to the nearest pit, m
 */
public record PitZones(List<Zone> zones, Optional<Point> furthest, double distance) {
    /**
     * @param rings outlines, plan metres
     * @param area m²
     * @param drawn whether a zone was drawn by hand
     */
    public record Zone(String pit, List<List<Point>> rings, double area, boolean drawn) {}

    public static PitZones of(Plot plot, List<SoilPit> pits, List<Feature> features) {
        if (pits.isEmpty()) {
            return new PitZones(List.of(), Optional.empty(), 0);
        }
        Geometry ground = Shapes.polygon(plot.corners());
        List<Feature> drawn = features.stream()
                .filter(f -> f.kind() == Feature.Kind.ZONE
                        && f.about()
                                .filter(id -> pits.stream().anyMatch(p -> p.id().equals(id)))
                                .isPresent())
                .toList();
        Geometry rest = ground;
        for (Feature zone : drawn) {
            rest = rest.difference(zone.geometry());
        }
        List<Zone> zones = new ArrayList<>();
        List<Geometry> nearest = cells(pits, ground);
        for (int i = 0; i < pits.size(); i++) {
            String id = pits.get(i).id();
            Geometry own = nearest.get(i).intersection(rest);
            for (Feature zone : drawn) {
                if (zone.about().filter(id::equals).isPresent()) {
                    own = own.union(zone.geometry().intersection(ground));
                }
            }
            List<List<Point>> rings = new ArrayList<>();
            for (int part = 0; part < own.getNumGeometries(); part++) {
                if (own.getGeometryN(part).getDimension() == 2) {
                    rings.add(Shapes.ring(own.getGeometryN(part)));
                }
            }
            zones.add(new Zone(
                    id,
                    rings,
                    own.getArea(),
                    drawn.stream().anyMatch(z -> z.about().filter(id::equals).isPresent())));
        }
        Geometry places = Shapes.FACTORY.createMultiPointFromCoords(
                pits.stream().map(p -> Shapes.coordinate(p.place())).toArray(Coordinate[]::new));
        // The centre of the largest circle that holds no pit; a corner of the plot may be further still.
        Coordinate hole = LargestEmptyCircle.getCenter(places, ground, 0.5).getCoordinate();
        List<Point> candidates = new ArrayList<>(plot.corners());
        candidates.add(new Point(hole.x, hole.y));
        Point furthest = candidates.stream()
                .max(Comparator.comparingDouble(c -> toNearest(pits, c)))
                .orElseThrow();
        return new PitZones(List.copyOf(zones), Optional.of(furthest), toNearest(pits, furthest));
    }

    private static double toNearest(List<SoilPit> pits, Point at) {
        return pits.stream().mapToDouble(p -> p.place().distance(at)).min().orElse(0);
    }

    /** The ground nearest to each pit; of several at one place the first has it. */
    private static List<Geometry> cells(List<SoilPit> pits, Geometry ground) {
        Map<Point, SoilPit> first = new LinkedHashMap<>();
        pits.forEach(pit -> first.putIfAbsent(pit.place(), pit));
        if (first.size() == 1) {
            return pits.stream()
                    .map(pit -> pit == pits.get(0) ? ground : Shapes.FACTORY.createPolygon())
                    .map(Geometry.class::cast)
                    .toList();
        }
        VoronoiDiagramBuilder builder = new VoronoiDiagramBuilder();
        builder.setSites(pits.stream().map(p -> Shapes.coordinate(p.place())).toList());
        var box = ground.getEnvelopeInternal();
        box.expandBy(box.getDiameter());
        builder.setClipEnvelope(box);
        Geometry diagram = builder.getDiagram(Shapes.FACTORY);
        List<Geometry> cells = new ArrayList<>();
        for (SoilPit pit : pits) {
            Geometry found = Shapes.FACTORY.createPolygon();
            for (int i = 0; first.get(pit.place()) == pit && i < diagram.getNumGeometries(); i++) {
                if (diagram.getGeometryN(i).covers(Shapes.point(pit.place()))) {
                    found = diagram.getGeometryN(i);
                    break;
                }
            }
            cells.add(found);
        }
        return cells;
    }
}
