package idlebough.app.store;

import com.fasterxml.uuid.Generators;
import com.fasterxml.uuid.NoArgGenerator;

/** Time-ordered identifiers (UUID version 7, RFC 9562); a client may make them too. */
public final class Ids {
    private static final NoArgGenerator GENERATOR = Generators.timeBasedEpochGenerator();

    private Ids() {}

    public static String next() {
        return GENERATOR.generate().toString();
    }
}
