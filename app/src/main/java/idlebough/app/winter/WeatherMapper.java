package idlebough.app.winter;

import idlebough.app.plan.Scope;
import idlebough.core.winter.DailyExtremes;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of stations, their files as given and their days. */
@Mapper
public interface WeatherMapper {
    /** One station; a stand-in's days are made, not measured; the offset is added to every day when it is read. */
    record Station(String id, String name, boolean standIn, Double elevation, double offsetKelvin) {}

    /** One stored day. */
    record Day(LocalDate day, double minimum, double maximum) {}

    /** One file as loaded. */
    record LoadedFile(String id, String name, Instant loadedAt) {}

    Station station(@Param("scope") Scope scope);

    int addStation(@Param("scope") Scope scope, @Param("id") String id, @Param("name") String name);

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

    /** Takes all days of a station away. */
    int clearDays(@Param("scope") Scope scope, @Param("id") String id);

    List<Day> days(@Param("scope") Scope scope);

    List<LoadedFile> files(@Param("scope") Scope scope);

    int addFile(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("station") String station,
            @Param("name") String name,
            @Param("sha256") String sha256,
            @Param("content") byte[] content,
            @Param("at") Instant at);

    /** Days already there keep their values: the first file that gave them stands. @return how many were new */
    int addDays(
            @Param("scope") Scope scope,
            @Param("station") String station,
            @Param("file") String file,
            @Param("days") List<DailyExtremes> days);
}
