package idlebough.station;

import idlebough.core.winter.LiveReading;
import idlebough.core.winter.LiveStation;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/** Pushes a logger's readings to whoever gave it a key, as a station behind a router does. */
public final class LoggerPush {
    private final String name;
    private final LiveStation logger;
    private final URI target;
    private final String key;
    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private Instant sent;

    /** @param from the first readings sent are those after this moment */
    public LoggerPush(String name, LiveStation logger, URI target, String key, Instant from) {
        this.name = name;
        this.logger = logger;
        this.target = target;
        this.key = key;
        this.sent = from;
    }

    /**
     * Sends what has not been taken yet.
     *
     * @return the status of the answer; 204 when there was nothing to send
     * @throws IOException when nobody answers; the same readings are sent again next time
     */
    public synchronized int send() throws IOException, InterruptedException {
        List<LiveReading> readings = logger.after(sent);
        if (readings.isEmpty()) {
            return 204;
        }
        HttpRequest request = HttpRequest.newBuilder(target)
                .header("Authorization", "Bearer " + key)
                .header("Content-Type", "application/json")
                .timeout(Duration.ofSeconds(20))
                .POST(HttpRequest.BodyPublishers.ofByteArray(
                        JsonMapper.shared().writeValueAsBytes(new StationMessage(name, readings))))
                .build();
        int status =
                client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode();
        if (status < 300) {
            sent = readings.get(readings.size() - 1).at();
        }
        return status;
    }
}
