package idlebough.app.web;

import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** One line of a list to choose from. @param value as it is sent */
public record Pick(String value, String words) {

    public static <T> List<Pick> of(Collection<T> all, Function<T, String> value, Function<T, String> words) {
        return all.stream()
                .map(each -> new Pick(value.apply(each), words.apply(each)))
                .toList();
    }

    /** The same with one in front that stands for none or for all. */
    public static <T> List<Pick> of(
            String none, Collection<T> all, Function<T, String> value, Function<T, String> words) {
        return Stream.concat(Stream.of(new Pick("", none)), of(all, value, words).stream())
                .toList();
    }
}
