package idlebough.core.layout;

import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.Optional;
import java.util.stream.Collectors;

/** The rows that a plot could have: one at every distance across them. */
interface Courses {
    /** The first and the last distance across, m, at which a row could touch the plot. */
    double low();

    double high();

    Course at(double across);

    /** One row: a line, and how far along it the plot reaches, m. */
    interface Course {
        double from();

        double to();

        /** Empty where the row has no place. */
        Optional<Point> at(double along);
    }

    /** Straight rows at a bearing, degrees. */
    static Courses straight(Plot plot, double bearing) {
        double angle = Math.toRadians(bearing);
        var along = plot.corners().stream()
                .collect(Collectors.summarizingDouble(p -> p.x() * Math.sin(angle) + p.y() * Math.cos(angle)));
        var across = plot.corners().stream()
                .collect(Collectors.summarizingDouble(p -> p.x() * Math.cos(angle) - p.y() * Math.sin(angle)));
        return new Straight(angle, along.getMin(), along.getMax(), across.getMin(), across.getMax());
    }

    /** @param angle radians clockwise from north */
    record Straight(double angle, double from, double to, double low, double high) implements Courses {
        @Override
        public Course at(double across) {
            return new StraightCourse(this, across);
        }
    }

    record StraightCourse(Straight rows, double across) implements Course {
        @Override
        public double from() {
            return rows.from();
        }

        @Override
        public double to() {
            return rows.to();
        }

        @Override
        public Optional<Point> at(double along) {
            return Optional.of(new Point(
                    along * Math.sin(rows.angle()) + across * Math.cos(rows.angle()),
                    along * Math.cos(rows.angle()) - across * Math.sin(rows.angle())));
        }
    }
}
