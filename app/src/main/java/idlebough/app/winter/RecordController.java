package idlebough.app.winter;

import idlebough.app.store.Edits;
import idlebough.app.store.Right;
import idlebough.app.store.Scope;
import idlebough.app.store.WeatherMapper;
import idlebough.app.store.WeatherStore;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.Column;
import idlebough.core.winter.Element;
import idlebough.core.winter.Lapse;
import idlebough.core.winter.MonthlyMeans;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WeatherFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** Records in: files looked at and stored, stations and their order, made winters where there is no record. */
@Controller
@RequestMapping("/orchards/{orchard}/winters")
public class RecordController {
    private static final List<String> MONTHS =
            List.of("Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec");
    /** A small file is answered at once; a large one after this long with a page that shows how far it is. */
    private static final Duration AT_ONCE = Duration.ofMillis(1200);

    private static final int LONGEST_NAME = 120;
    private final Pages pages;
    private final Edits edits;
    private final WeatherStore service;
    private final LoadService loads;
    private final WeatherMapper weather;
    private final Clock clock;

    RecordController(
            Pages pages, Edits edits, WeatherStore service, LoadService loads, WeatherMapper weather, Clock clock) {
        this.pages = pages;
        this.edits = edits;
        this.service = service;
        this.loads = loads;
        this.weather = weather;
        this.clock = clock;
    }

    /** How much of one element the stations have. */
    public record Beside(Element element, long days, LocalDate from, LocalDate to, double aYear) {}

    @GetMapping("/load")
    String load(Scope scope, Reader reader, Model model) {
        return loadPage(scope, model, Fields.blank(reader.display()));
    }

    private String loadPage(Scope scope, Model model, Fields fields) {
        PlanView plan = pages.open(model, scope, StagePage.WINTERS);
        plan.stations().forEach(station -> {
            String name = "stationElevation-" + station.id();
            if (fields.value(name).isEmpty() && fields.complaint(name) == null) {
                fields.put(name, station.elevation(), Quantity.ELEVATION);
            }
        });
        model.addAttribute("files", weather.files(scope));
        model.addAttribute("removed", weather.removed(scope));
        model.addAttribute("beside", beside(scope));
        model.addAttribute("fields", fields);
        model.addAttribute("strips", YearStrip.of(plan.record()));
        model.addAttribute(
                "lends", plan.borrowed().stream().map(WinterWords::lends).toList());
        model.addAttribute("monthNames", MONTHS);
        return "winter/load";
    }

    private List<Beside> beside(Scope scope) {
        Map<LocalDate, WeatherMapper.Beside> days = new HashMap<>();
        weather.beside(scope).forEach(day -> days.putIfAbsent(day.day(), day));
        List<Beside> all = new ArrayList<>();
        for (Element element : Element.values()) {
            List<LocalDate> dates = new ArrayList<>();
            double sum = 0;
            for (WeatherMapper.Beside day : days.values()) {
                Double value = day.weather().values().get(element);
                if (value != null) {
                    dates.add(day.day());
                    sum += value;
                }
            }
            if (!dates.isEmpty()) {
                dates.sort(null);
                double mean = sum / dates.size();
                all.add(new Beside(
                        element,
                        dates.size(),
                        dates.get(0),
                        dates.get(dates.size() - 1),
                        element == Element.RAIN || element == Element.SUNSHINE ? mean * 365.25 : mean));
            }
        }
        return all;
    }

    /** How much warmer or colder the orchard is than one of its stations. */
    @PostMapping("/stations/{station}/offset")
    String offset(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String station,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Fields fields = new Fields(typed, reader.display());
        String at = "stationElevation-" + station;
        Double elevation = fields.optional(at, Quantity.ELEVATION, -450, 6000);
        Double measured = fields.optional("difference-" + station, Quantity.TEMPERATURE_STEP, -15, 15);
        Double own = plan.site().where().elevation();
        if (measured == null && elevation != null && own == null && !fields.wrong()) {
            fields.complain(at, "The orchard’s own elevation is not known yet; give it on Site first.");
        }
        if (fields.wrong()) {
            return loadPage(scope, model, fields);
        }
        double kelvin = measured != null ? measured : elevation == null ? 0 : Lapse.between(elevation, own);
        edits.weather(scope, "Corrected the station", () -> service.offset(scope, station, elevation, kelvin));
        return "redirect:/orchards/" + scope.orchard() + "/winters";
    }

    @PostMapping("/stations/{station}/first")
    String first(Scope scope, @PathVariable String station) {
        edits.weather(scope, "Put another station first", () -> service.first(scope, station));
        return back(scope);
    }

    @PostMapping("/stations/{station}/remove")
    String remove(Scope scope, @PathVariable String station) {
        edits.weather(scope, "Took a station away", () -> service.remove(scope, station, true));
        return back(scope);
    }

    @PostMapping("/stations/{station}/return")
    String bringBack(Scope scope, @PathVariable String station) {
        edits.weather(scope, "Brought a station back", () -> service.remove(scope, station, false));
        return back(scope);
    }

    private static String back(Scope scope) {
        return "redirect:/orchards/" + scope.orchard() + "/winters/load";
    }

    /** No record at all: twelve monthly means make thirty stand-in winters. */
    @PostMapping("/means")
    String means(Scope scope, Reader reader, Model model, @RequestParam Map<String, String> typed) {
        pages.plan(scope, Right.PLAN);
        Fields fields = new Fields(typed, reader.display());
        List<Double> low = new ArrayList<>();
        List<Double> high = new ArrayList<>();
        for (int month = 0; month < 12; month++) {
            low.add(fields.required("low" + month, Quantity.TEMPERATURE, -50, 40));
            high.add(fields.required("high" + month, Quantity.TEMPERATURE, -40, 55));
        }
        MonthlyMeans means = new MonthlyMeans(
                low, high, Optional.ofNullable(fields.optional("extreme", Quantity.TEMPERATURE, -60, 30)));
        if (!fields.wrong() && means.complaint().isPresent()) {
            fields.complain("extreme", means.complaint().get());
        }
        if (!fields.wrong()) {
            boolean[] stored = {false};
            edits.weather(
                    scope,
                    "Made winters from monthly means",
                    () -> stored[0] = service.standIn(
                            scope,
                            "Stand-in from monthly means",
                            means.days(LocalDate.now(clock).minusDays(1)),
                            means.toString().getBytes(StandardCharsets.UTF_8)));
            if (stored[0]) {
                return "redirect:/orchards/" + scope.orchard() + "/winters";
            }
            fields.complain("extreme", "A measured record is here already; made winters would only blur it.");
        }
        return loadPage(scope, model, fields);
    }

    @PostMapping("/load")
    String take(Scope scope, Reader reader, Model model, @RequestParam MultipartFile file) throws IOException {
        PlanView plan = pages.plan(scope, Right.PLAN);
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "temperatures")
                .replaceAll(".*[/\\\\]", "");
        Optional<LoadService.Load> load = loads.begin(
                scope,
                name.length() > 200 ? name.substring(0, 200) : name,
                file.getBytes(),
                plan.head().zone());
        if (load.isEmpty()) {
            return trouble(
                    scope,
                    reader,
                    model,
                    "Another file of yours is read just now; wait until it is done, or stop it. Nothing was stored.");
        }
        loads.await(load.get(), AT_ONCE);
        return look(scope, reader, model, load.get());
    }

    @GetMapping("/load/{ticket}")
    String again(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String ticket,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        LoadService.Load load = loads.find(scope, ticket, plan.head().zone()).orElse(null);
        if (load != null) {
            loads.await(load, AT_ONCE);
            if (!typed.isEmpty()) {
                load = loads.again(scope, load, typed, plan.head().zone());
                loads.await(load, AT_ONCE);
            }
        }
        return look(scope, reader, model, load);
    }

    private String look(Scope scope, Reader reader, Model model, LoadService.Load load) {
        if (load == null) {
            return trouble(
                    scope,
                    reader,
                    model,
                    "This file has waited more than half an hour and was let go; choose it again. Nothing was stored.");
        }
        return switch (load.state()) {
            case STOPPED ->
                trouble(scope, reader, model, load.name() + ": stopped, as you said. Nothing of it was stored.");
            case FAILED ->
                trouble(
                        scope,
                        reader,
                        model,
                        load.name() + " could not be taken, and that is our fault. Nothing of it was stored.");
            case TOO_LONG ->
                trouble(
                        scope,
                        reader,
                        model,
                        load.name()
                                + " takes longer to read than a minute and a half; cut it into parts. Nothing of it "
                                + "was stored.");
            case STORED -> "redirect:/orchards/" + scope.orchard() + "/winters";
            case READING, STORING -> {
                pages.open(model, scope, StagePage.WINTERS);
                model.addAttribute("load", load);
                yield "winter/progress";
            }
            case READ ->
                load.reading().complaint().isPresent()
                                && load.reading().shape().layout().isEmpty()
                        ? trouble(
                                scope,
                                reader,
                                model,
                                load.name() + ": " + load.reading().complaint().orElseThrow() + " Nothing was stored.")
                        : preview(scope, model, load);
        };
    }

    private String trouble(Scope scope, Reader reader, Model model, String sentence) {
        model.addAttribute("trouble", sentence);
        return loadPage(scope, model, Fields.blank(reader.display()));
    }

    private String preview(Scope scope, Model model, LoadService.Load load) {
        pages.open(model, scope, StagePage.WINTERS);
        StationRecord record =
                new StationRecord(load.reading().days(), load.reading().hours());
        model.addAttribute("load", load);
        model.addAttribute("reading", load.reading());
        model.addAttribute("record", record);
        model.addAttribute("strips", YearStrip.of(record));
        Map<Element, Long> others = new EnumMap<>(Element.class);
        for (Element element : Element.values()) {
            long days = load.reading().with(element);
            if (days > 0) {
                others.put(element, days);
            }
        }
        model.addAttribute("others", others);
        model.addAttribute("kinds", Column.values());
        model.addAttribute("scales", WeatherFile.TimeScale.values());
        return "winter/preview";
    }

    /** How far it is, for the page that watches it. */
    public record Progress(String state, int percent) {}

    @GetMapping("/load/{ticket}/progress")
    @ResponseBody
    Progress progress(Scope scope, @PathVariable String ticket) {
        PlanView plan = pages.plan(scope);
        return loads.find(scope, ticket, plan.head().zone())
                .map(load -> new Progress(load.state().name(), load.percent()))
                .orElseGet(() -> new Progress("GONE", 0));
    }

    @PostMapping("/load/{ticket}/stop")
    String stop(Scope scope, @PathVariable String ticket) {
        PlanView plan = pages.plan(scope, Right.PLAN);
        loads.find(scope, ticket, plan.head().zone()).ifPresent(load -> {
            loads.stop(scope, load);
            loads.await(load, AT_ONCE);
        });
        return "redirect:/orchards/" + scope.orchard() + "/winters/load/" + ticket;
    }

    @PostMapping("/load/{ticket}")
    String store(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String ticket,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope, Right.PLAN);
        LoadService.Load load = loads.find(scope, ticket, plan.head().zone()).orElse(null);
        if (load != null) {
            loads.await(load, AT_ONCE);
            String into = typed.getOrDefault("into", "");
            boolean known = plan.stations().stream().anyMatch(s -> s.id().equals(into));
            String name = typed.getOrDefault("station", "").strip();
            load = loads.store(
                    scope,
                    load,
                    known ? into : null,
                    name.isEmpty()
                            ? "Station " + (plan.stations().size() + 1)
                            : name.substring(0, Math.min(name.length(), LONGEST_NAME)));
            loads.await(load, AT_ONCE);
        }
        return look(scope, reader, model, load);
    }
}
