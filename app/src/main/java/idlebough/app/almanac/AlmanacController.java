package idlebough.app.almanac;

import idlebough.app.exchange.CalendarWriter;
import idlebough.app.store.DoneRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.almanac.Task;
import idlebough.core.site.Tree;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
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
    private final Edits edits;
    private final CalendarWriter writer;
    private final Clock clock;

    AlmanacController(Pages pages, Edits edits, CalendarWriter writer, Clock clock) {
        this.pages = pages;
        this.edits = edits;
        this.writer = writer;
        this.clock = clock;
    }

    /** What is to be done this week. @param minutes of one pair of hands */
    public record ThisWeek(LocalDate from, LocalDate to, List<Task> tasks, int minutes) {
        static ThisWeek of(List<Task> tasks, LocalDate today) {
            LocalDate from = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
            LocalDate to = from.plusDays(6);
            List<Task> due = tasks.stream()
                    .filter(task -> task.isOpen(today) && !task.from().isAfter(to))
                    .toList();
            return new ThisWeek(
                    from,
                    to,
                    due,
                    due.stream().mapToInt(task -> task.work().minutes()).sum());
        }
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(defaultValue = "0") int year) {
        PlanView plan = pages.open(model, scope, StagePage.ALMANAC);
        model.addAttribute(
                "fields",
                Fields.blank(reader.display())
                        .put("plantingDate", plan.rows().settings().plantingDate())
                        .put("orderCloses", plan.rows().settings().order().orderCloses()));
        return page(model, plan, reader, year);
    }

    private String page(Model model, PlanView plan, Reader reader, int year) {
        LocalDate today = LocalDate.now(clock.withZone(plan.head().zone()));
        // What is of no use any more is left out, unless it was done.
        List<Task> tasks = plan.evaluation().almanac().tasks().stream()
                .filter(task -> task.isOpen(today) || task.done().isPresent())
                .toList();
        model.addAttribute("order", plan.rows().settings().order());
        model.addAttribute(
                "toOrder",
                plan.rows().trees().stream()
                        .filter(tree -> tree.life().state() == Tree.State.PLANNED)
                        .count());
        model.addAttribute("tasks", tasks);
        model.addAttribute(
                "next",
                tasks.stream()
                        .filter(task -> task.done().isEmpty() && !task.to().isBefore(today))
                        .findFirst()
                        .orElse(null));
        model.addAttribute("today", today);
        model.addAttribute("week", ThisWeek.of(tasks, today));
        model.addAttribute(
                "strip",
                YearStrip.of(
                        tasks,
                        plan.evaluation().almanac().marks(),
                        plan.site().where().latitude(),
                        new YearStrip.Now(today, plan.rows().settings().plantingDate(), year),
                        reader));
        return "almanac/almanac";
    }

    /** The planting date: every other date follows it. */
    @PostMapping
    String date(Scope scope, Reader reader, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.date("plantingDate");
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.ALMANAC);
            model.addAttribute("fields", fields);
            return page(model, again, reader, 0);
        }
        edits.apply(
                scope,
                stamp.change("Plant on " + reader.date(day)),
                now -> List.of(Edit.change(now.rows().settings(), stamp.revision(), Map.of("plantingDate", day))));
        return "redirect:/orchards/" + scope.orchard() + "/almanac";
    }

    /** A task is ticked off today, or the tick is taken away. */
    @PostMapping("/done")
    String done(
            Scope scope,
            Reader reader,
            FormStamp stamp,
            @RequestParam String task,
            @RequestParam(defaultValue = "almanac") String back) {
        PlanView plan = pages.plan(scope);
        Task known = plan.evaluation().almanac().tasks().stream()
                .filter(each -> each.key().equals(task))
                .findFirst()
                .orElseThrow(NotFound::new);
        LocalDate today = LocalDate.now(clock.withZone(plan.head().zone()));
        String what = reader.of(known.what());
        edits.apply(
                scope,
                stamp.change((known.done().isPresent() ? "Not done: " : "Done: ") + what),
                now -> known.done().isPresent()
                        ? now.rows().done().stream()
                                .filter(row -> row.taskKey().equals(task))
                                .map(row -> Edit.remove(row, stamp.revision()))
                                .toList()
                        : List.of(Edit.add(new DoneRow(RowKey.fresh(scope.orchard()), task, today))));
        return "redirect:" + (back.equals("home") ? "/" : "/orchards/" + scope.orchard() + "/" + Pages.back(back));
    }

    /** When the nursery closes its list; empty for not known. */
    @PostMapping("/order")
    String order(Scope scope, Reader reader, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        LocalDate closes = fields.value("orderCloses").isBlank() ? null : fields.date("orderCloses");
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.ALMANAC);
            fields.put("plantingDate", again.rows().settings().plantingDate());
            model.addAttribute("fields", fields);
            return page(model, again, reader, 0);
        }
        Map<String, Object> change = new HashMap<>();
        change.put("orderCloses", closes);
        edits.apply(
                scope,
                stamp.change(closes == null ? "No closing date" : "The order closes on " + reader.date(closes)),
                now -> List.of(Edit.change(now.rows().settings(), stamp.revision(), change)));
        return "redirect:/orchards/" + scope.orchard() + "/almanac";
    }

    /** The order is sent: every planned tree is ordered, as one change. */
    @PostMapping("/order/sent")
    String sent(Scope scope, FormStamp stamp) {
        PlanView plan = pages.plan(scope);
        LocalDate today = LocalDate.now(clock.withZone(plan.head().zone()));
        edits.apply(scope, stamp.change("Sent the order"), now -> {
            List<Edit> all = new ArrayList<>();
            all.add(Edit.change(now.rows().settings(), stamp.revision(), Map.of("orderSent", today)));
            now.rows().trees().stream()
                    .filter(tree -> tree.life().state() == Tree.State.PLANNED)
                    .forEach(tree -> all.add(Edit.change(tree, stamp.revision(), Map.of("state", Tree.State.ORDERED))));
            return all;
        });
        return "redirect:/orchards/" + scope.orchard() + "/almanac";
    }

    @GetMapping("/almanac.ics")
    ResponseEntity<String> calendar(Scope scope, Reader reader) {
        PlanView plan = pages.plan(scope);
        String file = writer.write(
                scope.orchard(), plan.head().name(), plan.evaluation().almanac().tasks(), reader, clock.instant());
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"almanac.ics\"")
                .body(file);
    }
}
