package idlebough.core.winter;

import idlebough.core.winter.WeatherFile.DateOrder;
import idlebough.core.winter.WeatherFile.Warning;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.apache.commons.csv.CSVRecord;

/**
 * What the rows of days and the rows of single readings have in common: a first look at all of them settles the order
 * of
 * the dates and the unit of the temperatures, then each is taken.
 */
abstract class TableRows implements WeatherFile.Rows {
    /** Beyond these no air temperature was ever measured near an orchard, °C (common practice). */
    static final double COLDEST = -60;

    static final double HOTTEST = 60;
    /** Figures above this in the middle of all are °F; nobody's median maximum is 45 °C. */
    private static final double TOO_WARM = 45;

    private static final double TENTHS_ABOVE = 130;
    /** No date is shorter; the parts of a date may be set apart by spaces too. */
    private static final int FIRST_TIME = 6;

    final WeatherFile.Wish wish;
    final List<Warning> warnings = new ArrayList<>();
    private final Set<String> strangeFlags = new HashSet<>();
    private final int widest;
    private final int warmest;
    private final TreeMap<Double, Integer> figures = new TreeMap<>();
    private boolean whole = true;
    private boolean dayFits = true;
    private boolean monthFits = true;
    private boolean local;
    private String lookedAt = "";
    private String lastDay;
    private LocalDate lastDate;
    TableLayout layout;
    DateOrder order;
    boolean ambiguous;

    /** @param warmest the column whose figures tell their unit by their size */
    TableRows(TableLayout layout, WeatherFile.Wish wish, Column warmest) {
        this.layout = layout;
        this.wish = wish;
        int needed = 0;
        for (Column column : List.of(
                Column.DATE,
                Column.YEAR,
                Column.MONTH,
                Column.TIME,
                Column.MINIMUM,
                Column.MAXIMUM,
                Column.TEMPERATURE)) {
            needed = Math.max(needed, layout.find(column));
        }
        this.widest = needed;
        this.warmest = layout.find(warmest);
    }

    @Override
    public final void look(long line, CSVRecord row) {
        if (row.size() <= widest) {
            return;
        }
        String day = dayOf(dateCell(row));
        int[] leading = day.equals(lookedAt) ? null : Cells.leading(day);
        lookedAt = day;
        if (leading != null) {
            local = true;
            dayFits &= leading[1] <= 12;
            monthFits &= leading[0] <= 12;
        }
        if (layout.columns().get(warmest).unit() == null && !Cells.isMissing(row.get(warmest))) {
            Double figure = Cells.number(row.get(warmest));
            if (figure != null) {
                figures.merge(figure, 1, Integer::sum);
                whole &= figure == Math.rint(figure);
            }
        }
    }

    @Override
    public final void settle() {
        settleOrder();
        settleUnits();
    }

    boolean breaksOff(CSVRecord row, long line) {
        if (row.size() > widest) {
            return false;
        }
        warnings.add(new Warning(line, "the row breaks off after " + row.size() + " cells", true));
        return true;
    }

    /** What stands for the date in a row that does not break off. */
    String dateCell(CSVRecord row) {
        String cell = row.get(layout.find(Column.DATE));
        return layout.isApart()
                ? row.get(layout.find(Column.YEAR)) + "-" + row.get(layout.find(Column.MONTH)) + "-" + cell
                : cell;
    }

    /** The part of a cell before its time of day. */
    static String dayOf(String cell) {
        int end = cell.indexOf('T');
        if (end < 0) {
            end = cell.indexOf(' ', Math.min(cell.length(), FIRST_TIME));
        }
        return end < 0 ? cell : cell.substring(0, end);
    }

    /** Which order fits all dates; says so when more than one does. */
    private void settleOrder() {
        order = !local
                ? DateOrder.YEAR_FIRST
                : wish.order().orElse(monthFits && !dayFits ? DateOrder.MONTH_FIRST : DateOrder.DAY_FIRST);
        ambiguous = local && dayFits && monthFits && wish.order().isEmpty();
        if (ambiguous) {
            warnings.add(new Warning(0, "the dates fit day-first and month-first; they were read day-first", false));
        }
    }

    /** Rows of one day follow each other, so the date is mostly the one before. */
    LocalDate date(String cell) {
        String day = dayOf(cell);
        if (!day.equals(lastDay)) {
            lastDay = day;
            lastDate = Cells.date(cell, order);
        }
        return lastDate;
    }

    /** The unit of the temperatures where no heading and no grower says it: by the size of the figures. */
    private void settleUnits() {
        ColumnUnit unit = layout.columns().get(warmest).unit();
        if (unit == null) {
            unit = whole && figure(0.9) > TENTHS_ABOVE
                    ? ColumnUnit.TENTHS
                    : figure(0.5) > TOO_WARM ? ColumnUnit.FAHRENHEIT : ColumnUnit.CELSIUS;
            String what = layout.columns().get(warmest).column() == Column.MAXIMUM ? "maxima" : "temperatures";
            if (unit == ColumnUnit.FAHRENHEIT) {
                warnings.add(new Warning(
                        0, "half of the " + what + " are above 45, so the figures were taken as °F", false));
            } else if (unit == ColumnUnit.TENTHS) {
                warnings.add(new Warning(
                        0, "the " + what + " are whole and go above 130, so they were taken as tenths of °C", false));
            }
        }
        for (int i = 0; i < layout.columns().size(); i++) {
            TableLayout.Seen column = layout.columns().get(i);
            if (column.column().isTemperature() && column.unit() == null) {
                layout = layout.with(i, unit);
            }
        }
    }

    /** The figure that this share of all lies at or below; zero without any. */
    private double figure(double share) {
        long all = figures.values().stream().mapToLong(Integer::longValue).sum();
        long seen = 0;
        for (Map.Entry<Double, Integer> each : figures.entrySet()) {
            seen += each.getValue();
            if (seen >= share * all) {
                return each.getKey();
            }
        }
        return 0;
    }

    /** °C; null after saying what is wrong with the cell. */
    Double celsius(CSVRecord row, Column column, long line) {
        int at = layout.find(column);
        Double figure = Cells.number(row.get(at));
        if (figure == null) {
            warnings.add(new Warning(line, "“" + row.get(at) + "” is not a temperature", true));
            return null;
        }
        return layout.columns().get(at).unit().kept(figure);
    }

    static boolean isBeyond(double celsius) {
        return celsius < COLDEST || celsius > HOTTEST;
    }

    /** Whether the row's own flag says that it is not to be trusted. */
    boolean isFlagged(CSVRecord row, long line) {
        int at = layout.find(Column.FLAG);
        if (at < 0 || row.size() <= at) {
            return false;
        }
        String flag = row.get(at);
        if (Cells.isBad(flag)) {
            warnings.add(new Warning(line, "flagged “" + flag + "” by whoever made the file", true));
            return true;
        }
        if (!Cells.isKnown(flag) && strangeFlags.size() < 20 && strangeFlags.add(flag)) {
            warnings.add(new Warning(line, "what the flag “" + flag + "” means is not known; kept", false));
        }
        return false;
    }

    /** What stands in the row beside the temperature. */
    Map<Element, Double> elements(CSVRecord row, long line) {
        Map<Element, Double> values = new EnumMap<>(Element.class);
        for (int i = 0; i < Math.min(row.size(), layout.columns().size()); i++) {
            Element element = layout.columns().get(i).column().element();
            if (element == null || Cells.isMissing(row.get(i))) {
                continue;
            }
            Double figure = Cells.number(row.get(i));
            double value =
                    figure == null ? Double.NaN : layout.columns().get(i).unit().kept(figure);
            if (element.allows(value)) {
                values.put(element, value);
            } else {
                warnings.add(
                        new Warning(line, "“" + row.get(i) + "” cannot be " + element.words() + "; not used", false));
            }
        }
        return values;
    }

    /** When not one row could be read. */
    WeatherFile.Reading nothing(String columns) {
        return WeatherFile.Reading.failed(
                "The columns " + columns + " were found, but no row could be read"
                        + (warnings.isEmpty()
                                ? "."
                                : ": line " + warnings.get(0).line() + ", "
                                        + warnings.get(0).words() + "."),
                layout);
    }

    String heading(Column column) {
        return layout.columns().get(layout.find(column)).heading();
    }

    List<Warning> sorted() {
        warnings.sort((a, b) -> Long.compare(a.line(), b.line()));
        return List.copyOf(warnings);
    }
}
