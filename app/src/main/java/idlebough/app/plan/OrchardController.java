package idlebough.app.plan;

import idlebough.app.layout.PlanMapper;
import idlebough.app.layout.PlanSettings;
import idlebough.app.site.Site;
import idlebough.app.site.SiteMapper;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.core.layout.RowFill;
import idlebough.core.measure.Quantity;
import idlebough.core.crop.ChillModel;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of orchards, a new one, what was changed, and undo. */
@Controller
public class OrchardController {
    private final OrchardMapper orchards;
    private final Founder founder;
    private final Pages pages;

    OrchardController(OrchardMapper orchards, Founder founder, Pages pages) {
        this.orchards = orchards;
        this.founder = founder;
        this.pages = pages;
    }

    @GetMapping("/")
    String list(Reader reader, Model model) {
        model.addAttribute("orchards", orchards.mine(reader.accountId()));
        model.addAttribute(
                "fields",
                Fields.blank(reader.display())
                        .put("timeZone", ZoneId.systemDefault().getId()));
        return "plan/orchards";
    }

    @PostMapping("/orchards")
    String create(Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", 120);
        double latitude = fields.required("latitude", Quantity.DEGREES, -66, 66);
        String zone = zone(fields);
        if (fields.wrong()) {
            model.addAttribute("orchards", orchards.mine(reader.accountId()));
            model.addAttribute("fields", fields);
            return "plan/orchards";
        }
        return "redirect:/orchards/" + founder.found(reader.accountId(), name, latitude, zone) + "/site/edit";
    }

    static String zone(Fields fields) {
        String zone = fields.value("timeZone").strip();
        if (!ZoneId.getAvailableZoneIds().contains(zone)) {
            fields.complain(
                    "timeZone",
                    "“" + zone + "” is not a time zone of the IANA list; write it like Europe/Lisbon or UTC.");
        }
        return zone;
    }

    @PostMapping("/orchards/{orchard}/redo")
    String redo(Scope scope, @RequestParam(defaultValue = "site") String back) {
        pages.changes().redo(scope);
        return "redirect:/orchards/" + scope.orchard() + "/" + (back.matches("[a-z]+(/[a-z]+)?") ? back : "site");
    }

    @PostMapping("/orchards/{orchard}/undo")
    String undo(Scope scope, @RequestParam(defaultValue = "site") String back) {
        pages.changes().undo(scope);
        return "redirect:/orchards/" + scope.orchard() + "/" + (back.matches("[a-z]+(/[a-z]+)?") ? back : "site");
    }

    @PostMapping("/orchards/{orchard}/seen")
    String seen(Scope scope, @RequestParam String set, @RequestParam(defaultValue = "site") String back) {
        pages.reckon(scope);
        orchards.markSeen(scope, set);
        return "redirect:/orchards/" + scope.orchard() + "/" + (back.matches("[a-z]+(/[a-z]+)?") ? back : "site");
    }

    @GetMapping("/orchards/{orchard}/history")
    String history(Scope scope, Reader reader, Model model) {
        pages.open(model, scope, null);
        model.addAttribute(
                "sets",
                orchards.sets(scope, 100).stream()
                        .map(set -> new Entry(set, orchards.moved(scope, set.id())))
                        .toList());
        return "plan/history";
    }

    /** One line of the history. */
    public record Entry(OrchardMapper.ChangeSet set, List<OrchardMapper.Moved> moved) {}

    /** Founds an orchard with an empty site and a plan for the next planting season. */
    @Service
    public static class Founder {
        private final OrchardMapper orchards;
        private final SiteMapper sites;
        private final PlanMapper plans;
        private final Clock clock;

        Founder(OrchardMapper orchards, SiteMapper sites, PlanMapper plans, Clock clock) {
            this.orchards = orchards;
            this.sites = sites;
            this.plans = plans;
            this.clock = clock;
        }

        /** @return its id */
        @Transactional
        public String found(String account, String name, double latitude, String zone) {
            String id = Ids.next();
            orchards.create(id, name, zone, clock.instant());
            orchards.join(id, account, "OWNER");
            Scope scope = new Scope(id, account);
            sites.insert(
                    scope,
                    new Site(
                            Ids.next(),
                            id,
                            latitude,
                            null,
                            null,
                            0,
                            null,
                            null,
                            null,
                            null,
                            null,
                            "",
                            null,
                            0,
                            0,
                            0,
                            0,
                            0,
                            0));
            LocalDate today = LocalDate.now(clock.withZone(ZoneId.of(zone)));
            // Dormant season: the coming March in the north, August in the south.
            LocalDate planting = LocalDate.of(today.getYear(), latitude < 0 ? 8 : 3, 15);
            plans.insert(
                    scope,
                    new PlanSettings(
                            Ids.next(),
                            id,
                            planting.isBefore(today.plusDays(14)) ? planting.plusYears(1) : planting,
                            ChillModel.PORTIONS,
                            RowFill.Pattern.TRIANGLE,
                            3,
                            2,
                            null,
                            0));
            return id;
        }
    }
}
