package idlebough.app.site;

import idlebough.app.exchange.BoundaryFile;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteRow;
import idlebough.app.store.SiteText;
import idlebough.app.web.BadInput;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.core.measure.Quantity;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.WalkedTrack;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The boundary from a file: looked at first, taken when it is right. */
@Controller
@RequestMapping("/orchards/{orchard}/site/boundary")
public class BoundaryController {
    private static final long MOST = 20_000_000;
    /** A file of that size takes some hundred megabytes while it is read; two at once would be too much. */
    private static final Semaphore ALONE = new Semaphore(1, true);

    private static final int PATIENCE_SECONDS = 10;
    private static final double USUAL_TOLERANCE = 1.5;
    private final Pages pages;
    private final Edits edits;

    BoundaryController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model) {
        SiteController.open(pages, scope, reader, model, false);
        model.addAttribute("fields", Fields.blank(reader.display()).put("tolerance", USUAL_TOLERANCE, Quantity.LENGTH));
        return "site/boundary";
    }

    @PostMapping
    String look(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam MultipartFile file,
            @RequestParam Map<String, String> typed)
            throws IOException {
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        Fields fields = new Fields(typed, reader.display());
        model.addAttribute("fields", fields);
        Double asked = fields.optional("tolerance", Quantity.LENGTH, 0, 50);
        if (file.getSize() > MOST) {
            fields.complain(
                    "file",
                    "This file is larger than 20 MB; a boundary takes less than one. Look whether it is the "
                            + "right file. Nothing was changed.");
        }
        if (fields.wrong()) {
            return "site/boundary";
        }
        BoundaryFile read = alone(file);
        if (read.complaint() != null) {
            fields.complain("file", read.complaint());
            return "site/boundary";
        }
        SiteRow.Where site = plan.site().where();
        String misplaced = misplaced(read.ring(), site);
        if (misplaced != null) {
            fields.complain("file", misplaced);
            return "site/boundary";
        }
        boolean anchored = site.longitude() != null && plan.plot() != null;
        LocalFrame frame = anchored
                ? new LocalFrame(site.latitude(), site.longitude(), site.rotation())
                : corner(read.ring(), site.rotation());
        double tolerance = read.walked() ? asked == null ? USUAL_TOLERANCE : asked : 0;
        WalkedTrack track =
                WalkedTrack.of(read.ring().stream().map(frame::local).toList(), tolerance);
        if (track.complaint().isPresent()) {
            fields.complain("file", track.complaint().get());
            return "site/boundary";
        }
        Plot plot = Plot.of(track.corners());
        model.addAttribute("track", track);
        model.addAttribute("read", read);
        model.addAttribute("found", plot);
        model.addAttribute("foundSheet", Sheet.of(plot, 726, 660));
        model.addAttribute("anchored", anchored);
        fields.put("corners", SiteText.corners(track.corners()))
                .put("latitude", String.format(Locale.ROOT, "%.7f", frame.latitude()))
                .put("longitude", String.format(Locale.ROOT, "%.7f", frame.longitude()))
                .put("tapes", read.tapes() == null ? "" : read.tapes());
        return "site/boundary";
    }

    private static BoundaryFile alone(MultipartFile file) throws IOException {
        try {
            if (!ALONE.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                return BoundaryFile.none(
                        "Other files are read just now; send it again in a minute. Nothing was changed.");
            }
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            return BoundaryFile.none("The server is stopping; send it again in a minute. Nothing was changed.");
        }
        try {
            return BoundaryFile.read(file.getBytes());
        } finally {
            ALONE.release();
        }
    }

    private static LocalFrame corner(List<LocalFrame.Geographic> ring, double rotation) {
        // The south-west corner; the first longitude decides which way round the earth is short.
        double first = ring.get(0).longitude();
        LocalFrame frame = new LocalFrame(ring.get(0).latitude(), first, rotation);
        double west = ring.stream().mapToDouble(g -> frame.local(g).x()).min().orElse(0);
        double south = ring.stream().mapToDouble(g -> frame.local(g).y()).min().orElse(0);
        LocalFrame.Geographic origin = frame.geographic(new Point(west, south));
        return new LocalFrame(origin.latitude(), origin.longitude(), rotation);
    }

    /** A sentence when the file lies where no orchard can, or has its two figures the wrong way round. */
    static String misplaced(List<LocalFrame.Geographic> ring, SiteRow.Where site) {
        LocalFrame.Geographic first = ring.get(0);
        boolean swappedFits = Math.abs(first.longitude() - site.latitude()) < 2
                && Math.abs(first.latitude() - site.latitude()) > 2
                && (site.longitude() == null || Math.abs(first.latitude() - site.longitude()) < 5);
        if (swappedFits || ring.stream().anyMatch(g -> Math.abs(g.latitude()) > 90)) {
            return "Latitude and longitude seem to be swapped in this file: it puts the orchard at latitude "
                    + String.format(Locale.ROOT, "%.2f", first.latitude())
                    + ". GeoJSON has the longitude first. Nothing was changed.";
        }
        if (Math.abs(first.latitude()) > 66) {
            return "This boundary lies beyond the polar circle, where no orchard stands. Nothing was changed.";
        }
        if (Math.abs(first.latitude() - site.latitude()) > 3) {
            return "This boundary lies at latitude " + String.format(Locale.ROOT, "%.2f", first.latitude())
                    + ", but the orchard was described at " + String.format(Locale.ROOT, "%.2f", site.latitude())
                    + ". Put the orchard’s latitude right first, or look whether it is the right file.";
        }
        return null;
    }

    @PostMapping("/take")
    String take(
            Scope scope,
            FormStamp stamp,
            @RequestParam String corners,
            @RequestParam double latitude,
            @RequestParam double longitude,
            @RequestParam(defaultValue = "") String tapes) {
        List<Point> points = SiteText.points(corners);
        if (Plot.complaint(points).isPresent()
                || Math.abs(latitude) > 66
                || !(Math.abs(longitude) <= 180)
                || tapes.length() > 5000) {
            throw new BadInput("no boundary");
        }
        Map<String, Object> changed = new LinkedHashMap<>();
        changed.put("corners", SiteText.corners(points));
        changed.put("latitude", latitude);
        changed.put("longitude", longitude);
        if (!tapes.isBlank()) {
            changed.put("tapes", tapes);
        }
        edits.apply(
                scope,
                stamp.change("Took the boundary from a file"),
                now -> List.of(Edit.change(now.rows().site(), stamp.revision(), changed)));
        return "redirect:/orchards/" + scope.orchard() + "/site";
    }
}
