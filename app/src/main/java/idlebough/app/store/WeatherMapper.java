package idlebough.app.store;

import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.DayWeather;
import idlebough.core.winter.Element;
import idlebough.core.winter.Wetness;
import java.nio.ByteBuffer;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of stations, their files as given and their days. */
@Mapper
public interface WeatherMapper {
    /**
     * One station; a stand-in's days are made, not measured; the offset is added to every day when it is read.
     *
     * @param place the first goes first
     */
    record Station(String id, String name, boolean standIn, Double elevation, double offsetKelvin, int place) {}

    /**
     * One stored day.
     *
     * @param hours 24 doubles, big-endian; null for a day that was not measured by the hour
     */
    record Day(String stationId, LocalDate day, double minimum, double maximum, byte[] hours) {
        public DailyExtremes extremes() {
            return DailyExtremes.measured(day, minimum, maximum);
        }

        /** Null for a day that was not measured by the hour. */
        public double[] celsius() {
            if (hours == null) {
                return null;
            }
            double[] celsius = new double[24];
            ByteBuffer.wrap(hours).asDoubleBuffer().get(celsius);
            return celsius;
        }
    }

    /**
     * One day on its way in.
     *
     * @param hours as {@link Day#hours}, in hexadecimal; null for a day that was not measured by the hour
     */
    record NewDay(LocalDate day, double minimum, double maximum, String hours) {
        static NewDay of(DailyExtremes day, double[] celsius) {
            ByteBuffer packed = celsius == null ? null : ByteBuffer.allocate(24 * Double.BYTES);
            if (packed != null) {
                packed.asDoubleBuffer().put(celsius);
            }
            return new NewDay(
                    day.date(),
                    day.minimum(),
                    day.maximum(),
                    packed == null ? null : HexFormat.of().formatHex(packed.array()));
        }
    }

    /** @param month 1 to 12; the rest as in {@link Wetness.OfMonth} */
    record WetMonth(int month, long days, long rainy, long humid, double humidity) {}

    /** What was measured beside the temperature on one day, in the units of {@link Element}. */
    record Beside(
            String stationId,
            LocalDate day,
            Double rain,
            Double humidity,
            Double wind,
            Double sunshine,
            Double radiation,
            Double snow) {
        static Beside of(DayWeather day) {
            Map<Element, Double> values = day.values();
            return new Beside(
                    null,
                    day.date(),
                    values.get(Element.RAIN),
                    values.get(Element.HUMIDITY),
                    values.get(Element.WIND),
                    values.get(Element.SUNSHINE),
                    values.get(Element.RADIATION),
                    values.get(Element.SNOW));
        }

        public DayWeather weather() {
            Map<Element, Double> values = new EnumMap<>(Element.class);
            values.put(Element.RAIN, rain);
            values.put(Element.HUMIDITY, humidity);
            values.put(Element.WIND, wind);
            values.put(Element.SUNSHINE, sunshine);
            values.put(Element.RADIATION, radiation);
            values.put(Element.SNOW, snow);
            values.values().removeIf(value -> value == null);
            return new DayWeather(day, values);
        }
    }

    /** One file as loaded. */
    record LoadedFile(String id, String name, Instant loadedAt, String station) {}

    /** Those in use, the first first. */
    List<Station> stations(@Param("scope") Scope scope);

    /** Those taken away, which can be brought back. */
    List<Station> removed(@Param("scope") Scope scope);

    int addStation(
            @Param("scope") Scope scope, @Param("id") String id, @Param("name") String name, @Param("place") int place);

    /** Renames a station and says whether its days are made. */
    int markStation(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("name") String name,
            @Param("standIn") boolean standIn);

    int correctStation(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("elevation") Double elevation,
            @Param("kelvin") double kelvin);

    int placeStation(@Param("scope") Scope scope, @Param("id") String id, @Param("place") int place);

    /** Takes a station away or brings it back; its days stay stored. */
    int removeStation(@Param("scope") Scope scope, @Param("id") String id, @Param("deleted") boolean deleted);

    /** Takes all days of a station away. */
    int clearDays(@Param("scope") Scope scope, @Param("id") String id);

    int clearBeside(@Param("scope") Scope scope, @Param("id") String id);

    List<Day> days(@Param("scope") Scope scope);

    /** Which days of a station are stored, from this one on. */
    List<LocalDate> since(@Param("scope") Scope scope, @Param("station") String station, @Param("from") LocalDate from);

    /** Where two stations measured the same day, the first one's row comes first. */
    List<Beside> beside(@Param("scope") Scope scope);

    /** Rain and humidity by month of the year, of all stations in use. */
    List<WetMonth> wetness(@Param("scope") Scope scope);

    List<LoadedFile> files(@Param("scope") Scope scope);

    /** How many files of the stations in use have this content. */
    int filesLike(@Param("scope") Scope scope, @Param("sha256") String sha256);

    /** The id of the file with this content. */
    String fileOf(@Param("scope") Scope scope, @Param("station") String station, @Param("sha256") String sha256);

    int addFile(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("station") String station,
            @Param("name") String name,
            @Param("sha256") String sha256,
            @Param("content") byte[] content,
            @Param("at") Instant at);

    /**
     * Days already there keep their values: the first file that gave them stands.
     *
     * @param days a JSON array of {@link NewDay}: thousands of rows go in with one statement
     * @return how many were new
     */
    int addDays(
            @Param("scope") Scope scope,
            @Param("station") String station,
            @Param("file") String file,
            @Param("days") String days);

    int addBeside(
            @Param("scope") Scope scope,
            @Param("station") String station,
            @Param("file") String file,
            @Param("days") String days);

    /** A station of one orchard as a new one of its copy; then its files, its days and what was measured beside. */
    int copyStation(
            @Param("scope") Scope scope, @Param("copy") Scope copy, @Param("from") String from, @Param("to") String to);

    int copyFiles(
            @Param("scope") Scope scope, @Param("copy") Scope copy, @Param("from") String from, @Param("to") String to);

    int copyDays(
            @Param("scope") Scope scope, @Param("copy") Scope copy, @Param("from") String from, @Param("to") String to);

    int copyBeside(
            @Param("scope") Scope scope, @Param("copy") Scope copy, @Param("from") String from, @Param("to") String to);
}
