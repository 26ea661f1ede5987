package idlebough.core.judge;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The sentences of a room, from {@code <room>/sentences.properties}; each {@code {name}} takes the argument of that
 * name, and {@code {name#winter|winters}} one of two words by whether the argument of that name is one.
 */
public final class Sentences {
    private static final Pattern NAME = Pattern.compile("\\{(\\w+)(?:#([^|}]*)\\|([^}]*))?}");
    private static final Map<String, Sentences> ROOMS = new ConcurrentHashMap<>();
    private final Map<String, Sentence> byKey = new ConcurrentHashMap<>();

    /** @param pattern as {@link Phrase} takes it, {@code {}} for each of the slots in turn */
    private record Sentence(String written, String pattern, List<Slot> slots) {}

    /** @param one and many: empty where the argument itself is said */
    private record Slot(String name, Optional<String> one, Optional<String> many) {
        Object filled(Object argument) {
            return one.isEmpty() ? argument : isOne(argument) ? one.get() : many.orElseThrow();
        }

        private static boolean isOne(Object argument) {
            return argument instanceof Amount amount
                    ? amount.value() != null && Math.round(amount.value()) == 1
                    : argument.equals(1) || argument.equals(1L);
        }
    }

    private Sentences(Properties file) {
        file.stringPropertyNames().forEach(key -> byKey.put(key, sentence(file.getProperty(key))));
    }

    /** @throws IllegalStateException when the room has none */
    public static Sentences of(String room) {
        return ROOMS.computeIfAbsent(room, Sentences::read);
    }

    private static Sentences read(String room) {
        String name = "/idlebough/" + room + "/sentences.properties";
        try (InputStream in = Sentences.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("Sentences " + name + " are not shipped.");
            }
            Properties file = new Properties();
            file.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            return new Sentences(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static Sentence sentence(String written) {
        List<Slot> slots = new ArrayList<>();
        Matcher found = NAME.matcher(written);
        StringBuilder pattern = new StringBuilder();
        while (found.find()) {
            slots.add(
                    new Slot(found.group(1), Optional.ofNullable(found.group(2)), Optional.ofNullable(found.group(3))));
            found.appendReplacement(pattern, "{}");
        }
        found.appendTail(pattern);
        return new Sentence(written, pattern.toString(), List.copyOf(slots));
    }

    public Set<String> keys() {
        return new LinkedHashSet<>(byKey.keySet());
    }

    /** The names that a sentence takes, in its order. */
    public List<String> names(String key) {
        return Optional.ofNullable(byKey.get(key)).stream()
                .flatMap(sentence -> sentence.slots().stream())
                .map(Slot::name)
                .distinct()
                .toList();
    }

    /**
     * A sentence as it stands in the file, its names in braces.
     *
     * @throws IllegalArgumentException when there is no such sentence
     */
    public String written(String key) {
        Sentence sentence = byKey.get(key);
        if (sentence == null) {
            throw new IllegalArgumentException("There is no sentence " + key + ".");
        }
        return sentence.written();
    }

    public boolean has(String key) {
        return byKey.containsKey(key);
    }

    /**
     * A sentence with its arguments in place.
     *
     * @throws IllegalArgumentException when there is no such sentence, or an argument is missing
     */
    public Phrase say(String key, Map<String, Object> arguments) {
        Sentence sentence = byKey.get(key);
        if (sentence == null) {
            throw new IllegalArgumentException("There is no sentence " + key + ".");
        }
        List<Object> inOrder = new ArrayList<>();
        for (Slot slot : sentence.slots()) {
            Object argument = arguments.get(slot.name());
            if (argument == null) {
                throw new IllegalArgumentException("The sentence " + key + " lacks its {" + slot.name() + "}.");
            }
            inOrder.add(slot.filled(argument));
        }
        return new Phrase(sentence.pattern(), List.copyOf(inOrder));
    }
}
