package idlebough.core.site;

/**
 * The plan's own axes on the earth: metres from an origin, x and y turned clockwise from true east and north by the
 * plan's rotation.
 *
 * <p>How: the radii of curvature of the WGS 84 ellipsoid at the origin (meridian M, prime vertical N; Torge 2001,
 * Geodesy, sec. 4.1), so a tangent plane. Over 2 km the error stays below 0.2 m; a plot is smaller. Longitudes are
 * taken
 * the short way round, so a plot may lie across the date line.
 *
 * @param latitude of the origin, degrees, south negative
 * @param longitude of the origin, degrees, east positive
 * @param rotation true bearing of the plan's y axis, degrees clockwise from north
 */
public record LocalFrame(double latitude, double longitude, double rotation) {
    private static final double EQUATOR = 6_378_137.0;
    private static final double ECCENTRICITY_SQUARED = 0.00669437999014;

    /** A place on the earth, degrees. */
    public record Geographic(double latitude, double longitude) {}

    private double bend() {
        double sine = Math.sin(Math.toRadians(latitude));
        return 1 - ECCENTRICITY_SQUARED * sine * sine;
    }

    /** Metres to a degree of latitude at the origin. */
    private double northDegree() {
        return Math.toRadians(EQUATOR * (1 - ECCENTRICITY_SQUARED) / Math.pow(bend(), 1.5));
    }

    /** Metres to a degree of longitude at the origin. */
    private double eastDegree() {
        return Math.toRadians(EQUATOR / Math.sqrt(bend()) * Math.cos(Math.toRadians(latitude)));
    }

    public Point local(Geographic place) {
        double east = wrapped(place.longitude() - longitude) * eastDegree();
        double north = (place.latitude() - latitude) * northDegree();
        double turn = Math.toRadians(rotation);
        return new Point(
                east * Math.cos(turn) - north * Math.sin(turn), east * Math.sin(turn) + north * Math.cos(turn));
    }

    public Geographic geographic(Point point) {
        double turn = Math.toRadians(rotation);
        double east = point.x() * Math.cos(turn) + point.y() * Math.sin(turn);
        double north = point.y() * Math.cos(turn) - point.x() * Math.sin(turn);
        return new Geographic(latitude + north / northDegree(), wrapped(longitude + east / eastDegree()));
    }

    /** Into −180 (exclusive) to 180 (inclusive). */
    static double wrapped(double degrees) {
        double turned = degrees % 360;
        return turned > 180 ? turned - 360 : turned <= -180 ? turned + 360 : turned;
    }
}
