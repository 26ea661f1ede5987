package idlebough.app.web;

import idlebough.app.store.LostRace;
import idlebough.core.judge.Table;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;

/** A lost race in words: what stands now, what was asked, and the form that asks for it once more, knowingly. */
public final class Conflicts {
    /** How the fields of rows are called and in which quantity they are shown. */
    private static final Map<String, Field> FIELDS = Table.rows("app/fields.csv").stream()
            .collect(Collectors.toUnmodifiableMap(
                    row -> row.get("field"),
                    row -> new Field(
                            row.get("words"),
                            row.get("quantity").isEmpty() ? null : Quantity.valueOf(row.get("quantity")))));

    private Conflicts() {}

    private record Field(String words, Quantity quantity) {}

    /** One field of one row. */
    record Difference(String what, String now, String mine) {}

    static List<Difference> lines(LostRace race, Display display) {
        List<Difference> lines = new ArrayList<>();
        for (LostRace.Conflict conflict : race.conflicts()) {
            if (conflict.now() == null) {
                lines.add(new Difference("the row itself", "taken away", "kept"));
            }
            conflict.asked()
                    .forEach((field, mine) -> lines.add(new Difference(
                            words(field), text(field, conflict.stands(field), display), text(field, mine, display))));
        }
        return lines;
    }

    /** How a field is called. */
    public static String words(String field) {
        return FIELDS.containsKey(field)
                ? FIELDS.get(field).words()
                : field.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
    }

    private static String text(String field, Object value, Display display) {
        if (value == null || value.equals("")) {
            return "nothing";
        }
        if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        if (value instanceof LocalDate day) {
            return display.date(day);
        }
        if (value instanceof Number number) {
            Field known = FIELDS.get(field);
            return known == null || known.quantity() == null
                    ? display.plain(number.doubleValue(), 2)
                    : display.text(number.doubleValue(), known.quantity());
        }
        return value instanceof Enum<?> choice
                ? choice.name().toLowerCase(Locale.ROOT).replace('_', ' ')
                : value.toString();
    }

    /** What was sent, to be sent once more against the rows as they stand now. */
    static Map<String, String> again(LostRace race, HttpServletRequest request) {
        Map<String, String> fields = new LinkedHashMap<>();
        request.getParameterMap().forEach((name, values) -> fields.put(name, values[0]));
        long newest = race.conflicts().stream()
                .filter(conflict -> conflict.now() != null)
                .mapToLong(conflict -> conflict.now().version())
                .max()
                .orElse(0);
        fields.put(FormStamp.ID, UUID.randomUUID().toString());
        fields.put(FormStamp.REVISION, String.valueOf(newest));
        fields.remove("_csrf");
        return fields;
    }
}
