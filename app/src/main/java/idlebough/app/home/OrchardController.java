package idlebough.app.home;

import idlebough.app.store.Copying;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.Head;
import idlebough.app.store.Ids;
import idlebough.app.store.NotAllowed;
import idlebough.app.store.NotFound;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Purge;
import idlebough.app.store.Right;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Reader;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The morning and the orchards, a new one; renamed, copied, taken away and brought back. */
@Controller
public class OrchardController {
    private static final String UUID = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";
    private static final int LONGEST_NAME = 120;
    private static final double HIGHEST = 66;
    /** Zones named after a place, and the plain offsets. */
    private static final List<String> ZONES = new TreeSet<>(ZoneId.getAvailableZoneIds())
            .stream()
                    .filter(
                            zone -> zone.matches(
                                    "(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.*|UTC|Etc/GMT[+-]\\d+"))
                    .toList();

    private final OrchardMapper orchards;
    private final Founder founder;
    private final MorningService mornings;
    private final Copying copying;
    private final Edits edits;
    private final Clock clock;

    OrchardController(
            OrchardMapper orchards,
            Founder founder,
            MorningService mornings,
            Copying copying,
            Edits edits,
            Clock clock) {
        this.orchards = orchards;
        this.founder = founder;
        this.mornings = mornings;
        this.copying = copying;
        this.edits = edits;
        this.clock = clock;
    }

    @GetMapping("/")
    String home(Reader reader, Model model) {
        return page(
                reader,
                model,
                Fields.blank(reader.display())
                        .put("id", Ids.next())
                        .put("timeZone", ZoneId.systemDefault().getId()));
    }

    private String page(Reader reader, Model model, Fields fields) {
        model.addAttribute("morning", mornings.look(reader));
        model.addAttribute(
                "gone", orchards.gone(reader.accountId(), clock.instant().minus(Purge.KEPT)));
        model.addAttribute("zones", ZONES);
        model.addAttribute("fields", fields);
        return "home/orchards";
    }

    @PostMapping("/orchards")
    String create(Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", LONGEST_NAME);
        double latitude = fields.latitude("latitude", HIGHEST);
        String zone = fields.zone("timeZone");
        if (fields.wrong()) {
            return page(reader, model, fields);
        }
        String id = fields.value("id").matches(UUID) ? fields.value("id") : Ids.next();
        try {
            founder.found(
                    new Scope(id, reader.accountId()),
                    name,
                    latitude,
                    zone,
                    reader.display().system());
        } catch (DuplicateKeyException twice) {
            // The same form was sent before; the orchard that it founded is there.
        }
        return "redirect:/orchards/" + id + "/site/edit";
    }

    private Head head(Scope scope, Right right) {
        Head head = orchards.find(scope);
        if (head == null) {
            throw new NotFound();
        }
        if (!head.role().may(right)) {
            throw new NotAllowed(head.role(), right);
        }
        return head;
    }

    @PostMapping("/orchards/{orchard}/rename")
    String rename(
            Scope scope,
            Reader reader,
            RedirectAttributes told,
            FormStamp stamp,
            @RequestParam Map<String, String> typed) {
        Head head = head(scope, Right.PLAN);
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", LONGEST_NAME);
        if (fields.wrong()) {
            told.addFlashAttribute("told", head.name() + " keeps its name. " + fields.complaint("name"));
        } else {
            edits.apply(
                    scope,
                    stamp.change("Called it " + name),
                    now -> List.of(Edit.change(now.rows().orchard(), stamp.revision(), Map.of("name", name))));
        }
        return "redirect:/";
    }

    @PostMapping("/orchards/{orchard}/copy")
    String copy(Scope scope, RedirectAttributes told) {
        Head head = head(scope, Right.LOOK);
        String name = "Copy of " + head.name();
        copying.copy(scope, name.substring(0, Math.min(LONGEST_NAME, name.length())));
        told.addFlashAttribute("told", head.name() + " was copied, with its weather and without its history.");
        return "redirect:/";
    }

    @PostMapping("/orchards/{orchard}/delete")
    String delete(Scope scope, RedirectAttributes told) {
        Head head = head(scope, Right.GOVERN);
        orchards.remove(scope, clock.instant());
        told.addFlashAttribute(
                "told",
                head.name() + " was taken away. It can be brought back below for " + Purge.KEPT.toDays() + " days.");
        return "redirect:/";
    }

    @PostMapping("/orchards/{gone}/restore")
    String restore(Reader reader, @PathVariable String gone) {
        if (orchards.gone(reader.accountId(), clock.instant().minus(Purge.KEPT)).stream()
                .noneMatch(each -> each.id().equals(gone))) {
            throw new NotFound();
        }
        orchards.remove(new Scope(gone, reader.accountId()), null);
        return "redirect:/";
    }
}
