package idlebough.app.store;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of stations that give readings by themselves. */
@Mapper
public interface LiveMapper {
    /**
     * How a station is reached.
     *
     * @param pullUrl where it is asked; null when it is not
     * @param pushes whether it has a key with which it may send
     * @param heardAt when it last answered or sent; null for never
     * @param trouble why the last try failed, or null
     */
    record Link(String id, String name, String pullUrl, boolean pushes, Instant heardAt, String trouble) {}

    /** A station and in whose name its readings are stored: the orchard's owner. */
    record Feed(String station, String orchard, String account, String pullUrl, String timeZone) {
        public Scope scope() {
            return new Scope(orchard, account);
        }
    }

    /** One stored reading. */
    record Reading(Instant at, Double celsius, Double humidity, Double wind, Double rain, Double watts, String fault) {}

    /** How many of a station's readings were kept, and how many marked. */
    record Count(String fault, long readings) {}

    List<Link> links(@Param("scope") Scope scope);

    int setPull(@Param("scope") Scope scope, @Param("station") String station, @Param("url") String url);

    int setPush(@Param("scope") Scope scope, @Param("station") String station, @Param("hash") String hash);

    int heard(
            @Param("scope") Scope scope,
            @Param("station") String station,
            @Param("at") Instant at,
            @Param("trouble") String trouble);

    /** Every station of every orchard that is to be asked. */
    List<Feed> toPull();

    /** Whose key this is; null when it is nobody's. */
    Feed byKey(@Param("hash") String hash);

    /** Newest first. */
    List<Reading> readings(
            @Param("scope") Scope scope,
            @Param("station") String station,
            @Param("after") Instant after,
            @Param("most") int most);

    /** When its last sound reading was; null without one. */
    Instant lastSound(@Param("scope") Scope scope, @Param("station") String station);

    /** Its last stored day, from a file or from readings; null without one. */
    LocalDate lastDay(@Param("scope") Scope scope, @Param("station") String station);

    List<Count> counts(@Param("scope") Scope scope, @Param("station") String station, @Param("after") Instant after);

    /** @param readings a JSON array of {@link Reading} @return how many were new */
    int addReadings(@Param("scope") Scope scope, @Param("station") String station, @Param("readings") String readings);
}
