package idlebough.siege;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Crawls every link and form of a demo as its owner, then sends each of them broken in one to three ways. No answer may be
 * a fault of the server's, and no answer may hold the marked element as an element.
 */
final class Fuzz {
    private static final String MARK = "<x-siege>";
    private static final Pattern LINK = Pattern.compile("(?:href|data-url)=\"(/(?!css|js|vendor|favicon)[^\"#]*)");
    private static final Pattern FORM =
            Pattern.compile("<form([^>]*)>(.*?)</form>", Pattern.DOTALL | Pattern.CASE_INSENSITIVE);
    private static final Pattern ATTRIBUTE = Pattern.compile("([a-z-]+)=\"([^\"]*)\"");
    private static final Pattern FIELD = Pattern.compile("<(?:input|select|textarea|button)([^>]*)>");
    private static final Pattern OPTION = Pattern.compile("<option[^>]*value=\"([^\"]*)\"");
    /** What would end the siege, or the demo that is besieged. */
    private static final Pattern SPARED = Pattern.compile("/sign-out|/account/(password|leave)|.*/delete");

    private static final int MOST_PAGES = 1200;
    private static final List<String> BAD = List.of(
            "", " ", "0", "-1", "1", "999999999999999999999", "-0", "1e309", "-1e-309", "NaN", "Infinity", "1,5", "1.5",
            "1.234,5", "1 000", "\u0661\u0662", "null", "undefined", "true", MARK, "\"><x-siege>", "'\"`;--", "' or '1'='1",
            "${7*7}", "#{7*7}", "*{T(java.lang.Runtime)}", "__${7*7}__::.x", "{{7*7}}", "%00", "\u0000", "\u0007", "\ud800",
            "\ufffe", "\u202e\u0645", "e\u0301\u0301\u0301", "\ud83c\udf4e".repeat(50), "../../../../etc/passwd",
            "..%2f..%2f", "/", "//elsewhere.example", "redirect:/x", "javascript:alert(1)", "2026-02-30", "0000-00-00",
            "+999999999-01-01", "-2026-01-01", "1/1/1", "31.12.2026", "2026-12-31", "9999-12-31", "25:61", "0 0", "0 0\n1 1",
            "0 0;1 1;1 0;0 1", "1e308 1e308\n-1e308 1e308\n0 0", "0,0;0,0;0,0", "[[]]", "{\"a\":1}", "[]", "site?x=1",
            "00000000-0000-0000-0000-000000000000", "ffffffff-ffff-ffff-ffff-ffffffffffff", "\u2028", "\r\nSet-Cookie: a=b",
            "UTC", "Mars/Olympus", "OWNER", "PORTIONS", "2147483648", "9223372036854775808", "0x10", "1/0", "\u221e");

    private final Server server;
    private final Counts counts;
    private final Random random;
    private final List<Target> targets = new ArrayList<>();
    private final List<String> ids = new ArrayList<>();
    private Grower owner;

    /** A link or a form. */
    private record Target(String method, String path, Map<String, String> fields, boolean file) {}

    Fuzz(Server server, Counts counts, Random random) {
        this.server = server;
        this.counts = counts;
        this.random = random;
    }

    void requests(int requests) throws IOException, InterruptedException {
        crawl();
        Grower stranger = new Grower(server.base());
        stranger.signUp("stranger");
        Grower nobody = new Grower(server.base());
        for (int i = 1; i <= requests; i++) {
            Target target = targets.get(random.nextInt(targets.size()));
            Grower who = random.nextInt(20) == 0 ? random.nextBoolean() ? stranger : nobody : owner;
            shoot(who, target);
            if (i % 1000 == 0) {
                counts.keep();
                System.out.println(i + " requests");
                owner = signedIn(owner);
            }
        }
        counts.keep();
        System.out.println("Incidents in the log: " + server.logged("Incident"));
    }

    /** Its session may have been ended by what was sent. */
    private Grower signedIn(Grower grower) throws IOException, InterruptedException {
        if (grower.get("/account").statusCode() == 200) {
            return grower;
        }
        Grower again = new Grower(server.base());
        again.demo();
        return again;
    }

    private void crawl() throws IOException, InterruptedException {
        owner = new Grower(server.base());
        owner.demo();
        Set<String> seen = new HashSet<>();
        Set<String> shapes = new HashSet<>();
        Deque<String> next = new ArrayDeque<>(List.of("/", "/account", "/sign-in", "/sign-up"));
        while (!next.isEmpty() && seen.size() < MOST_PAGES) {
            String path = next.poll();
            if (SPARED.matcher(path).matches() || !seen.add(path)) {
                continue;
            }
            HttpResponse<String> page = owner.get(path);
            judge("GET " + path, page);
            target(shapes, new Target("GET", path.replaceAll("\\?.*", ""), query(path), false));
            if (page.headers().firstValue("content-type").orElse("").startsWith("text/html")) {
                Matcher link = LINK.matcher(page.body());
                while (link.find()) {
                    next.add(link.group(1).replace("&amp;", "&"));
                }
                forms(shapes, path, page.body());
            }
        }
        System.out.println(seen.size() + " pages, " + targets.size() + " links and forms, " + ids.size() + " ids");
        counts.add("fuzz: pages crawled", seen.size());
    }

    private void forms(Set<String> shapes, String page, String body) {
        Matcher form = FORM.matcher(body);
        while (form.find()) {
            Map<String, String> of = attributes(form.group(1));
            String method = of.getOrDefault("method", "get").toUpperCase(java.util.Locale.ROOT);
            Map<String, String> fields = new LinkedHashMap<>();
            boolean file = false;
            Matcher field = FIELD.matcher(form.group(2));
            while (field.find()) {
                Map<String, String> each = attributes(field.group(1));
                file |= "file".equals(each.get("type"));
                if (each.containsKey("name") && !"file".equals(each.get("type"))) {
                    Matcher option = OPTION.matcher(form.group(2).substring(field.end()));
                    String value = each.containsKey("value") ? each.get("value") : option.find() ? option.group(1) : "";
                    fields.putIfAbsent(each.get("name"), value.replace("&quot;", "\"").replace("&amp;", "&"));
                }
            }
            String action = of.getOrDefault("action", page).replace("&amp;", "&").replaceAll("\\?.*", "");
            if (!SPARED.matcher(action).matches()) {
                target(shapes, new Target(method, action, fields, file));
            }
        }
    }

    /** One of each shape three times at most: a thousand trees are one form. */
    private void target(Set<String> shapes, Target target) {
        Matcher id = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}").matcher(target.path + target.fields);
        while (id.find() && ids.size() < 2000) {
            ids.add(id.group());
        }
        String shape = target.method + target.path.replaceAll("[0-9a-f-]{36}", "*") + target.fields.keySet();
        for (int i = 0; i < 3; i++) {
            if (shapes.add(shape + i)) {
                targets.add(target);
                return;
            }
        }
    }

    private static Map<String, String> attributes(String text) {
        Map<String, String> attributes = new LinkedHashMap<>();
        Matcher attribute = ATTRIBUTE.matcher(text);
        while (attribute.find()) {
            attributes.put(attribute.group(1), attribute.group(2));
        }
        return attributes;
    }

    private static Map<String, String> query(String path) {
        Map<String, String> fields = new LinkedHashMap<>();
        if (path.contains("?")) {
            for (String pair : path.substring(path.indexOf('?') + 1).split("&")) {
                String[] part = pair.split("=", 2);
                fields.put(part[0], part.length > 1 ? part[1] : "");
            }
        }
        return fields;
    }

    private String bad() {
        int which = random.nextInt(BAD.size() + 6);
        if (which < BAD.size()) {
            return BAD.get(which);
        }
        if (which == BAD.size()) {
            return "x".repeat(1 << random.nextInt(18));
        }
        if (which == BAD.size() + 1 && !ids.isEmpty()) {
            return ids.get(random.nextInt(ids.size()));
        }
        if (which == BAD.size() + 2) {
            return String.valueOf(random.nextGaussian() * Math.pow(10, random.nextInt(12) - 3));
        }
        StringBuilder noise = new StringBuilder();
        for (int i = random.nextInt(40); i >= 0; i--) {
            noise.appendCodePoint(random.nextInt(4) == 0 ? random.nextInt(0x3000) : 32 + random.nextInt(95));
        }
        return noise.toString();
    }

    private void shoot(Grower who, Target target) throws IOException, InterruptedException {
        Map<String, String> fields = new LinkedHashMap<>(target.fields);
        if (!target.method.equals("GET") && random.nextInt(12) > 0) {
            fields.put("_csrf", who.token());
            fields.computeIfPresent("_edit", (same, old) -> java.util.UUID.randomUUID().toString());
            fields.computeIfPresent("_revision", (same, old) -> "1000000000");
        }
        String path = target.path;
        String extra = "";
        for (int i = random.nextInt(3); i >= 0; i--) {
            switch (random.nextInt(12)) {
                case 0 -> path = path.replaceFirst("[0-9a-f-]{36}", Matcher.quoteReplacement(segment()));
                case 1 -> path = path + "/" + segment();
                case 2 -> fields.put("odd" + random.nextInt(9), bad());
                case 3 -> extra = extra + "&" + name(fields) + "=" + Grower.encoded(bad());
                case 4 -> extra = extra + "&" + name(fields) + "=%" + (char) ('a' + random.nextInt(26)) + "%c3%28";
                case 5 -> fields.remove(name(fields));
                default -> fields.put(name(fields), bad());
            }
        }
        String sent = Grower.form(fields) + extra;
        boolean get = random.nextInt(60) == 0 != target.method.equals("GET");
        HttpRequest.Builder request;
        try {
            if (get) {
                request = who.to(path + (sent.isEmpty() ? "" : "?" + cut(sent))).GET();
            } else {
                request = who.to(path);
                body(request, target, sent, fields);
            }
            headers(request);
        } catch (IllegalArgumentException noAddress) {
            return;
        }
        String what = (get ? "GET " : "POST ") + path + " " + cut(sent);
        try {
            HttpResponse<String> answer = who.send(request);
            judge(what, answer);
            if (answer.statusCode() == 403) {
                // A form that signs in anew ends the token of before.
                who.renew();
            }
        } catch (IOException broken) {
            // A request line or a head that is too long may be cut off; a server that is gone is not there at the next.
            counts.add("fuzz: connections broken", 1);
            who.get("/alive");
        }
    }

    private void body(HttpRequest.Builder request, Target target, String sent, Map<String, String> fields) {
        int how = random.nextInt(30);
        if (target.file && how < 25) {
            StringBuilder body = new StringBuilder();
            fields.forEach((name, value) -> body.append("--x\r\nContent-Disposition: form-data; name=\"")
                    .append(name.replaceAll("[\"\r\n]", ""))
                    .append("\"\r\n\r\n")
                    .append(value)
                    .append("\r\n"));
            body.append("--x\r\nContent-Disposition: form-data; name=\"file\"; filename=\"")
                    .append(random.nextInt(3) == 0 ? bad().replaceAll("[\"\r\n\u0000]", "") : "days.csv")
                    .append("\"\r\n\r\n")
                    .append(file())
                    .append(random.nextInt(10) == 0 ? "" : "\r\n--x--\r\n");
            request.header("Content-Type", "multipart/form-data; boundary=x")
                    .POST(HttpRequest.BodyPublishers.ofString(body.toString()));
            return;
        }
        String type = how == 26 ? "application/json" : how == 27 ? "text/plain" : how == 28 ? "multipart/form-data" : null;
        request.header("Content-Type", type == null ? "application/x-www-form-urlencoded" : type)
                .POST(HttpRequest.BodyPublishers.ofString(how == 26 ? "{\"a\":[1,null]}" : sent, StandardCharsets.UTF_8));
    }

    private String file() {
        return switch (random.nextInt(8)) {
            case 0 -> "";
            case 1 -> bad().repeat(1 + random.nextInt(50));
            case 2 -> "date,tmin,tmax\n" + "2020-01-0" + random.nextInt(99) + "," + bad() + "," + bad() + "\n";
            case 3 -> "time;temp\n2020-01-01 00:00;" + bad() + "\n";
            case 4 -> "{\"type\":\"Polygon\",\"coordinates\":[[[" + bad() + ",0],[1,0],[1,1]]]}";
            case 5 -> "<gpx><trk><trkseg><trkpt lat=\"" + bad() + "\" lon=\"1\"/></trkseg></trk></gpx>";
            case 6 -> "\ufeffa,b,c\r\n\"unclosed\n1,2,3";
            default -> "date,tmin,tmax\n2020-01-01,1,5\n2020-01-02,2,6\n";
        };
    }

    private void headers(HttpRequest.Builder request) {
        switch (random.nextInt(14)) {
            case 0 -> request.header("Accept", "application/json");
            case 1 -> request.header("Accept", "nonsense");
            case 2 -> request.header("Accept-Language", "tlh, *;q=0." + "9".repeat(random.nextInt(50)));
            case 3 -> request.header("X-Forwarded-For", bad().replaceAll("[^ -~]", ""));
            case 4 -> request.header("Range", "bytes=-1");
            case 5 -> request.header("If-Modified-Since", "yesterday");
            default -> request.header("Accept", "text/html");
        }
    }

    private String segment() {
        return Grower.encoded(bad()).replace("+", "%20");
    }

    private static String cut(String text) {
        return text.length() > 4000 ? text.substring(0, 4000).replaceAll("%.?$", "") : text;
    }

    private String name(Map<String, String> fields) {
        // The stamp seldom: a form without it goes no further.
        boolean hidden = random.nextInt(30) == 0;
        List<String> names =
                fields.keySet().stream().filter(name -> name.startsWith("_") == hidden).toList();
        return names.isEmpty() ? "q" : names.get(random.nextInt(names.size()));
    }

    private void judge(String what, HttpResponse<String> answer) throws IOException {
        int status = answer.statusCode();
        counts.add("fuzz: requests", 1);
        counts.add("fuzz: answered " + (status == 302 ? "302, stored" : status / 100 + "xx"), 1);
        boolean script = answer.headers().firstValue("content-type").orElse("").matches("text/html.*|image/svg.*")
                && answer.body().contains(MARK);
        if (status >= 500 || script) {
            counts.add(script ? "fuzz: elements planted" : "fuzz: faults", 1);
            Files.writeString(
                    Path.of("siege/target/found.txt"),
                    status + " " + what + "\n",
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        }
    }
}
