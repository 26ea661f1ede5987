package idlebough.app.almanac;

import idlebough.app.exchange.CalendarWriter;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Stage;
import idlebough.core.almanac.Task;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is to be done when, from a year before to the stakes. */
@Controller
@RequestMapping("/orchards/{orchard}/almanac")
public class AlmanacController {
    private final Pages pages;
    private final CalendarWriter writer;
    private final Clock clock;

    AlmanacController(Pages pages, CalendarWriter writer, Clock clock) {
        this.pages = pages;
        this.writer = writer;
        this.clock = clock;
    }

    /** One task on the strip of weeks; page units. */
    public record Bar(Task task, double x, double width, double y, boolean past) {}

    /** A quarter on the time axis. */
    public record Quarter(String words, double x) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model) {
        Reckoning plan = pages.open(model, scope, Stage.ALMANAC);
        model.addAttribute(
                "fields",
                Fields.blank(reader.display())
                        .put("plantingDate", plan.plan().settings().plantingDate())
                        .put("version", plan.plan().settings().version()));
        return page(model, plan);
    }

    private String page(Model model, Reckoning plan) {
        List<Task> tasks = plan.tasks();
        LocalDate today =
                LocalDate.now(clock.withZone(ZoneId.of(plan.plan().orchard().timeZone())));
        LocalDate first = plan.plan().settings().plantingDate().minusMonths(13);
        LocalDate last = plan.plan().settings().plantingDate().plusMonths(14);
        double perDay = 640.0 / ChronoUnit.DAYS.between(first, last);
        List<Bar> bars = new ArrayList<>();
        int row = 0;
        for (Task task : tasks) {
            if (!task.from().isAfter(last)) {
                double x = 44 + perDay * ChronoUnit.DAYS.between(first, task.from());
                bars.add(new Bar(
                        task,
                        x,
                        Math.max(4, perDay * (ChronoUnit.DAYS.between(task.from(), task.to()) + 1)),
                        78 + 20.5 * row++,
                        task.to().isBefore(today)));
            }
        }
        List<Quarter> quarters = new ArrayList<>();
        for (LocalDate q = first.withDayOfMonth(1).plusMonths(1); q.isBefore(last); q = q.plusMonths(1)) {
            if (q.getMonthValue() % 3 == 1) {
                quarters.add(new Quarter(
                        q.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, java.util.Locale.ENGLISH) + " "
                                + q.getYear(),
                        44 + perDay * ChronoUnit.DAYS.between(first, q)));
            }
        }
        model.addAttribute("tasks", tasks);
        model.addAttribute(
                "next",
                tasks.stream()
                        .filter(task -> !task.to().isBefore(today))
                        .findFirst()
                        .orElse(null));
        model.addAttribute("today", today);
        model.addAttribute(
                "todayX",
                today.isBefore(first) || today.isAfter(last)
                        ? null
                        : 44 + perDay * ChronoUnit.DAYS.between(first, today));
        model.addAttribute(
                "plantX",
                44
                        + perDay
                                * ChronoUnit.DAYS.between(
                                        first, plan.plan().settings().plantingDate()));
        model.addAttribute("bars", bars);
        model.addAttribute("quarters", quarters);
        return "almanac/almanac";
    }

    /** The planting date: every other date follows it. */
    @PostMapping
    String date(Scope scope, Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.date("plantingDate");
        if (fields.wrong()) {
            Reckoning again = pages.open(model, scope, Stage.ALMANAC);
            model.addAttribute("fields", fields);
            return page(model, again);
        }
        pages.changes()
                .make(
                        scope,
                        "Plant on " + reader.date(day),
                        pen -> pen.save(pages.changes().with(plan.plan().settings(), Map.of("plantingDate", day))));
        return "redirect:/orchards/" + scope.orchard() + "/almanac";
    }

    @GetMapping("/almanac.ics")
    ResponseEntity<String> calendar(Scope scope, Reader reader) {
        Reckoning plan = pages.reckon(scope);
        String file =
                writer.write(scope.orchard(), plan.plan().orchard().name(), plan.tasks(), reader, clock.instant());
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"almanac.ics\"")
                .body(file);
    }
}
