package idlebough.core.judge;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads the shipped tables: CSV with a header row, and comment lines starting with {@code #} that name the source. */
public final class Table {
    private Table() {}

    /** The rows of a resource under {@code /idlebough/}; an {@link IllegalStateException} when it is not shipped. */
    public static List<CSVRecord> rows(String name) {
        try (InputStream in = Table.class.getResourceAsStream("/idlebough/" + name)) {
            if (in == null) {
                throw new IllegalStateException("Table " + name + " is not shipped.");
            }
            CSVFormat format = CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .setCommentMarker('#')
                    .setTrim(true)
                    .get();
            return format.parse(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .getRecords();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** A number, or null for an empty cell. */
    public static Double number(CSVRecord row, String column) {
        String cell = row.get(column);
        return cell.isEmpty() ? null : Double.valueOf(cell);
    }
}
