package idlebough.core.judge;

import java.util.Optional;
import java.util.function.Supplier;

/** A value computed once, when it is first asked for; thread-safe. */
public final class Lazy<T> {
    private Supplier<T> compute;
    private volatile boolean known;
    private T value;

    private Lazy(Supplier<T> compute) {
        this.compute = compute;
    }

    public static <T> Lazy<T> of(Supplier<T> compute) {
        return new Lazy<>(compute);
    }

    /** Empty while nobody has asked for it. */
    public Optional<T> ifKnown() {
        return known ? Optional.of(value) : Optional.empty();
    }

    public T get() {
        if (!known) {
            synchronized (this) {
                if (!known) {
                    value = compute.get();
                    compute = null;
                    known = true;
                }
            }
        }
        return value;
    }
}
