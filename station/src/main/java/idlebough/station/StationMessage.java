package idlebough.station;

import idlebough.core.winter.LiveReading;
import java.util.List;

/**
 * What a station says over the wire, pulled or pushed, as JSON: {@code {"station": "…", "readings": [{"at":
 * "2026-11-23T10:00:00Z", "celsius": 3.4, "humidity": 81, "wind": 2.1, "rain": 0.2, "watts": 120}]}}. Only {@code at}
 * is
 * always there.
 */
public record StationMessage(String station, List<LiveReading> readings) {}
