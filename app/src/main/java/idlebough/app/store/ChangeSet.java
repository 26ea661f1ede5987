package idlebough.app.store;

import java.time.Instant;

/**
 * One thought of a person: changes that were made together and are undone together.
 *
 * @param cause in words: “Moved C3”
 * @param undoes the set that it turned back; null for others
 * @param own whether the reader made it
 */
public record ChangeSet(
        String id,
        Instant madeAt,
        String cause,
        boolean undone,
        boolean seen,
        String who,
        String undoes,
        boolean own) {}
