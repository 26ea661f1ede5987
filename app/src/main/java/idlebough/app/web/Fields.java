package idlebough.app.web;

import idlebough.core.measure.Display;
import idlebough.core.measure.Entry;
import idlebough.core.measure.Latitude;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Spoken;
import idlebough.core.measure.SpokenDate;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * One filled-in form: what was typed, what it means, and a sentence beside each field that is not right. What was typed
 * is kept as typed.
 */
public final class Fields {
    private final Map<String, String> typed = new LinkedHashMap<>();
    private final Map<String, String> complaints = new LinkedHashMap<>();
    private final Display display;

    public Fields(Map<String, String> typed, Display display) {
        this.typed.putAll(typed);
        this.display = display;
    }

    /** For an empty or stored form. */
    public static Fields blank(Display display) {
        return new Fields(Map.of(), display);
    }

    public Fields put(String name, Object text) {
        typed.put(name, text == null ? "" : text.toString());
        return this;
    }

    public Fields put(String name, LocalDate day) {
        return put(name, day == null ? "" : display.date(day));
    }

    public Fields put(String name, Double base, Quantity quantity) {
        return put(name, display.field(base, quantity));
    }

    /** In whose units the form speaks. */
    public Display display() {
        return display;
    }

    public String value(String name) {
        return typed.getOrDefault(name, "");
    }

    /** Whether the form held it at all, be it empty. */
    public boolean typed(String name) {
        return typed.containsKey(name);
    }

    public boolean ticked(String name) {
        return typed.containsKey(name) && !value(name).isBlank() && !value(name).equals("false");
    }

    public String complaint(String name) {
        return complaints.get(name);
    }

    public boolean wrong() {
        return !complaints.isEmpty();
    }

    public void complain(String name, String sentence) {
        complaints.putIfAbsent(name, sentence);
    }

    /** Null when empty or wrong; low and high in base units, inclusive. */
    public Double optional(String name, Quantity quantity, double low, double high) {
        Entry entry = Spoken.read(typed.get(name), quantity, display.system(), display.locale());
        if (entry.isWrong()) {
            complain(name, entry.complaint().get());
            return null;
        }
        Double value = entry.value().orElse(null);
        if (value != null && (value < low - 1e-9 || value > high + 1e-9)) {
            complain(
                    name,
                    "This must lie between " + display.text(low, quantity) + " and " + display.text(high, quantity)
                            + "; " + display.text(value, quantity) + " was read.");
            return null;
        }
        return value;
    }

    /** As {@link #optional}, with a complaint when empty; 0 then. */
    public double required(String name, Quantity quantity, double low, double high) {
        Double value = optional(name, quantity, low, high);
        if (value == null) {
            complain(
                    name,
                    "Please fill this in, in " + (display.unit(quantity).isEmpty() ? "figures" : display.unit(quantity))
                            + ".");
            return 0;
        }
        return value;
    }

    /** Degrees as people write them, “36.8 S”; 0 and a complaint when empty or wrong. */
    public double latitude(String name, double most) {
        Entry entry = Latitude.read(value(name));
        if (entry.isWrong()) {
            complain(name, entry.complaint().get());
        } else if (entry.value().isEmpty()) {
            complain(name, "Please fill this in, like 42.3 N or 36.8 S.");
        } else if (Math.abs(entry.value().get()) > most) {
            complain(
                    name, "Fruit is planned between " + Math.round(most) + "° S and " + Math.round(most) + "° N here.");
        }
        return complaint(name) == null ? entry.value().orElse(0.0) : 0;
    }

    public String words(String name, int most) {
        String text = value(name).strip();
        if (text.isEmpty()) {
            complain(name, "Please fill this in.");
        } else if (text.length() > most) {
            complain(name, "At most " + most + " letters fit here; there are " + text.length() + ".");
        }
        return text;
    }

    /** As {@link #words}, but may be empty; null then. */
    public String atMost(String name, int most) {
        String text = value(name).strip();
        if (text.length() > most) {
            complain(name, "At most " + most + " letters fit here; there are " + text.length() + ".");
        }
        return text.isEmpty() ? null : text;
    }

    public <E extends Enum<E>> E choice(String name, Class<E> kind) {
        try {
            return Enum.valueOf(kind, value(name));
        } catch (IllegalArgumentException none) {
            complain(name, "Please choose one of the list.");
            return null;
        }
    }

    /** A time zone of the IANA list; with a complaint when it is none. */
    public String zone(String name) {
        String zone = value(name).strip();
        if (!ZoneId.getAvailableZoneIds().contains(zone)) {
            complain(name, "“" + zone + "” is not a time zone of the IANA list; write it like Europe/Lisbon or UTC.");
        }
        return zone;
    }

    /** A day as it is said, {@link SpokenDate}; null and a complaint for what is none. */
    public LocalDate date(String name) {
        return day(name, LocalDate.now(ZoneOffset.UTC));
    }

    private LocalDate day(String name, LocalDate today) {
        LocalDate day = SpokenDate.read(value(name), today, display.locale()).orElse(null);
        if (day == null) {
            complain(
                    name,
                    "“" + value(name) + "” is no day of the calendar; write it like " + display.date(today)
                            + ", or “in 2 weeks”.");
        } else if (day.getYear() < 1900 || day.getYear() > 2200) {
            complain(name, "The year " + day.getYear() + " is too far away.");
        }
        return day;
    }

    /** A day that is over or is today; null and a complaint otherwise. */
    public LocalDate past(String name, LocalDate today) {
        LocalDate day = day(name, today);
        if (day != null && day.isAfter(today)) {
            complain(name, "That day is still to come; write down what has happened.");
            return null;
        }
        return day;
    }
}
