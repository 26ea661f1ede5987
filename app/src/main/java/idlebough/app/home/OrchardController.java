package idlebough.app.home;

import idlebough.app.store.Ids;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Reader;
import idlebough.core.measure.Quantity;
import java.time.ZoneId;
import java.util.Map;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of orchards, and a new one. */
@Controller
public class OrchardController {
    private static final String UUID = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";
    private final OrchardMapper orchards;
    private final Founder founder;

    OrchardController(OrchardMapper orchards, Founder founder) {
        this.orchards = orchards;
        this.founder = founder;
    }

    @GetMapping("/")
    String list(Reader reader, Model model) {
        model.addAttribute("orchards", orchards.mine(reader.accountId()));
        model.addAttribute(
                "fields",
                Fields.blank(reader.display())
                        .put("id", Ids.next())
                        .put("timeZone", ZoneId.systemDefault().getId()));
        return "home/orchards";
    }

    @PostMapping("/orchards")
    String create(Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", 120);
        double latitude = fields.required("latitude", Quantity.DEGREES, -66, 66);
        String zone = fields.zone("timeZone");
        if (fields.wrong()) {
            model.addAttribute("orchards", orchards.mine(reader.accountId()));
            model.addAttribute("fields", fields);
            return "home/orchards";
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
}
