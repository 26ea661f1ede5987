package idlebough.app.web;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;

/**
 * A measured value against its limit on one small scale, page units: the value with its band, the limit with its band, the
 * sound side hatched. Bands that touch are doubtful to the eye before they are in words.
 *
 * @param width of the whole scale
 * @param measured where the value stands, and its band
 * @param limit where the limit stands, and its band
 * @param sound the sound side
 * @param wanted in words: what the limit asks for
 */
public record LimitScale(double width, Mark measured, Mark limit, Band sound, String wanted) {
    private static final double RIM = 4;
    private static final double AROUND = 0.5;
    private static final double LEAST_BAND = 2;

    /** From where, and how wide. */
    public record Band(double x, double width) {}

    /** A value with its band. */
    public record Mark(double x, Band band) {}

    public static LimitScale of(Finding.Held held, double width, Reader say) {
        double m = held.measured().value();
        double l = held.limit().value();
        double dm = held.measured().halfWidth();
        double dl = held.limit().halfWidth();
        double low = Math.min(m - dm, l - dl);
        double high = Math.max(m + dm, l + dl);
        double around = high - low > 0 ? AROUND * (high - low) : Math.max(Math.abs(l), 1);
        Axis axis = new Axis(low - around, high + around, width);
        boolean least = held.limit().side() == Limit.Side.AT_LEAST;
        double at = axis.x(l);
        return new LimitScale(
                width,
                axis.mark(m, dm),
                axis.mark(l, dl),
                least ? new Band(at, width - RIM - at) : new Band(RIM, at - RIM),
                say.of(held.limit().amount()) + (least ? " wanted" : " at most"));
    }

    private record Axis(double low, double high, double width) {
        double x(double value) {
            return RIM + (value - low) / (high - low) * (width - 2 * RIM);
        }

        Mark mark(double value, double half) {
            double from = x(value - half);
            return new Mark(x(value), new Band(from, Math.max(LEAST_BAND, x(value + half) - from)));
        }
    }

    /** A triangle that stands on the scale at the value. */
    public String triangle() {
        return Svg.path("M# -1l5 -9h-10z", measured.x());
    }
}
