package idlebough.siege;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody with a browser's cookies. */
final class Grower {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private final String base;
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .connectTimeout(Duration.ofSeconds(5))
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private String token = "";

    Grower(String base) {
        this.base = base;
    }

    HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    HttpRequest.Builder to(String path) {
        return HttpRequest.newBuilder(URI.create(base + path)).timeout(Duration.ofSeconds(60));
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return send(to(path));
    }

    /** The token of its session, for as long as that lasts. */
    String token() throws IOException, InterruptedException {
        if (token.isEmpty()) {
            Matcher found = TOKEN.matcher(get("/sign-up").body());
            token = found.find() ? found.group(1) : "";
        }
        return token;
    }

    /** Of a session that has just begun. */
    void renew() {
        token = "";
    }

    HttpResponse<String> post(String path, Map<String, String> fields) throws IOException, InterruptedException {
        Map<String, String> all = new LinkedHashMap<>(fields);
        all.putIfAbsent("_csrf", token());
        return send(to(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form(all))));
    }

    static String form(Map<String, String> fields) {
        return fields.entrySet().stream()
                .map(field -> encoded(field.getKey()) + "=" + encoded(field.getValue()))
                .collect(Collectors.joining("&"));
    }

    static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** The stamp that a form carries. */
    static Map<String, String> stamped(long revision, Map<String, String> fields) {
        Map<String, String> all = new LinkedHashMap<>(fields);
        all.put("_edit", UUID.randomUUID().toString());
        all.put("_revision", String.valueOf(revision));
        return all;
    }

    HttpResponse<String> upload(String path, String name, String content) throws IOException, InterruptedException {
        String body = "--x\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + token()
                + "\r\n--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
                + "\"\r\nContent-Type: text/csv\r\n\r\n" + content + "\r\n--x--\r\n";
        return send(to(path)
                .header("Content-Type", "multipart/form-data; boundary=x")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    void signUp(String name) throws IOException, InterruptedException {
        expect(
                302,
                post("/sign-up", Map.of("name", name, "person", name, "password", "three quiet ladders", "units", "METRIC")));
        renew();
    }

    void demo() throws IOException, InterruptedException {
        expect(302, post("/demo", Map.of()));
        renew();
    }

    /** @return the address of a new orchard */
    String founds(String name) throws IOException, InterruptedException {
        HttpResponse<String> founded = post("/orchards", Map.of("name", name, "latitude", "47", "timeZone", "UTC"));
        expect(302, founded);
        return founded.headers().firstValue("location").orElseThrow().replaceAll(".*(/orchards/[^/]+)/.*", "$1");
    }

    static void expect(int status, HttpResponse<String> answer) {
        if (answer.statusCode() != status) {
            throw new IllegalStateException(answer.request().uri() + " answered " + answer.statusCode() + ": "
                    + answer.body().replaceAll("(?s)<[^>]*>|\\s+", " "));
        }
    }
}
