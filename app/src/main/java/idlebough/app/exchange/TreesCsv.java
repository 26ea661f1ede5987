package idlebough.app.exchange;

import idlebough.app.store.Plan;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.LocalFrame;
import idlebough.core.site.Stand;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The trees of a plan as CSV (RFC 4180): figures with a point, as exactly as they are stored. */
public final class TreesCsv {
    static final String[] HEAD = {
        "tag", "variety", "stock", "x_m", "y_m", "state", "name", "stock_name", "width_m", "longitude", "latitude"
    };

    private TreesCsv() {}

    public static String write(Plan plan) {
        StringBuilder out = new StringBuilder();
        Optional<LocalFrame> frame = TreesOfPlan.frame(plan);
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(HEAD).get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (Stand stand : TreesOfPlan.stands(plan)) {
                TreeLine line = TreesOfPlan.line(stand);
                TreeSize size = plan.evaluation().layout().tree(stand.id()).size();
                Optional<LocalFrame.Geographic> place = frame.map(on -> TreesOfPlan.place(on, stand));
                printer.printRecord(
                        line.tag(),
                        line.variety(),
                        line.stock(),
                        line.x(),
                        line.y(),
                        line.state(),
                        stand.variety().label(),
                        stand.stock().map(stock -> stock.name()).orElse(""),
                        Math.rint(size.spread() * 100) / 100,
                        place.map(at -> String.valueOf(TreesOfPlan.degrees(at.longitude())))
                                .orElse(""),
                        place.map(at -> String.valueOf(TreesOfPlan.degrees(at.latitude())))
                                .orElse(""));
            }
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
        return out.toString();
    }
}
