package idlebough.core.site;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.shredzone.commons.suncalc.SunPosition;
import org.shredzone.commons.suncalc.SunTimes;

/**
 * Where the sun stands, by a known library (Montenbruck & Pfleger 2000 through commons-suncalc), and what its shadow
 * does.
 * Azimuths are true, clockwise from north.
 */
public final class SunPath {
    private SunPath() {}

    /**
     * @param elevation above the horizon as seen, refraction in, degrees
     * @param geometric without refraction, degrees
     * @param azimuth true bearing of the sun, degrees clockwise from north
     */
    public record Sun(double elevation, double geometric, double azimuth) {
        public boolean isUp() {
            return elevation > 0;
        }
    }

    public static Sun at(Instant when, double latitude, double longitude) {
        SunPosition found = SunPosition.compute()
                .on(when.atZone(ZoneOffset.UTC))
                .at(latitude, longitude)
                .execute();
        return new Sun(found.getAltitude(), found.getTrueAltitude(), found.getAzimuth());
    }

    /**
     * The sun of one day in equal steps, as many before noon as after, each in the middle of its step; only where its
     * centre is up. The longitude does not matter to the hours, so none is asked for.
     */
    public static List<Sun> day(LocalDate day, double latitude, int stepMinutes) {
        Instant noon = SunTimes.compute()
                .on(day.atTime(6, 0).toInstant(ZoneOffset.UTC))
                .at(latitude, 0)
                .execute()
                .getNoon()
                .toInstant();
        List<Sun> up = new ArrayList<>();
        for (int minutes = -12 * 60; minutes < 12 * 60; minutes += stepMinutes) {
            Sun sun = at(noon.plusSeconds(60L * minutes + 30L * stepMinutes), latitude, 0);
            if (sun.isUp()) {
                up.add(sun);
            }
        }
        return up;
    }

    /**
     * The shadow's length on the plan per metre of height: 1/(tan α + g) (plane surveying).
     *
     * @param elevation of the sun as seen, degrees
     * @param rise of the ground along the shadow, as a tangent; negative where it falls
     * @return none when the sun is down, or the ground falls away faster than the light
     */
    public static OptionalDouble shadowPerMetre(double elevation, double rise) {
        double below = Math.tan(Math.toRadians(elevation)) + rise;
        return elevation <= 0 || below <= 0 ? OptionalDouble.empty() : OptionalDouble.of(1 / below);
    }

    /** The sun's height at noon, degrees, without refraction: 90 − |latitude − declination|. */
    public static double noonElevation(double latitude, double declination) {
        return 90 - Math.abs(latitude - declination);
    }

    /** Whether a noon shadow falls to the north (else to the south). */
    public static boolean noonShadowFallsNorth(double latitude, double declination) {
        return latitude > declination;
    }
}
