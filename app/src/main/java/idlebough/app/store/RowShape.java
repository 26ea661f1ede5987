package idlebough.app.store;

import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * How a row's record, its columns and its journal entry belong together: the components of the record, and of records
 * inside it, laid flat by their names. A field {@code yearsSince} is the column {@code years_since}.
 */
public final class RowShape {
    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss.SSS").withZone(ZoneOffset.UTC);
    private static final String DELETED = "deleted";
    /** What stands in a plain field where nothing is stored. */
    private static final Map<Class<?>, Object> EMPTY = Map.of(boolean.class, false, int.class, 0, double.class, 0.0);

    private final Class<? extends Row> type;
    private final List<Column> columns = new ArrayList<>();
    private final boolean deletable;

    /**
     * One flat field.
     *
     * @param name of the column
     * @param type of the column as a JSON array is read
     */
    public record Column(String field, String name, Class<?> javaType, String type) {
        public String getField() {
            return field;
        }

        public String getName() {
            return name;
        }

        public String getType() {
            return type;
        }
    }

    RowShape(Class<? extends Row> type, boolean deletable) {
        this.type = type;
        this.deletable = deletable;
        collect(type);
    }

    private void collect(Class<?> record) {
        for (RecordComponent component : record.getRecordComponents()) {
            if (component.getType().isRecord()) {
                collect(component.getType());
            } else if (deletable || !component.getName().equals(DELETED)) {
                columns.add(new Column(
                        component.getName(),
                        component.getName().replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT),
                        component.getType(),
                        sql(component)));
            }
        }
    }

    private static String sql(RecordComponent component) {
        Class<?> type = component.getType();
        if (component.getName().equals("id") || component.getName().endsWith("Id")) {
            return "char(36) character set ascii collate ascii_bin";
        }
        if (type == double.class || type == Double.class) {
            return "double";
        }
        if (type == int.class || type == Integer.class || type == boolean.class) {
            return "int";
        }
        if (type == LocalDate.class) {
            return "date";
        }
        return type == Instant.class ? "datetime(3)" : "text";
    }

    Class<? extends Row> type() {
        return type;
    }

    public List<Column> columns() {
        return columns;
    }

    /** Every field of a row by its name. */
    Map<String, Object> flat(Row row) {
        Map<String, Object> flat = new LinkedHashMap<>();
        flatten(row, flat);
        return flat;
    }

    private static void flatten(Object record, Map<String, Object> into) {
        for (Part part : Anatomy.of(record.getClass()).parts()) {
            Object value = part.read(record);
            if (part.nested() && value != null) {
                flatten(value, into);
            } else {
                into.put(part.name(), value);
            }
        }
    }

    /** One component of a record. */
    private record Part(String name, Class<?> type, boolean nested, Method accessor) {
        static Part of(RecordComponent component) {
            Method accessor = component.getAccessor();
            accessor.setAccessible(true);
            return new Part(
                    component.getName(),
                    component.getType(),
                    component.getType().isRecord(),
                    accessor);
        }

        Object read(Object record) {
            try {
                return accessor.invoke(record);
            } catch (ReflectiveOperationException broken) {
                throw new IllegalStateException("A row cannot be read.", broken);
            }
        }
    }

    /** The components of a record and how it is made, looked up once: a refill flattens ten thousand rows. */
    private record Anatomy(List<Part> parts, Constructor<?> constructor) {
        private static final Map<Class<?>, Anatomy> KNOWN = new ConcurrentHashMap<>();

        static Anatomy of(Class<?> record) {
            Anatomy known = KNOWN.get(record);
            if (known == null) {
                known = look(record);
                KNOWN.put(record, known);
            }
            return known;
        }

        private static Anatomy look(Class<?> record) {
            RecordComponent[] components = record.getRecordComponents();
            try {
                Constructor<?> constructor = record.getDeclaredConstructor(
                        Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
                constructor.setAccessible(true);
                return new Anatomy(Arrays.stream(components).map(Part::of).toList(), constructor);
            } catch (NoSuchMethodException never) {
                throw new IllegalStateException("A record has its constructor.", never);
            }
        }
    }

    /** A row of its fields; what is missing is empty, zero or false. */
    Row row(Map<String, ?> fields) {
        return type.cast(build(type, fields));
    }

    private static Object build(Class<?> record, Map<String, ?> fields) {
        Anatomy anatomy = Anatomy.of(record);
        Object[] values = new Object[anatomy.parts().size()];
        for (int i = 0; i < values.length; i++) {
            Part part = anatomy.parts().get(i);
            values[i] = part.nested() ? build(part.type(), fields) : convert(fields.get(part.name()), part.type());
        }
        try {
            return anatomy.constructor().newInstance(values);
        } catch (ReflectiveOperationException broken) {
            throw new IllegalStateException("A row cannot be made.", broken);
        }
    }

    /** A row as the database gives it, by columns. */
    Row ofColumns(Map<String, Object> cells) {
        Map<String, Object> fields = new LinkedHashMap<>();
        columns.forEach(column -> fields.put(column.field(), cells.get(column.name())));
        return row(fields);
    }

    /** A row's fields as JSON takes them. */
    Map<String, Object> json(Row row) {
        Map<String, Object> json = new LinkedHashMap<>();
        flat(row).forEach((field, value) -> json.put(field, plain(value)));
        return json;
    }

    private static Object plain(Object value) {
        if (value instanceof Boolean flag) {
            return flag ? 1 : 0;
        }
        if (value instanceof Instant moment) {
            return MOMENT.format(moment);
        }
        return value == null || value instanceof Number ? value : value.toString();
    }

    @SuppressWarnings({"unchecked", "rawtypes"})
    private static Object convert(Object value, Class<?> type) {
        if (value == null) {
            return EMPTY.get(type);
        }
        if (type.isInstance(value)) {
            return value;
        }
        if (type == double.class || type == Double.class) {
            return ((Number) value).doubleValue();
        }
        if (type == int.class || type == Integer.class) {
            return ((Number) value).intValue();
        }
        if (type == boolean.class) {
            return value instanceof Number number ? number.intValue() != 0 : (Boolean) value;
        }
        if (type.isEnum()) {
            return Enum.valueOf((Class) type, value.toString());
        }
        if (type == LocalDate.class) {
            return value instanceof java.sql.Date day ? day.toLocalDate() : LocalDate.parse(value.toString());
        }
        if (type == Instant.class) {
            return moment(value);
        }
        return value.toString();
    }

    private static Instant moment(Object value) {
        if (value instanceof Timestamp stamp) {
            return stamp.toLocalDateTime().toInstant(ZoneOffset.UTC);
        }
        if (value instanceof LocalDateTime local) {
            return local.toInstant(ZoneOffset.UTC);
        }
        String text = value.toString();
        return text.endsWith("Z")
                ? Instant.parse(text)
                : LocalDateTime.parse(text, MOMENT).toInstant(ZoneOffset.UTC);
    }
}
