package idlebough.app.variety;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.OwnEntryRow;
import idlebough.app.store.Plan;
import idlebough.app.store.Right;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.crop.BadCell;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.OwnEntry;
import idlebough.core.crop.OwnEntry.What;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

/** The orchard's own varieties and stocks, and its own values over shipped ones: by form, by table, and out again. */
@Controller
@RequestMapping("/orchards/{orchard}/catalogue")
public class CatalogueController {
    private static final int LONGEST = 500;
    private static final int MOST_BYTES = 1_000_000;
    private static final List<Asked> ASKED = Table.rows("crop/columns.csv").stream()
            .map(row -> new Asked(
                    What.valueOf(row.get("what")),
                    row.get("column"),
                    row.get("label"),
                    row.get("hint"),
                    row.get("quantity").isEmpty() ? null : Quantity.valueOf(row.get("quantity")),
                    row.get("wide").equals("1")))
            .toList();

    private final Pages pages;
    private final Edits edits;

    CatalogueController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /**
     * One field of the form.
     *
     * @param quantity in whose units it is read; null for text and bare numbers
     */
    public record Asked(What what, String column, String label, String hint, Quantity quantity, boolean wide) {}

    /** One row that is the orchard's own. @param shipped whether it lies over a shipped one */
    public record Own(OwnEntryRow row, String name, boolean shipped, List<String> columns) {
        public String path() {
            return path(OwnEntry.What.valueOf(row.what())) + "/" + row.entryKey();
        }

        static String path(What what) {
            return what == What.VARIETY ? "varieties" : "rootstocks";
        }
    }

    @GetMapping
    String list(Scope scope, Reader reader, Model model) {
        return list(scope, model, (OwnRows) null);
    }

    private String list(Scope scope, Model model, OwnRows loaded) {
        PlanView plan = pages.open(model, scope, StagePage.VARIETIES);
        Catalogue catalogue = catalogue(plan);
        model.addAttribute(
                "entries",
                plan.rows().ownEntries().stream()
                        .map(row -> own(row, catalogue))
                        .toList());
        model.addAttribute("loaded", loaded);
        return "variety/catalogue";
    }

    private static Own own(OwnEntryRow row, Catalogue catalogue) {
        OwnEntry entry = row.entry();
        return new Own(
                row,
                catalogue.cells(entry.what(), entry.key()).getOrDefault("name", entry.key()),
                !Catalogue.shippedCells(entry.what(), entry.key()).isEmpty(),
                ASKED.stream()
                        .filter(asked ->
                                asked.what() == entry.what() && entry.cells().containsKey(asked.column()))
                        .map(asked -> asked.label().toLowerCase(java.util.Locale.ENGLISH))
                        .toList());
    }

    @GetMapping("/{kind}/new")
    String fresh(Scope scope, Reader reader, Model model, @PathVariable String kind) {
        What what = what(kind);
        return form(scope, model, what, "", Fields.blank(reader.display()));
    }

    @GetMapping("/{kind}/{entry}")
    String edit(Scope scope, Reader reader, Model model, @PathVariable String kind, @PathVariable("entry") String key) {
        What what = what(kind);
        PlanView plan = pages.plan(scope);
        Map<String, String> cells = catalogue(plan).cells(what, key);
        if (cells.isEmpty()) {
            throw new NotFound();
        }
        Fields fields = Fields.blank(reader.display());
        for (Asked asked : ASKED) {
            if (asked.what() == what) {
                String cell = cells.getOrDefault(asked.column(), "");
                if (asked.quantity() != null && !cell.isEmpty()) {
                    fields.put(asked.column(), Double.valueOf(cell), asked.quantity());
                } else {
                    fields.put(asked.column(), cell);
                }
            }
        }
        stored(plan, what, key).ifPresent(row -> fields.put("remark", row.remark()));
        return form(scope, model, what, key, fields);
    }

    private String form(Scope scope, Model model, What what, String key, Fields fields) {
        PlanView plan = pages.open(model, scope, what == What.VARIETY ? StagePage.VARIETIES : StagePage.ROOTSTOCKS);
        Map<String, String> shipped = Catalogue.shippedCells(what, key);
        model.addAttribute("fields", fields);
        model.addAttribute("asked", ASKED.stream().filter(a -> a.what() == what).toList());
        model.addAttribute("crops", catalogue(plan).crops());
        model.addAttribute("isVariety", what == What.VARIETY);
        model.addAttribute("shippedCells", shipped);
        model.addAttribute("isShipped", !shipped.isEmpty());
        model.addAttribute("isOwn", stored(plan, what, key).isPresent());
        model.addAttribute(
                "name",
                shipped.getOrDefault("name", catalogue(plan).cells(what, key).getOrDefault("name", "")));
        model.addAttribute("action", Own.path(what) + (key.isEmpty() ? "" : "/" + key));
        return "variety/entry";
    }

    @PostMapping("/{kind}")
    String add(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String kind,
            @RequestParam Map<String, String> typed) {
        return save(scope, reader, model, stamp, what(kind), "", typed);
    }

    @PostMapping("/{kind}/{entry}")
    String change(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String kind,
            @PathVariable("entry") String key,
            @RequestParam Map<String, String> typed) {
        What what = what(kind);
        if (catalogue(pages.plan(scope)).cells(what, key).isEmpty()) {
            throw new NotFound();
        }
        return save(scope, reader, model, stamp, what, key, typed);
    }

    private String save(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            What what,
            String key,
            Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        Map<String, String> shipped = Catalogue.shippedCells(what, key);
        Map<String, String> cells = new LinkedHashMap<>();
        for (Asked asked : ASKED) {
            if (asked.what() == what) {
                cell(fields, asked).ifPresent(cell -> cells.put(asked.column(), cell));
            }
        }
        String remark = fields.atMost("remark", LONGEST);
        // Over a shipped row only what is other than it is the grower's own; an emptied field gives the shipped one
        // back.
        cells.entrySet().removeIf(cell -> same(cell.getValue(), shipped.get(cell.getKey())));
        OwnEntry entry = new OwnEntry(what, key.isEmpty() ? OwnRows.freshKey() : key, cells);
        if (!fields.wrong()) {
            try {
                catalogue(pages.plan(scope)).check(entry);
            } catch (BadCell wrong) {
                fields.complain(wrong.column(), wrong.getMessage());
            }
        }
        if (fields.wrong()) {
            return form(scope, model, what, key, fields);
        }
        String name = cells.getOrDefault("name", shipped.getOrDefault("name", key));
        edits.apply(
                scope,
                stamp.change((key.isEmpty() ? "Added the own " : "Own values of ") + name),
                now -> saved(now, entry, remark == null ? "" : remark, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard()
                + (what == What.VARIETY ? "/varieties?variety=" + entry.key() : "/catalogue");
    }

    private static boolean same(String told, String shipped) {
        if (told.equals(shipped)) {
            return true;
        }
        try {
            return shipped != null && Math.abs(Double.parseDouble(told) - Double.parseDouble(shipped)) < 1e-6;
        } catch (NumberFormatException text) {
            return false;
        }
    }

    private static Optional<String> cell(Fields fields, Asked asked) {
        if (asked.quantity() != null) {
            Double value = fields.optional(asked.column(), asked.quantity(), -100, 100);
            return Optional.ofNullable(value).map(String::valueOf);
        }
        return Optional.ofNullable(fields.atMost(asked.column(), LONGEST)).map(OwnRows::pointed);
    }

    private static List<Edit> saved(Plan now, OwnEntry entry, String remark, long base) {
        Optional<OwnEntryRow> before = now.rows().ownEntries().stream()
                .filter(row ->
                        row.entry().what() == entry.what() && row.entryKey().equals(entry.key()))
                .findFirst();
        boolean shipped = !Catalogue.shippedCells(entry.what(), entry.key()).isEmpty();
        if (shipped && entry.cells().isEmpty()) {
            return before.map(row -> Edit.remove(row, base)).stream().toList();
        }
        return List.of(before.map(row ->
                        Edit.change(row, base, Map.of("cells", OwnEntryRow.written(entry.cells()), "remark", remark)))
                .orElseGet(() -> Edit.add(OwnEntryRow.of(RowKey.fresh(now.head().id()), entry, remark))));
    }

    /** Takes an own row away, or gives the shipped values back. */
    @PostMapping("/{kind}/{entry}/remove")
    String remove(Scope scope, FormStamp stamp, @PathVariable String kind, @PathVariable("entry") String key) {
        PlanView plan = pages.plan(scope, Right.PLAN);
        OwnEntryRow row = stored(plan, what(kind), key).orElseThrow(NotFound::new);
        String name = catalogue(plan).cells(what(kind), key).getOrDefault("name", key);
        edits.apply(
                scope,
                stamp.change("Took back the own values of " + name),
                now -> List.of(Edit.remove(row, stamp.revision())));
        return "redirect:/orchards/" + scope.orchard() + "/catalogue";
    }

    /** Rows of a text table, typed or as a file. What cannot be read stays to be mended; the rest is stored. */
    @PostMapping("/{kind}/load")
    String load(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String kind,
            @RequestParam(defaultValue = "") String rows,
            @RequestParam(required = false) MultipartFile file)
            throws IOException {
        What what = what(kind);
        PlanView plan = pages.plan(scope, Right.PLAN);
        model.addAttribute("loadedKind", kind);
        if (file != null && file.getSize() > MOST_BYTES) {
            model.addAttribute("trouble", "A catalogue of more than a megabyte is no table of varieties.");
            return list(scope, model, null);
        }
        String text = file == null || file.isEmpty() ? rows : new String(file.getBytes(), StandardCharsets.UTF_8);
        OwnRows read;
        try {
            read = OwnRows.read(what, text, catalogue(plan));
        } catch (OwnRows.NoTable none) {
            model.addAttribute("trouble", none.getMessage());
            model.addAttribute("left", text);
            return list(scope, model, null);
        }
        if (!read.good().isEmpty()) {
            edits.apply(
                    scope,
                    stamp.change(
                            "Loaded " + read.good().size() + " own " + (what == What.VARIETY ? "varieties" : "stocks")),
                    now -> all(now, read.good(), stamp.revision()));
        }
        if (read.bad().isEmpty() && !read.good().isEmpty()) {
            return "redirect:/orchards/" + scope.orchard() + "/catalogue";
        }
        model.addAttribute("left", read.left());
        if (read.bad().isEmpty()) {
            model.addAttribute("trouble", "There was no row under the names of the columns.");
        }
        return list(scope, model, read);
    }

    private static List<Edit> all(Plan now, List<OwnEntry> entries, long base) {
        List<Edit> all = new ArrayList<>();
        entries.forEach(entry -> all.addAll(saved(now, entry, "", base)));
        return all;
    }

    @GetMapping(path = "/{kind}.csv", produces = "text/csv;charset=UTF-8")
    @ResponseBody
    String table(Scope scope, @PathVariable String kind, @RequestParam(required = false) String own) {
        return OwnRows.written(what(kind), catalogue(pages.plan(scope)), own != null);
    }

    private static Optional<OwnEntryRow> stored(PlanView plan, What what, String key) {
        return plan.rows().ownEntries().stream()
                .filter(row -> row.entry().what() == what && row.entryKey().equals(key))
                .findFirst();
    }

    private static Catalogue catalogue(PlanView plan) {
        return plan.evaluation().varieties().catalogue();
    }

    private static What what(String kind) {
        return switch (kind) {
            case "varieties" -> What.VARIETY;
            case "rootstocks" -> What.ROOTSTOCK;
            default -> throw new NotFound();
        };
    }
}
