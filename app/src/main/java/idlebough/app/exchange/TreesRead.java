package idlebough.app.exchange;

import java.util.List;

/**
 * Trees read from a file.
 *
 * @param complaints what could not be read, a sentence a row
 */
public record TreesRead(List<TreeLine> lines, List<String> complaints) {
    /** Nothing was read. */
    static TreesRead none(String complaint) {
        return new TreesRead(List.of(), List.of(complaint));
    }
}
