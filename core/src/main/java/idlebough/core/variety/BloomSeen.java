package idlebough.core.variety;

import java.time.LocalDate;

/**
 * A day on which the grower saw a variety in full bloom.
 *
 * @param variety key of the catalogue
 */
public record BloomSeen(String variety, LocalDate day) {}
