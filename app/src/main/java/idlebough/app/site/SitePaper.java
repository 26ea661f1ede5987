package idlebough.app.site;

import idlebough.app.exchange.PlanPaper;
import idlebough.app.exchange.SiteGeoJson;
import idlebough.app.store.Plans;
import idlebough.app.store.Scope;
import idlebough.app.web.Reader;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The ground on paper and in files: a plan to a stated scale as PDF and SVG, and GeoJSON. */
@Controller
@RequestMapping("/orchards/{orchard}/site")
public class SitePaper {
    private final Plans plans;
    private final PlanPaper paper;
    private final SiteGeoJson geoJson;

    SitePaper(Plans plans, PlanPaper paper, SiteGeoJson geoJson) {
        this.plans = plans;
        this.paper = paper;
        this.geoJson = geoJson;
    }

    @GetMapping("/plan.pdf")
    ResponseEntity<byte[]> pdf(
            Scope scope, Reader say, @RequestParam(name = "paper", defaultValue = "A4") String size) {
        return paper.pdf(scope, say, size, false);
    }

    @GetMapping("/plan.svg")
    ResponseEntity<byte[]> svg(
            Scope scope, Reader say, @RequestParam(name = "paper", defaultValue = "A4") String size) {
        return paper.svg(scope, say, size, false);
    }

    @GetMapping("/site.geojson")
    ResponseEntity<byte[]> geoJson(Scope scope) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/geo+json"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"site.geojson\"")
                .body(geoJson.write(plans.open(scope)).getBytes(StandardCharsets.UTF_8));
    }
}
