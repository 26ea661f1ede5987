package idlebough.app.web;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Display;
import idlebough.core.measure.Prose;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.UnitSystem;
import idlebough.core.winter.Element;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;

/** Who reads the page, and in which units: puts amounts and phrases into words. Templates call it {@code say}. */
public record Reader(String accountId, String name, Display display) {
    private static final double LITRES = 1000;
    private static final int HOUR = 60;

    /** The attribute of a request that holds the display of whoever reads the answer. */
    static final String SHOWN_IN = "idlebough.display";

    public String of(Amount amount) {
        return display.text(amount.value(), amount.quantity());
    }

    public String of(Phrase phrase) {
        return phrase.in(display);
    }

    /** A sentence as HTML with the grower's words explained on hover. */
    public String marked(Phrase phrase) {
        return Terms.marked(of(phrase), this);
    }

    /** A rule of thumb in text of the program's own. */
    public String prose(String text) {
        return Prose.in(display.system(), text);
    }

    /** A round length for a scale bar of a drawing, m. */
    public double bar(Sheet sheet) {
        return sheet.bar(display.system());
    }

    /** The length of that bar in words: of a small one in centimetres or inches. */
    public String barWords(Sheet sheet) {
        double bar = bar(sheet);
        return display.text(bar, bar < 1 ? Quantity.SHORT_LENGTH : Quantity.LENGTH);
    }

    public String length(Double metres) {
        return display.text(metres, Quantity.LENGTH);
    }

    /** “4.1–4.9 m”; feet and inches are said of both. */
    public String span(double low, double high) {
        return figure(low).equals(figure(high)) ? length(high) : figure(low) + "–" + length(high);
    }

    /** A length below a heading that says the unit; feet and inches say their own. */
    public String figure(double metres) {
        return display.system() == UnitSystem.METRIC ? display.number(metres, Quantity.LENGTH) : length(metres);
    }

    /** Such a heading. */
    public String headed(String word) {
        return display.system() == UnitSystem.METRIC ? word + ", " + display.unit(Quantity.LENGTH) : word;
    }

    public String cm(Double metres) {
        return display.text(metres, Quantity.SHORT_LENGTH);
    }

    public String fine(Double metres) {
        return display.text(metres, Quantity.FINE_LENGTH);
    }

    public String tape(Double metres) {
        return display.text(metres, Quantity.TAPE);
    }

    public String text(Double value, String quantity) {
        return display.text(value, Quantity.valueOf(quantity));
    }

    public String unit(String quantity) {
        return display.unit(Quantity.valueOf(quantity));
    }

    /** The same amount in the other system, for hovering. */
    public String other(Amount amount) {
        return display.other(amount.value(), amount.quantity());
    }

    public String date(LocalDate day) {
        return display.date(day);
    }

    /** How a day is written, for an empty field. */
    public String example() {
        return display.date(LocalDate.of(2027, 11, 3));
    }

    /** The language tag in whose order a calendar writes a day. */
    public String wordsOfDays() {
        return display.locale().getCountry().equals("US") ? "en-US" : "en-GB";
    }

    public String shortDate(LocalDate day) {
        return day.format(DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH));
    }

    /** Empty for no day. */
    public String shortDate(Optional<LocalDate> day) {
        return day.map(this::shortDate).orElse("");
    }

    /** “Wednesday, 25 November” */
    public String weekday(LocalDate day) {
        return day.format(DateTimeFormatter.ofPattern("EEEE, d MMMM", Locale.ENGLISH));
    }

    public String dayOfWeek(LocalDate day) {
        return day.format(DateTimeFormatter.ofPattern("EEE d", Locale.ENGLISH));
    }

    public String moment(Instant instant, String zone) {
        return DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
                .withZone(ZoneId.of(zone))
                .format(instant);
    }

    /** One of sixteen points of the compass. */
    public String compass(double bearing) {
        String[] points = {
            "N", "NNE", "NE", "ENE", "E", "ESE", "SE", "SSE", "S", "SSW", "SW", "WSW", "W", "WNW", "NW", "NNW"
        };
        return points[(int) Math.round(bearing / 22.5) % 16];
    }

    /** What a station measured beside the temperature, value in the element's own unit. */
    public String element(Element element, double value) {
        return switch (element) {
            case RAIN, SNOW -> display.text(value / 1000, Quantity.RAIN);
            case WIND ->
                display.system() == UnitSystem.METRIC
                        ? display.plain(value, 1) + " m/s"
                        : display.plain(value / 0.44704, 0) + " mph";
            default -> display.plain(value, element == Element.RADIATION ? 1 : 0) + " " + element.unit();
        };
    }

    public String element(String element, double value) {
        return element(Element.valueOf(element), value);
    }

    /** A base value without its unit, for an axis. */
    public String bare(String value, String quantity) {
        String text = text(Double.valueOf(value), quantity);
        int end = text.indexOf('\u00a0');
        return end < 0 ? text : text.substring(0, end);
    }

    /** A coordinate for a drawing: two decimals, a point. */
    public String xy(double value) {
        return Svg.fine(value);
    }

    /** A total of chill as its model counts: portions with a decimal. */
    public String chill(double total, ChillModel model) {
        return display().plain(total, model == ChillModel.PORTIONS ? 1 : 0);
    }

    /** “42.3° N”. */
    public String latitude(double degrees) {
        return String.format(Locale.ROOT, "%.1f° %s", Math.abs(degrees), degrees < 0 ? "S" : "N");
    }

    /** A day, or from one to another. */
    public String days(LocalDate from, LocalDate to) {
        return from.equals(to) ? date(from) : date(from) + " to " + date(to);
    }

    /** “36 min”, “1 h 50”. */
    public String minutes(int minutes) {
        return minutes < HOUR
                ? minutes + " min"
                : minutes / HOUR + " h"
                        + (minutes % HOUR == 0 ? "" : String.format(Locale.ROOT, " %02d", minutes % HOUR));
    }

    /** Soil to be carted, m³; a dash for none. */
    public String earth(double cubicMetres) {
        return cubicMetres > 0 ? text(LITRES * cubicMetres, Quantity.EARTH.name()) : "–";
    }

    public String turned(double degrees) {
        return Svg.turned(degrees);
    }

    public String placed(double x, double y) {
        return Svg.translate(x, y);
    }

    /** A line of what moved. */
    public String of(MovedLine line) {
        return line.words(display);
    }
}
