package idlebough.app.store;

import java.time.LocalDate;

/** A day on which a variety was seen in full bloom. */
public record BloomRow(RowKey key, String varietyKey, LocalDate seenOn) implements Row {}
