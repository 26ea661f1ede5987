package idlebough.app.pollination;

import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.core.judge.Subject;
import idlebough.core.pollination.Flowering;
import idlebough.core.pollination.Neighbourhood;
import idlebough.core.pollination.Neighbourhood.Link;
import idlebough.core.pollination.Pairing;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Who serves whom on the plan: every tree of the picked one's kind that has a place, a thread from each to the one that
 * serves it best, and from the picked one to all that serve it; page units.
 *
 * @param threads path of all threads
 * @param picked path of the picked tree's threads; empty when none serves it
 * @param reach radius within which pollen comes fully; 0 while the picked tree has no place
 * @param left out trees beyond those that are drawn
 */
public record PartnerMap(String threads, String picked, List<Dot> dots, double reach, String reachAt, int left) {
    private static final int MOST = 400;
    private static final double RADIUS = 7;

    /**
     * One place.
     *
     * @param href of its page; empty for what is not the grower's
     * @param css filled where it is served, hollow where it is not
     */
    public record Dot(String at, String label, String words, String css, double radius, String href) {}

    static PartnerMap of(PartnerWeb web, Flowering picked, Sheet sheet) {
        List<Flowering> kind = web.givers().stream()
                .filter(tree -> tree.place().isPresent() && Pairing.related(tree.variety(), picked.variety()))
                .toList();
        List<Flowering> drawn = kind.stream().limit(MOST).toList();
        StringBuilder threads = new StringBuilder();
        StringBuilder own = new StringBuilder();
        Map<Point, List<Flowering>> byPlace = new LinkedHashMap<>();
        for (Flowering tree : drawn) {
            byPlace.computeIfAbsent(tree.place().orElseThrow(), place -> new ArrayList<>())
                    .add(tree);
            if (tree.subject().kind() == Subject.Kind.FEATURE) {
                continue;
            }
            List<Link> giving = web.around(tree).giving().stream()
                    .filter(link -> link.partner().place().isPresent()
                            && !link.partner().place().equals(tree.place()))
                    .toList();
            if (tree.id().equals(picked.id())) {
                giving.forEach(link -> own.append(thread(tree, link.partner(), sheet)));
            } else {
                giving.stream().limit(1).forEach(link -> threads.append(thread(tree, link.partner(), sheet)));
            }
        }
        return new PartnerMap(
                threads.toString(),
                own.toString(),
                byPlace.values().stream().map(at -> dot(web, at, picked, sheet)).toList(),
                picked.place()
                        .map(place -> sheet.size(
                                PartnerScore.reach(picked.variety().crop().vector())))
                        .orElse(0.0),
                picked.place().map(sheet::at).orElse(""),
                kind.size() - drawn.size());
    }

    private static String thread(Flowering from, Flowering to, Sheet sheet) {
        return Svg.path(
                "M# #L# #",
                sheet.x(from.place().orElseThrow().x()),
                sheet.y(from.place().orElseThrow().y()),
                sheet.x(to.place().orElseThrow().x()),
                sheet.y(to.place().orElseThrow().y()));
    }

    private static Dot dot(PartnerWeb web, List<Flowering> at, Flowering picked, Sheet sheet) {
        Flowering first = at.get(0);
        boolean ours = first.subject().kind() == Subject.Kind.TREE;
        boolean served =
                !ours || at.stream().map(web::around).map(Neighbourhood::set).allMatch(PartnerMap::enough);
        boolean here = at.stream().anyMatch(tree -> tree.id().equals(picked.id()));
        return new Dot(
                sheet.at(first.place().orElseThrow()),
                ours ? first.label().split(" ‘")[0].split(",")[0] : "",
                first.label()
                        + (at.size() > 1 ? " and its branches" : "")
                        + (!ours ? "" : served ? ", served" : ", wants a partner"),
                here ? "knot here" : !ours ? "knot theirs" : served ? "knot" : "knot alone",
                here ? RADIUS + 2 : RADIUS,
                ours ? "tree=" + first.id() : "");
    }

    private static boolean enough(double set) {
        return set >= PartnerScore.GOOD;
    }
}
