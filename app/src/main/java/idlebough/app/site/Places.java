package idlebough.app.site;

import idlebough.app.web.Fields;
import idlebough.core.measure.Display;
import idlebough.core.measure.Entry;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Spoken;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Places on the plan as they are typed: one a line, east and north of the origin with a semicolon between. */
final class Places {
    private Places() {}

    static String text(List<Point> points, Display display) {
        StringBuilder lines = new StringBuilder();
        points.forEach(p -> lines.append(display.field(p.x(), Quantity.LENGTH))
                .append("; ")
                .append(display.field(p.y(), Quantity.LENGTH))
                .append('\n'));
        return lines.toString();
    }

    /** The places of a field; a complaint, and none, when a line is not one. */
    static List<Point> read(Fields fields, String name) {
        Display display = fields.display();
        List<Point> points = new ArrayList<>();
        int line = 0;
        for (String text : fields.value(name).split("\\R")) {
            line++;
            if (text.isBlank()) {
                continue;
            }
            String[] pair = text.contains(";") ? text.split(";") : text.strip().split("[\\t ]+");
            Entry x = pair.length == 2
                    ? Spoken.read(pair[0], Quantity.LENGTH, display.system(), display.locale())
                    : Entry.wrong("");
            Entry y = pair.length == 2
                    ? Spoken.read(pair[1], Quantity.LENGTH, display.system(), display.locale())
                    : Entry.wrong("");
            if (x.value().isEmpty() || y.value().isEmpty()) {
                fields.complain(
                        name,
                        "Line " + line + ", “" + text.strip()
                                + "”, is not a corner; write east and north of the origin with a semicolon "
                                + "between, like 12.5; 30.");
                return List.of();
            }
            points.add(new Point(x.value().get(), y.value().get()));
        }
        return points;
    }

    /** Corners one a line, or the two sides of a rectangle; checked as a boundary. */
    static List<Point> corners(Fields fields) {
        if (fields.ticked("east") || fields.ticked("north")) {
            double east = fields.required("east", Quantity.LENGTH, 1, 20_000);
            double north = fields.required("north", Quantity.LENGTH, 1, 20_000);
            return List.of(new Point(0, 0), new Point(east, 0), new Point(east, north), new Point(0, north));
        }
        List<Point> corners = read(fields, "corners");
        if (corners.isEmpty()) {
            return corners;
        }
        Optional<String> complaint = Plot.complaint(corners);
        if (complaint.isPresent()) {
            fields.complain("corners", complaint.get());
            return corners;
        }
        OptionalInt odd = Plot.oddCorner(corners);
        if (odd.isPresent() && !fields.ticked("surely")) {
            fields.complain(
                    "corners",
                    "Corner " + (odd.getAsInt() + 1)
                            + " lies about three times as far out as the others. If it was measured in feet, "
                            + "write ft behind its figures; if it is right, tick that below and save "
                            + "again.");
        }
        return corners;
    }
}
