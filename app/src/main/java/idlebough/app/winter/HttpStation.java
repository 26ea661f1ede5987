package idlebough.app.winter;

import idlebough.core.winter.LiveReading;
import idlebough.core.winter.LiveStation;
import idlebough.station.StationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** A station that is asked over HTTP and answers with a {@link StationMessage}. */
final class HttpStation implements LiveStation {
    static final int MOST_BYTES = 4_000_000;
    /** More at once are cut into several messages by whoever sends them. */
    private static final int MOST_READINGS = 5000;

    private final HttpClient client;
    private final URI address;

    HttpStation(HttpClient client, URI address) {
        this.client = client;
        this.address = address;
    }

    @Override
    public List<LiveReading> after(Instant moment) throws IOException {
        String join = address.getRawQuery() == null ? "?" : "&";
        HttpRequest request = HttpRequest.newBuilder(URI.create(
                        address + join + "after=" + URLEncoder.encode(moment.toString(), StandardCharsets.UTF_8)))
                .timeout(Duration.ofSeconds(10))
                .header("Accept", "application/json")
                .build();
        try {
            HttpResponse<InputStream> answer = client.send(request, HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream body = answer.body()) {
                if (answer.statusCode() != 200) {
                    throw new IOException("it answered " + answer.statusCode());
                }
                byte[] bytes = body.readNBytes(MOST_BYTES + 1);
                if (bytes.length > MOST_BYTES) {
                    throw new IOException("it answered with more than " + MOST_BYTES / 1_000_000 + " MB");
                }
                return read(bytes);
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IOException("asking was interrupted");
        }
    }

    /** @throws IOException when it is no message of a station */
    static List<LiveReading> read(byte[] bytes) throws IOException {
        try {
            StationMessage message = JsonMapper.shared().readValue(bytes, StationMessage.class);
            if (message == null
                    || message.readings() == null
                    || message.readings().stream().anyMatch(r -> r == null || r.at() == null)) {
                throw new IOException("there are no readings, or one is without a time");
            }
            if (message.readings().size() > MOST_READINGS) {
                throw new IOException("more than " + MOST_READINGS + " readings at once");
            }
            return message.readings();
        } catch (JacksonException wrong) {
            throw new IOException("this is not in the form of readings");
        }
    }
}
