package idlebough.core.judge;

import java.util.Optional;

/**
 * Something that would put a finding right, and that the program can do or lead to at one click. Each room has its own
 * kinds, as records; the application knows how to carry each of them out.
 */
public interface Remedy {
    /** What stands on the button. */
    Phrase label();

    /**
     * Another school for one tree, or for the whole orchard.
     *
     * @param tree empty for the orchard
     */
    record TakeWay(Phrase label, Way way, String school, Optional<String> tree) implements Remedy {}
}
