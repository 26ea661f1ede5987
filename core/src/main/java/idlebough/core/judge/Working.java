package idlebough.core.judge;

import java.util.ArrayList;
import java.util.List;

/**
 * How a figure comes about: the formula in words, the numbers put in, each step, the result, the source, and what it is
 * most sensitive to.
 */
public record Working(Phrase title, List<Phrase> steps, Source source, Phrase sensitivity) {

    public static Builder of(String title, Object... arguments) {
        return new Builder(Phrase.of(title, arguments));
    }

    /** Collects the steps in the order in which they are computed. */
    public static final class Builder {
        private final Phrase title;
        private final List<Phrase> steps = new ArrayList<>();
        private Phrase sensitivity;

        private Builder(Phrase title) {
            this.title = title;
        }

        public Builder step(String pattern, Object... arguments) {
            steps.add(Phrase.of(pattern, arguments));
            return this;
        }

        public Builder sensitive(String pattern, Object... arguments) {
            sensitivity = Phrase.of(pattern, arguments);
            return this;
        }

        public Working from(Source source) {
            return new Working(title, List.copyOf(steps), source, sensitivity);
        }
    }
}
