package idlebough.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody with a browser's cookies and nothing else. */
public final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern ORCHARD = Pattern.compile("/orchards/([0-9a-f-]{36})");
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private String base = Running.base();

    /** Goes on at another instance, with the same cookies. */
    public Visitor at(String other) {
        base = other;
        return this;
    }

    /** Loses all cookies, as after a long pause. */
    public void forget() {
        cookies.getCookieStore().removeAll();
    }

    /** The value of a cookie; empty for none. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(java.net.HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(base + path)).GET().build());
    }

    /** With headers that a browser would not send. */
    public HttpResponse<String> asked(String path, String... headers) {
        return send(
                HttpRequest.newBuilder(URI.create(base + path)).headers(headers).build());
    }

    public byte[] bytes(String path) {
        try {
            return client.send(
                            HttpRequest.newBuilder(URI.create(base + path))
                                    .GET()
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException | InterruptedException failed) {
            throw new IllegalStateException(failed);
        }
    }

    /**
     * Posts a form with a token taken from the sign-in page, which anyone may open, and with the stamp of a page that
     * was
     * loaded just now, unless the fields hold another.
     */
    public HttpResponse<String> post(String path, Map<String, String> fields) {
        Matcher token = TOKEN.matcher(get("/sign-up").body());
        String body = stamped(path, fields).entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        String csrf = token.find() ? URLEncoder.encode(token.group(1), StandardCharsets.UTF_8) : "";
        return sent(path, body + (body.isEmpty() ? "" : "&") + "_csrf=" + csrf);
    }

    /** Posts a body as it is, as a page of ours would: the browser says from where. */
    public HttpResponse<String> sent(String path, String body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .setHeader("Content-Type", "application/x-www-form-urlencoded");
        for (int i = 0; i < headers.length; i += 2) {
            request.setHeader(headers[i], headers[i + 1]);
        }
        return send(request.build());
    }

    private static Map<String, String> stamped(String path, Map<String, String> fields) {
        Map<String, String> all = new LinkedHashMap<>();
        Matcher orchard = ORCHARD.matcher(path);
        if (orchard.find()) {
            all.put("_edit", UUID.randomUUID().toString());
            all.put("_revision", String.valueOf(Running.revision(orchard.group(1))));
        }
        all.putAll(fields);
        return all;
    }

    /** Posts a form with a file in it. */
    public HttpResponse<String> upload(String path, Map<String, String> fields, String name, byte[] file) {
        Matcher token = TOKEN.matcher(get("/sign-up").body());
        Map<String, String> all = stamped(path, fields);
        all.put("_csrf", token.find() ? token.group(1) : "");
        java.io.ByteArrayOutputStream body = new java.io.ByteArrayOutputStream();
        all.forEach((field, value) -> body.writeBytes(
                ("--x\r\nContent-Disposition: form-data; name=\"" + field + "\"\r\n\r\n" + value + "\r\n")
                        .getBytes(StandardCharsets.UTF_8)));
        body.writeBytes(("--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(file);
        body.writeBytes("\r\n--x--\r\n".getBytes(StandardCharsets.UTF_8));
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "multipart/form-data; boundary=x")
                .header("Accept", "text/html")
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }

    /** A new orchard of this visitor: its address. */
    public String founds(String name, String latitude) {
        return post("/orchards", Map.of("name", name, "latitude", latitude, "timeZone", "UTC"))
                .headers()
                .firstValue("location")
                .orElseThrow()
                .replaceAll(".*(/orchards/[^/]+)/.*", "$1");
    }

    /** Makes an account and is signed in by it. */
    /** A plot of 40 m by 30 m in the south, as the one orchard of this grower; its address. */
    public String foundsPlot() {
        String base = founds("My ground", "-36.8");
        post(
                base + "/site/boundary/take",
                Map.of("corners", "0 0;40 0;40 30;0 30", "latitude", "-36.8", "longitude", "174.7", "tapes", ""));
        return base;
    }

    public static Visitor signedUp(String name) {
        Visitor visitor = new Visitor();
        HttpResponse<String> answer = visitor.post(
                "/sign-up",
                Map.of("name", name, "person", name, "password", "long enough", "units", "METRIC", "locale", "en-GB"));
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("Sign-up answered " + answer.statusCode());
        }
        return visitor;
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            return client.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (IOException unreachable) {
            throw new IllegalStateException(unreachable);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }
}
