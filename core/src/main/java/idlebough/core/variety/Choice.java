package idlebough.core.variety;

import java.util.Optional;

/**
 * So many trees of one variety on one stock that the grower wants.
 *
 * @param variety key of the catalogue
 * @param stock key of the catalogue; empty while none is chosen
 */
public record Choice(String id, String variety, Optional<String> stock, int wanted) {}
