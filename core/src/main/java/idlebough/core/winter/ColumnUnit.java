package idlebough.core.winter;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;

/** The units in which a weather table may give a column, and how they come to the unit in which it is kept. */
public enum ColumnUnit {
    CELSIUS("°C", "(?<!0[.,]1 ?)°c|_c\\b|celsius|degc|\\(c\\)", 0, 1, 1),
    FAHRENHEIT("°F", "°f|\\bf\\b|_f\\b|fahrenheit|degf", 32, 1, 1.8),
    KELVIN("K", "\\bk\\b|_k\\b|kelvin", 273.15, 1, 1),
    TENTHS("tenths of °C", "0[.,]1 ?°|tenth|1/10", 0, 1, 10),
    MILLIMETRES("mm", "\\bmm\\b|_mm\\b", 0, 1, 1),
    CENTIMETRES("cm", "\\bcm\\b|_cm\\b", 0, 10, 1),
    INCHES("inches", "\\bin\\b|_in\\b|inch", 0, 25.4, 1),
    METRES("m", "\\bm\\b", 0, 1000, 1),
    PERCENT("%", "%|percent", 0, 1, 1),
    FRACTION("share of 1", "fraction|0-1", 0, 100, 1),
    METRES_A_SECOND("m/s", "m/s|m s-1|_ms\\b|mps", 0, 1, 1),
    KILOMETRES_AN_HOUR("km/h", "km/?h|kph", 0, 1, 3.6),
    MILES_AN_HOUR("mph", "mph|mi/h", 0, 0.44704, 1),
    KNOTS("knots", "\\bkn\\b|\\bkt\\b|knot", 0, 1852, 3600),
    HOURS("h", "\\bh\\b|hours?|stunden|heures|horas", 0, 1, 1),
    MINUTES("minutes", "\\bmin\\b|minut", 0, 1, 60),
    MEGAJOULES("MJ/m²", "mj", 0, 1, 1),
    WATTS("W/m², mean", "w/?m|wm|watt", 0, 0.0864, 1),
    JOULES("J/cm²", "j/?cm|jcm", 0, 1, 100),
    KILOWATT_HOURS("kWh/m²", "kwh", 0, 3.6, 1),
    LANGLEYS("cal/cm²", "cal|\\bly\\b|langley", 0, 0.041868, 1);

    private final String words;
    private final Pattern named;
    private final double zero;
    private final double times;
    private final double by;

    ColumnUnit(String words, String named, double zero, double times, double by) {
        this.words = words;
        this.named = Pattern.compile(named, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
        this.zero = zero;
        this.times = times;
        this.by = by;
    }

    public String words() {
        return words;
    }

    /** The value in the unit in which it is kept; lengths come to millimetres. */
    double kept(double given) {
        return (given - zero) * times / by;
    }

    /** Whether a column's heading names this unit. */
    boolean isIn(String heading) {
        return named.matcher(heading).find();
    }

    /** By name; null when there is none such. */
    public static ColumnUnit of(String name) {
        return Arrays.stream(values())
                .filter(unit -> unit.name().equals(name))
                .findFirst()
                .orElse(null);
    }

    static final List<ColumnUnit> TEMPERATURES = List.of(CELSIUS, FAHRENHEIT, KELVIN, TENTHS);
}
