package idlebough.core.site;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The sun over one latitude: a middle day of each month, in steps of five minutes round its noon. Everything that
 * counts
 * hours of sun counts over these.
 *
 * <p>The day is the one on which the sun's ecliptic longitude is 264° + 30° × the month's number, between the 13th
 * and the
 * 17th: so each month and the month half a year on have the same sun, mirrored.
 *
 * @param latitude degrees, south negative
 * @param months January first; the sun at each step of its middle day, only where it is up
 */
public record SunYear(double latitude, List<List<SunPath.Sun>> months) {
    /** Minutes of one step. */
    public static final int STEP = 5;

    /** Any year that is no leap year; the sun of one day differs by less than half a degree between years. */
    private static final int YEAR = 2027;

    private static final int[] MIDDLE = {14, 13, 15, 14, 15, 15, 17, 17, 17, 17, 16, 16};

    private static final double TROPIC = 23.44;

    public static SunYear of(double latitude) {
        List<List<SunPath.Sun>> months = new ArrayList<>();
        for (int month = 1; month <= 12; month++) {
            months.add(SunPath.day(LocalDate.of(YEAR, month, MIDDLE[month - 1]), latitude, STEP));
        }
        return new SunYear(latitude, List.copyOf(months));
    }

    /** Hours in which the sun is above the horizon on the middle day of a month, 1 to 12. */
    public double dayLength(int month) {
        return months.get(month - 1).size() * STEP / 60.0;
    }

    public boolean isSouthern() {
        return latitude < 0;
    }

    /** The months in leaf: April to October in the north, October to April in the south (common practice). */
    public List<Integer> season() {
        return isSouthern() ? List.of(10, 11, 12, 1, 2, 3, 4) : List.of(4, 5, 6, 7, 8, 9, 10);
    }

    /** The months of bare branches. */
    public List<Integer> leafless() {
        return IntStream.rangeClosed(1, 12)
                .boxed()
                .filter(m -> !season().contains(m))
                .toList();
    }

    /** Where the noon sun stands: south, north, or by turns between the tropics. */
    public String sunnySide() {
        return Math.abs(latitude) < TROPIC ? "south and north by turns" : isSouthern() ? "north" : "south";
    }

    /** The side turned away from the noon sun. */
    public String shadedSide() {
        return Math.abs(latitude) < TROPIC ? "none all year" : isSouthern() ? "south" : "north";
    }
}
