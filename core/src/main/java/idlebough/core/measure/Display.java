package idlebough.core.measure;

import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/**
 * Shows figures in one grower's units and locale. What it prints, {@link Spoken} reads back to the same print (a
 * property test holds this).
 *
 * @param system metric or US
 * @param locale decides the decimal sign
 */
public record Display(UnitSystem system, Locale locale) {

    /** Figure and unit, with a no-break space between; "–" when there is no value. */
    public String text(Double base, Quantity quantity) {
        if (base == null || !Double.isFinite(base)) {
            return "–";
        }
        if (system == UnitSystem.US && quantity.inFeetAndInches()) {
            return feetAndInches(base, quantity == Quantity.TAPE ? 0.5 : 1);
        }
        String symbol = quantity.unit(system).symbol();
        symbol = quantity == Quantity.DAYS && Math.round(base) == 1 ? "day" : symbol;
        String gap = symbol.isEmpty() ? "" : symbol.equals("°") ? "" : "\u00a0";
        return number(base, quantity) + gap + symbol;
    }

    /** The figure alone. */
    public String number(Double base, Quantity quantity) {
        if (base == null || !Double.isFinite(base)) {
            return "–";
        }
        Unit unit = quantity.unit(system);
        double value = unit.fromBase(base);
        int decimals = quantity.decimals(system);
        if (decimals == 0 && Math.abs(value) < 0.95 && Math.abs(value) >= 0.05 && quantity == Quantity.SHORT_LENGTH) {
            decimals = 1;
        }
        return plain(value, decimals);
    }

    /** Whole numbers with thin grouping; no minus on a rounded zero. */
    public String plain(double value, int decimals) {
        NumberFormat format = NumberFormat.getNumberInstance(locale);
        format.setMinimumFractionDigits(decimals);
        format.setMaximumFractionDigits(decimals);
        format.setGroupingUsed(false);
        double power = Math.pow(10, decimals);
        double rounded = Math.rint(value * power) / power;
        return format.format(rounded == 0 ? 0 : rounded).replace('\u2212', '-').replace("-", "\u2212");
    }

    /**
     * What belongs in an entry field: the plain figure, with an ASCII minus and no unit, enough decimals to lose
     * nothing.
     */
    public String field(Double base, Quantity quantity) {
        if (base == null) {
            return "";
        }
        NumberFormat format = NumberFormat.getNumberInstance(locale);
        format.setGroupingUsed(false);
        format.setMaximumFractionDigits(Math.max(3, quantity.decimals(system) + 2));
        return format.format(quantity.unit(system).fromBase(base)).replace('\u2212', '-');
    }

    /** The sign that stands beside an entry field of this quantity. */
    public String unit(Quantity quantity) {
        return quantity.unit(system).symbol();
    }

    public String other(Double base, Quantity quantity) {
        return new Display(system == UnitSystem.METRIC ? UnitSystem.US : UnitSystem.METRIC, locale)
                .text(base, quantity);
    }

    /** In the order of the locale: “3 Nov 2027”, “Nov 3, 2027”. */
    public String date(LocalDate day) {
        return day == null
                ? "–"
                : day.format(DateTimeFormatter.ofPattern(
                        locale.getCountry().equals("US") ? "MMM d, yyyy" : "d MMM yyyy", Locale.ENGLISH));
    }

    private String feetAndInches(double metres, double step) {
        double inches = Math.rint(Math.abs(metres) / 0.0254 / step) * step;
        long feet = (long) Math.floor(inches / 12);
        double rest = inches - 12 * feet;
        String sign = metres < 0 && inches > 0 ? "\u2212" : "";
        String tail = rest == Math.rint(rest) ? plain(rest, 0) : plain(rest, 1);
        return sign + feet + "\u00a0ft" + (rest == 0 ? "" : "\u00a0" + tail + "\u00a0in");
    }
}
