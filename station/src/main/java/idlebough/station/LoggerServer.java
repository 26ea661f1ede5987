package idlebough.station;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/**
 * Serves a logger's readings on loopback as a real one would: {@code GET /readings?after=2026-11-23T10:00:00Z} gives a
 * {@link StationMessage}. Its faults are switched with {@code POST /faults?fault=STUCK&on=true}.
 */
public final class LoggerServer implements AutoCloseable {
    private final HttpServer server;
    private final JsonMapper json = JsonMapper.shared();

    /** @param port 0 for any that is free */
    public LoggerServer(String name, SimulatedLogger logger, int port, Clock clock) throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/readings", exchange -> {
            try {
                Instant after = Instant.parse(query(exchange).getOrDefault("after", "1970-01-01T00:00:00Z"));
                answer(exchange, 200, json.writeValueAsBytes(new StationMessage(name, logger.after(after))));
            } catch (DateTimeException wrong) {
                answer(exchange, 400, "{}".getBytes(StandardCharsets.UTF_8));
            }
        });
        server.createContext("/faults", exchange -> {
            Map<String, String> query = query(exchange);
            List<SimulatedLogger.Fault> named = Arrays.stream(SimulatedLogger.Fault.values())
                    .filter(fault -> fault.name().equals(query.get("fault")))
                    .toList();
            boolean switched = exchange.getRequestMethod().equals("POST") && !named.isEmpty();
            if (switched) {
                logger.turn(named.get(0), Boolean.parseBoolean(query.get("on")), clock.instant());
            }
            answer(exchange, switched ? 200 : 400, "{}".getBytes(StandardCharsets.UTF_8));
        });
        server.start();
    }

    public URI address() {
        return URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/readings");
    }

    private static Map<String, String> query(HttpExchange exchange) {
        String query = exchange.getRequestURI().getRawQuery();
        return query == null
                ? Map.of()
                : Arrays.stream(query.split("&"))
                        .map(pair -> pair.split("=", 2))
                        .filter(pair -> pair.length == 2)
                        .collect(Collectors.toMap(
                                pair -> pair[0],
                                pair -> URLDecoder.decode(pair[1], StandardCharsets.UTF_8),
                                (a, b) -> b));
    }

    private static void answer(HttpExchange exchange, int status, byte[] body) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(status, body.length);
        exchange.getResponseBody().write(body);
        exchange.close();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
