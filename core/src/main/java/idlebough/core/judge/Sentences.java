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
 * name.
 */
public final class Sentences {
    private static final Pattern NAME = Pattern.compile("\\{(\\w+)}");
    private static final Map<String, Sentences> ROOMS = new ConcurrentHashMap<>();
    private final Map<String, Sentence> byKey = new ConcurrentHashMap<>();

    /** @param pattern as {@link Phrase} takes it, {@code {}} for each of the names in turn */
    private record Sentence(String pattern, List<String> names) {}

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
        List<String> names = new ArrayList<>();
        Matcher found = NAME.matcher(written);
        StringBuilder pattern = new StringBuilder();
        while (found.find()) {
            names.add(found.group(1));
            found.appendReplacement(pattern, "{}");
        }
        found.appendTail(pattern);
        return new Sentence(pattern.toString(), List.copyOf(names));
    }

    public Set<String> keys() {
        return new LinkedHashSet<>(byKey.keySet());
    }

    /** The names that a sentence takes, in its order. */
    public List<String> names(String key) {
        return Optional.ofNullable(byKey.get(key)).map(Sentence::names).orElse(List.of());
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
        for (String name : sentence.names()) {
            Object argument = arguments.get(name);
            if (argument == null) {
                throw new IllegalArgumentException("The sentence " + key + " lacks its {" + name + "}.");
            }
            inOrder.add(argument);
        }
        return new Phrase(sentence.pattern(), List.copyOf(inOrder));
    }
}
