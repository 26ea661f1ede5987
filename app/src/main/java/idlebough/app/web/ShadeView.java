package idlebough.app.web;

import idlebough.app.store.SiteRow;
import idlebough.core.site.Feature;
import idlebough.core.site.Shade;
import idlebough.core.site.SunPath;
import idlebough.core.site.Terrain;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The shadows of one moment as the page shows them. */
@Component
public class ShadeView {
    private static final int NOON = 12 * 60;
    private final Clock clock;

    ShadeView(Clock clock) {
        this.clock = clock;
    }

    /** One shadow: leafless crowns are drawn thinner. */
    public record Cast(String path, boolean thin) {}

    /**
     * @param features that cast shade
     * @param day of this year, 1 to 365; null for today
     * @param minute after midnight by the orchard's clock; null for noon
     */
    public void put(Model model, PlanView plan, Sheet sheet, List<Feature> features, Integer day, Integer minute) {
        ZoneId zone = plan.head().zone();
        Terrain terrain = plan.evaluation().site().terrain();
        LocalDate today = LocalDate.now(clock.withZone(zone));
        LocalDate date = day == null ? today : LocalDate.ofYearDay(today.getYear(), Math.max(1, Math.min(365, day)));
        int of = minute == null ? NOON : Math.max(0, Math.min(24 * 60 - 1, minute));
        Instant when = date.atStartOfDay().plusMinutes(of).atZone(zone).toInstant();
        SiteRow.Where site = plan.site().where();
        // Without a longitude the middle of the time zone has to do.
        double longitude = site.longitude() != null
                ? site.longitude()
                : zone.getRules().getOffset(when).getTotalSeconds() / 240.0;
        SunPath.Sun sun = SunPath.at(when, site.latitude(), Math.max(-180, Math.min(180, longitude)));
        boolean leafless = !terrain.sunYear().season().contains(date.getMonthValue());
        Shade shade = Shade.of(features, sun, terrain.ground(), site.rotation(), leafless);
        model.addAttribute("day", date.getDayOfYear());
        model.addAttribute("minute", of);
        model.addAttribute("sun", sun);
        model.addAttribute(
                "moment",
                date.format(DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH))
                        + String.format(Locale.ROOT, ", %02d:%02d", of / 60, of % 60));
        model.addAttribute("leafless", leafless);
        model.addAttribute(
                "casts",
                shade.casts().stream()
                        .map(c -> new Cast(GroundDrawing.rings(c.rings(), sheet), c.opacity() < 1))
                        .toList());
        OptionalDouble perMetre = sun.isUp()
                ? SunPath.shadowPerMetre(sun.elevation(), terrain.ground().rise(sun.azimuth() - site.rotation() + 180))
                : OptionalDouble.empty();
        Map<String, Double> lengths = perMetre.isEmpty()
                ? Map.of()
                : features.stream()
                        .filter(f -> f.kind().casts() && f.isClosed())
                        .filter(f -> f.kind() == Feature.Kind.BUILDING || f.kind() == Feature.Kind.TREE)
                        .limit(6)
                        .collect(Collectors.toMap(
                                f -> f.name().isBlank() ? f.kind().words() : f.name(),
                                f -> f.stands() * perMetre.getAsDouble(),
                                Math::max,
                                java.util.LinkedHashMap::new));
        model.addAttribute("lengths", lengths);
    }
}
