package idlebough.app.winter;

import idlebough.app.store.LiveMapper;
import idlebough.app.store.NotFound;
import idlebough.app.store.Right;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.StationWatch;
import idlebough.core.judge.Finding;
import idlebough.core.winter.LiveCheck;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Stations that give readings by themselves: what they said last, and how they are reached. */
@Controller
public class LiveController {
    private static final Logger LOG = LoggerFactory.getLogger(LiveController.class);

    private static final Duration SHOWN = Duration.ofHours(72);
    private static final int MOST = 400;
    private final Pages pages;
    private final LiveMapper live;
    private final LiveService service;
    private final StationWatch watch;
    private final StationAddresses addresses;
    private final Clock clock;

    LiveController(
            Pages pages,
            LiveMapper live,
            LiveService service,
            StationWatch watch,
            StationAddresses addresses,
            Clock clock) {
        this.pages = pages;
        this.live = live;
        this.service = service;
        this.watch = watch;
        this.addresses = addresses;
        this.clock = clock;
    }

    /** The last three days as a line. */
    public record Sketch(
            String line, String marks, List<WinterController.Tick> up, List<WinterController.Tick> across) {}

    @GetMapping("/orchards/{orchard}/winters/stations/{station}/live")
    String show(Scope scope, Reader reader, Model model, @PathVariable String station) {
        return page(scope, model, station, Fields.blank(reader.display()));
    }

    private LiveMapper.Link link(Scope scope, String station) {
        return live.links(scope).stream()
                .filter(each -> each.id().equals(station))
                .findFirst()
                .orElseThrow(NotFound::new);
    }

    private String page(Scope scope, Model model, String station, Fields fields) {
        PlanView plan = pages.open(model, scope, StagePage.WINTERS);
        LiveMapper.Link link = link(scope, station);
        Instant now = clock.instant();
        List<LiveMapper.Reading> readings = live.readings(scope, station, now.minus(SHOWN), MOST);
        Map<String, Long> counts = live.counts(scope, station, now.minus(SHOWN)).stream()
                .collect(Collectors.toMap(LiveMapper.Count::fault, LiveMapper.Count::readings));
        LiveMapper.Reading last = readings.stream()
                .filter(r -> r.fault().equals(LiveCheck.Fault.NONE.name()))
                .findFirst()
                .orElse(null);
        List<Finding> findings = watch.findings(scope, link);
        model.addAttribute(
                "findings",
                pages.shown(plan, findings.stream().filter(f -> !f.isSound()).toList()));
        model.addAttribute(
                "sound",
                pages.shown(plan, findings.stream().filter(Finding::isSound).toList()));
        model.addAttribute("link", link);
        model.addAttribute("last", last);
        model.addAttribute("readings", readings);
        model.addAttribute("counts", counts);
        model.addAttribute("faults", LiveCheck.Fault.values());
        model.addAttribute(
                "fields", fields.value("pullUrl").isEmpty() ? fields.put("pullUrl", link.pullUrl()) : fields);
        model.addAttribute("sketch", sketch(readings, now));
        return "winter/live";
    }

    /** Null without a reading. */
    private static Sketch sketch(List<LiveMapper.Reading> readings, Instant now) {
        double least = readings.stream()
                .filter(r -> r.celsius() != null)
                .mapToDouble(LiveMapper.Reading::celsius)
                .filter(t -> t >= -60 && t <= 60)
                .min()
                .orElse(Double.NaN);
        if (Double.isNaN(least)) {
            return null;
        }
        double most = readings.stream()
                .filter(r -> r.celsius() != null)
                .mapToDouble(LiveMapper.Reading::celsius)
                .filter(t -> t >= -60 && t <= 60)
                .max()
                .orElseThrow();
        double low = Math.floor(least / 5) * 5;
        double high = Math.max(low + 10, Math.ceil(most / 5) * 5);
        StringBuilder line = new StringBuilder();
        StringBuilder marks = new StringBuilder();
        Instant before = null;
        for (int i = readings.size() - 1; i >= 0; i--) {
            LiveMapper.Reading r = readings.get(i);
            if (r.celsius() == null || r.celsius() < -60 || r.celsius() > 60) {
                continue;
            }
            double x = x(r.at(), now);
            double y = 590 - 530 * (r.celsius() - low) / (high - low);
            if (!r.fault().equals(LiveCheck.Fault.NONE.name())) {
                marks.append(String.format(Locale.ROOT, "M%.1f %.1fl6 6m0 -6l-6 6", x - 3, y - 3));
                continue;
            }
            boolean gap = before == null || Duration.between(before, r.at()).toHours() >= 3;
            line.append(String.format(Locale.ROOT, "%s%.1f %.1f", gap ? "M" : "L", x, y));
            before = r.at();
        }
        List<WinterController.Tick> up = new ArrayList<>();
        for (double value = low; value <= high; value += 5) {
            up.add(new WinterController.Tick(String.valueOf(value), 590 - 530 * (value - low) / (high - low)));
        }
        List<WinterController.Tick> across = new ArrayList<>();
        for (int hours = 72; hours >= 0; hours -= 12) {
            across.add(new WinterController.Tick(
                    hours == 0 ? "now" : hours + " h ago", x(now.minus(Duration.ofHours(hours)), now)));
        }
        return new Sketch(line.toString(), marks.toString(), up, across);
    }

    private static double x(Instant at, Instant now) {
        return 640 - 580.0 * Duration.between(at, now).toSeconds() / SHOWN.toSeconds();
    }

    @PostMapping("/orchards/{orchard}/winters/stations/{station}/ask")
    String ask(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String station,
            @RequestParam Map<String, String> typed) {
        pages.plan(scope, Right.PLAN);
        link(scope, station);
        Fields fields = new Fields(typed, reader.display());
        String url = fields.value("pullUrl").strip();
        String complaint = url.isEmpty() ? null : addresses.complaint(url);
        if (complaint != null) {
            fields.complain("pullUrl", complaint);
            return page(scope, model, station, fields);
        }
        service.ask(scope, station, url.isEmpty() ? null : url);
        return back(scope, station);
    }

    private static String back(Scope scope, String station) {
        return "redirect:/orchards/" + scope.orchard() + "/winters/stations/" + station + "/live";
    }

    /** The key is shown on this page only. */
    @PostMapping("/orchards/{orchard}/winters/stations/{station}/key")
    String key(Scope scope, Reader reader, Model model, @PathVariable String station) {
        pages.plan(scope, Right.PLAN);
        link(scope, station);
        model.addAttribute("key", service.newKey(scope, station));
        return page(scope, model, station, Fields.blank(reader.display()));
    }

    @PostMapping("/orchards/{orchard}/winters/stations/{station}/key/end")
    String endKey(Scope scope, @PathVariable String station) {
        pages.plan(scope, Right.PLAN);
        service.endKey(scope, station);
        return back(scope, station);
    }

    /** A station sends; its key says whose it is. Nothing is read of what comes without one. */
    @PostMapping("/readings")
    ResponseEntity<Map<String, Object>> push(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization, HttpServletRequest request)
            throws IOException {
        LiveMapper.Feed feed = authorization.startsWith("Bearer ")
                ? service.feed(authorization.substring("Bearer ".length()).strip())
                : null;
        if (feed == null) {
            LOG.warn("A station came with a wrong key from {}", request.getRemoteAddr());
            return said(HttpStatus.UNAUTHORIZED, "A station’s key is wanted: Authorization: Bearer and the key.");
        }
        try {
            LiveService.Taken taken = service.take(
                    feed.scope(),
                    feed.station(),
                    ZoneId.of(feed.timeZone()),
                    HttpStation.read(request.getInputStream().readNBytes(HttpStation.MOST_BYTES)));
            return ResponseEntity.accepted().body(Map.of("kept", taken.kept(), "doubted", taken.doubted()));
        } catch (IOException wrong) {
            return said(HttpStatus.BAD_REQUEST, "Not read: " + wrong.getMessage() + ".");
        }
    }

    private static ResponseEntity<Map<String, Object>> said(HttpStatus status, String sentence) {
        return ResponseEntity.status(status).body(Map.of("error", sentence));
    }
}
