package idlebough.app.layout;

import idlebough.app.exchange.PlanPaper;
import idlebough.app.exchange.TreesCsv;
import idlebough.app.exchange.TreesCsvReader;
import idlebough.app.exchange.TreesGeoJson;
import idlebough.app.exchange.TreesGeoJsonReader;
import idlebough.app.exchange.TreesGpx;
import idlebough.app.exchange.TreesRead;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.Plans;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteRow;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.site.LocalFrame;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The trees out as files, and in from them, with what would change told first. */
@Controller
@RequestMapping("/orchards/{orchard}/layout")
public class FilesController {
    private static final long MOST = 1_500_000;
    private final Pages pages;
    private final Plans plans;
    private final Edits edits;
    private final TreesGeoJson geoJson;
    private final PlanPaper paper;

    FilesController(Pages pages, Plans plans, Edits edits, TreesGeoJson geoJson, PlanPaper paper) {
        this.paper = paper;
        this.pages = pages;
        this.plans = plans;
        this.edits = edits;
        this.geoJson = geoJson;
    }

    @GetMapping("/files")
    String files(Scope scope, Reader say, Model model) {
        show(model, pages.open(model, scope, StagePage.LAYOUT), Fields.blank(say.display()));
        return "layout/files";
    }

    private static void show(Model model, PlanView plan, Fields fields) {
        model.addAttribute("fields", fields);
        model.addAttribute("onGlobe", plan.site().where().longitude() != null);
    }

    @GetMapping("/files/trees.csv")
    ResponseEntity<byte[]> csv(Scope scope) {
        return file(TreesCsv.write(plans.open(scope)), "text/csv;charset=UTF-8", "trees.csv");
    }

    @GetMapping("/files/trees.geojson")
    ResponseEntity<byte[]> geoJson(Scope scope) {
        return file(geoJson.write(plans.open(scope)), "application/geo+json", "trees.geojson");
    }

    @GetMapping("/files/trees.gpx")
    ResponseEntity<byte[]> gpx(Scope scope) {
        return file(TreesGpx.write(plans.open(scope)).orElseThrow(NotFound::new), "application/gpx+xml", "trees.gpx");
    }

    @GetMapping("/plan.pdf")
    ResponseEntity<byte[]> pdf(
            Scope scope, Reader say, @RequestParam(name = "paper", defaultValue = "A4") String size) {
        return paper.pdf(scope, say, size, true);
    }

    @GetMapping("/plan.svg")
    ResponseEntity<byte[]> svg(
            Scope scope, Reader say, @RequestParam(name = "paper", defaultValue = "A4") String size) {
        return paper.svg(scope, say, size, true);
    }

    private static ResponseEntity<byte[]> file(String text, String type, String name) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    /** What a file would change; nothing is stored. */
    @PostMapping("/files")
    String look(Scope scope, Reader say, Model model, @RequestParam MultipartFile file) throws IOException {
        PlanView plan = pages.open(model, scope, StagePage.LAYOUT);
        Fields fields = Fields.blank(say.display());
        show(model, plan, fields);
        if (file.getSize() > MOST) {
            fields.complain(
                    "file", "This file is larger than 1.5 MB, more than 20 000 trees take. Nothing was changed.");
            return "layout/files";
        }
        String text = new String(file.getBytes(), StandardCharsets.UTF_8);
        TreeImport read = read(plan.stored(), text);
        if (read.none() && !read.complaints().isEmpty()) {
            fields.complain(
                    "file",
                    String.join(
                            " ",
                            read.complaints()
                                    .subList(0, Math.min(5, read.complaints().size()))));
            return "layout/files";
        }
        model.addAttribute("found", read);
        model.addAttribute("text", text);
        return "layout/files";
    }

    private static TreeImport read(Plan plan, String text) {
        SiteRow.Where where = plan.rows().site().where();
        Optional<LocalFrame> frame = Optional.ofNullable(where.longitude())
                .map(longitude -> new LocalFrame(where.latitude(), longitude, where.rotation()));
        TreesRead read =
                text.stripLeading().startsWith("{") ? TreesGeoJsonReader.read(text, frame) : TreesCsvReader.read(text);
        return TreeImport.of(plan, read.lines(), read.complaints());
    }

    /** Takes what a file says as one change. */
    @PostMapping("/files/take")
    String take(Scope scope, FormStamp stamp, @RequestParam Map<String, String> typed) {
        String text = typed.getOrDefault("text", "");
        boolean takeOut = "true".equals(typed.get("takeOut"));
        edits.apply(
                scope,
                stamp.change("Took trees from a file"),
                now -> read(now, text).edits(now, takeOut, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/layout";
    }
}
