package idlebough.core.winter;

import idlebough.core.winter.WeatherFile.Warning;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVRecord;

/**
 * Rows of single readings: hourly values, or a logger's at any minute. Each day with all its hours known gives its 24
 * temperatures and its lowest and highest reading; a day with an hour missing is a missing day.
 *
 * <p>Hours are kept in local standard time. Stamps in UTC, with an offset of their own, or by the clock on the wall are
 * brought to it.
 */
final class HourRows extends TableRows {
    private static final Pattern CLOCK = Pattern.compile(
            "[T "
                    + ",;]+(\\d{1,2})[:.h](\\d{2})(?:[:.]\\d{2}(?:\\.\\d+)?)?\\s*([AaPp])?[Mm]?\\s*(Z|[+-]\\d{2}(?::?\\d{2})?)?|\\d{8}(\\d{2})(\\d{2})?");
    private static final Pattern HOUR = Pattern.compile("(\\d{1,2})(?:[:.h](\\d{2}))?(?::\\d{2})?\\s*([AaPp])?[Mm]?");
    /** Seconds, or milliseconds, since 1970; ten digits that are no year, month, day and hour. */
    private static final Pattern EPOCH = Pattern.compile("\\d{10}|\\d{13}");

    private static final double STEP = 15;
    private static final int STUCK_HOURS = 24;
    /** Hours of a day that must have a reading before its rain or wind is said. */
    private static final int ENOUGH = 20;

    private final ZoneId zone;
    private final NavigableMap<Long, Double> readings = new TreeMap<>();
    private final Map<LocalDate, Map<Element, Sum>> beside = new TreeMap<>();
    private int twice;
    private Double last;
    private int run;
    private LocalDateTime lastWall;

    HourRows(TableLayout layout, WeatherFile.Wish wish, ZoneId zone) {
        super(layout, wish, Column.TEMPERATURE);
        this.zone = zone;
    }

    private static final class Sum {
        private double total;
        private int readings;
        private int hours;

        void add(double value, int hour) {
            total += value;
            readings++;
            hours |= 1 << hour;
        }
    }

    @Override
    public void take(long line, CSVRecord row) {
        Double celsius = read(row, line);
        if (celsius == null) {
            return;
        }
        if (last != null && Math.abs(celsius - last) > STEP) {
            warnings.add(new Warning(line, "more than 15 K from one reading to the next; kept, look at it", false));
        }
        run = celsius.equals(last) ? run + 1 : 1;
        if (run == STUCK_HOURS) {
            warnings.add(new Warning(
                    line,
                    "the same figure " + STUCK_HOURS + " times in a row, a stuck sensor perhaps; kept, look at it",
                    false));
        }
        last = celsius;
    }

    @Override
    public WeatherFile.Reading reading() {
        if (twice > 1 && wish.scale() == WeatherFile.TimeScale.STANDARD) {
            warnings.add(new Warning(
                    0,
                    "hours stand twice where the clocks go back; this file may keep daylight saving: say so above",
                    false));
        }
        return readings.isEmpty() ? nothing(heading(Column.DATE) + " and " + heading(Column.TEMPERATURE)) : days();
    }

    /** @return °C when the row was read */
    private Double read(CSVRecord row, long line) {
        if (breaksOff(row, line)) {
            return null;
        }
        String date = dateCell(row);
        String time = layout.has(Column.TIME) ? row.get(layout.find(Column.TIME)) : null;
        LocalDateTime when = moment(date, time);
        if (when == null) {
            warnings.add(new Warning(line, "“" + (time == null ? date : date + " " + time) + "” is not a time", true));
            return null;
        }
        if (isFlagged(row, line)) {
            return null;
        }
        elements(row, line)
                .forEach((element, value) -> beside.computeIfAbsent(
                                when.toLocalDate(), day -> new EnumMap<>(Element.class))
                        .computeIfAbsent(element, e -> new Sum())
                        .add(value, when.getHour()));
        String cell = row.get(layout.find(Column.TEMPERATURE));
        if (Cells.isMissing(cell)) {
            return null;
        }
        Double celsius = celsius(row, Column.TEMPERATURE, line);
        if (celsius == null) {
            return null;
        }
        if (isBeyond(celsius)) {
            warnings.add(new Warning(line, cell + " is beyond −60 to 60 °C", true));
            return null;
        }
        long minute = Math.floorDiv(when.toEpochSecond(ZoneOffset.UTC), 60);
        Double before = readings.putIfAbsent(minute, celsius);
        if (before != null && !before.equals(celsius)) {
            warnings.add(new Warning(line, when + " stands there already with another figure", true));
            twice += isFallBack(when) ? 1 : 0;
            return null;
        }
        return celsius;
    }

    private boolean isFallBack(LocalDateTime wall) {
        return zone.getRules().getValidOffsets(wall).size() > 1;
    }

    /** In local standard time; null when the cells are no moment. */
    private LocalDateTime moment(String dateCell, String timeCell) {
        LocalDate date = date(dateCell);
        if (date == null && timeCell == null && EPOCH.matcher(dateCell).matches()) {
            long seconds = Long.parseLong(dateCell) / (dateCell.length() > 10 ? 1000 : 1);
            return local(Instant.ofEpochSecond(seconds).atOffset(ZoneOffset.UTC));
        }
        String clock = timeCell == null ? dateCell.substring(dayOf(dateCell).length()) : timeCell;
        Matcher part = (timeCell == null ? CLOCK : HOUR).matcher(clock.isEmpty() ? dateCell : clock);
        if (date == null || !part.matches()) {
            return null;
        }
        boolean glued = timeCell == null && part.group(5) != null;
        int hour = Integer.parseInt(part.group(glued ? 5 : 1));
        String minutes = part.group(glued ? 6 : 2);
        String half = glued ? null : part.group(3);
        if (half != null) {
            hour = hour % 12 + (half.equalsIgnoreCase("p") ? 12 : 0);
        }
        String offset = timeCell == null && !glued ? part.group(4) : null;
        try {
            // Some loggers call midnight the 24th hour of the day before.
            LocalDateTime wall = hour == 24
                    ? date.plusDays(1).atStartOfDay()
                    : date.atTime(LocalTime.of(hour, minutes == null ? 0 : Integer.parseInt(minutes)));
            return standard(wall, offset);
        } catch (DateTimeException notOnAClock) {
            return null;
        }
    }

    private LocalDateTime standard(LocalDateTime wall, String offset) {
        if (offset != null) {
            return local(wall.atOffset(ZoneOffset.of(offset.equals("Z") ? "Z" : offset)));
        }
        return switch (wish.scale()) {
            case STANDARD -> wall;
            case UTC -> local(wall.atOffset(ZoneOffset.UTC));
            case SUMMER -> {
                ZonedDateTime moment = wall.atZone(zone);
                // The hour that the clocks run through twice: the second time when the stamps step back or stand.
                if (isFallBack(wall) && lastWall != null && !wall.isAfter(lastWall)) {
                    moment = moment.withLaterOffsetAtOverlap();
                } else {
                    lastWall = wall;
                }
                yield local(moment.toOffsetDateTime());
            }
        };
    }

    private LocalDateTime local(OffsetDateTime moment) {
        return moment.withOffsetSameInstant(zone.getRules().getStandardOffset(moment.toInstant()))
                .toLocalDateTime();
    }

    private WeatherFile.Reading days() {
        WholeDays whole = WholeDays.of(readings);
        if (whole.days().isEmpty()) {
            return WeatherFile.Reading.failed(
                    "No day of this file has all its hours; readings must not be more than three hours apart.", layout);
        }
        int broken = whole.broken();
        if (broken > 0) {
            warnings.add(new Warning(
                    0,
                    broken + (broken == 1 ? " day has" : " days have")
                            + " an hour missing and are missing days; each whole day gave its hours and its "
                            + "lowest and highest reading",
                    false));
        }
        return new WeatherFile.Reading(
                Optional.empty(),
                WeatherFile.Shape.table(layout, order, ambiguous),
                whole.days(),
                whole.hours(),
                weather(),
                sorted());
    }

    private List<DayWeather> weather() {
        List<DayWeather> weather = new ArrayList<>();
        beside.forEach((date, sums) -> {
            Map<Element, Double> values = new EnumMap<>(Element.class);
            sums.forEach((element, sum) -> {
                if (Integer.bitCount(sum.hours) >= ENOUGH) {
                    boolean mean = !element.summed() || isPower(element);
                    double value = mean ? sum.total / sum.readings : sum.total;
                    if (element.allows(value)) {
                        values.put(element, value);
                    }
                }
            });
            if (!values.isEmpty()) {
                weather.add(new DayWeather(date, values));
            }
        });
        return weather;
    }

    /** Watts are a rate: a day's radiation is their mean, not their sum. */
    private boolean isPower(Element element) {
        return element == Element.RADIATION
                && layout.columns().get(layout.find(Column.RADIATION)).unit() == ColumnUnit.WATTS;
    }
}
