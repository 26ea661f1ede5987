package idlebough.app.exchange;

import idlebough.app.store.Plan;
import idlebough.app.store.SiteRow;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The trees of a plan as lines, and where on the earth they are. */
final class TreesOfPlan {
    private TreesOfPlan() {}

    /** In the order of the pegs. */
    static List<Stand> stands(Plan plan) {
        return plan.evaluation().stands();
    }

    static TreeLine line(Stand stand) {
        return new TreeLine(
                stand.label(),
                stand.variety().key(),
                stand.tree().kind().stock().orElse(""),
                stand.place().x(),
                stand.place().y(),
                stand.tree().life().state().name().toLowerCase(Locale.ROOT),
                0);
    }

    /** Empty while the orchard is not placed on the globe. */
    static Optional<LocalFrame> frame(Plan plan) {
        SiteRow.Where where = plan.rows().site().where();
        return Optional.ofNullable(where.longitude())
                .map(longitude -> new LocalFrame(where.latitude(), longitude, where.rotation()));
    }

    /** To about a millimetre. */
    static double degrees(double value) {
        return Math.rint(value * 1e8) / 1e8;
    }

    static LocalFrame.Geographic place(LocalFrame frame, Stand stand) {
        return frame.geographic(new Point(stand.place().x(), stand.place().y()));
    }
}
