package idlebough.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Rows of the check files made by an independent program, with its tolerance of 1e−5. */
public final class Vectors {
    private Vectors() {}

    public static List<Map<String, String>> of(String file) {
        return table("/checks/" + file);
    }

    /** The rows of a table among the test resources; lines that begin with # are comments. */
    public static List<Map<String, String>> table(String path) {
        try (InputStream in = Vectors.class.getResourceAsStream(path)) {
            List<Map<String, String>> rows = new ArrayList<>();
            for (CSVRecord row : CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .setCommentMarker('#')
                    .get()
                    .parse(new InputStreamReader(in, StandardCharsets.UTF_8))) {
                rows.add(row.toMap());
            }
            assertThat(rows).isNotEmpty();
            return rows;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The .in and .out rows of one kind joined by id; outputs are named {@code out:NAME}. */
    public static List<Map<String, String>> joined(String kind) {
        Map<String, Map<String, String>> byId = new LinkedHashMap<>();
        of("layout/" + kind + ".in.csv").forEach(row -> byId.put(row.get("id"), new LinkedHashMap<>(row)));
        of("layout/" + kind + ".out.csv")
                .forEach(row ->
                        row.forEach((name, value) -> byId.get(row.get("id")).put("out:" + name, value)));
        return List.copyOf(byId.values());
    }

    public static double d(Map<String, String> row, String column) {
        return Double.parseDouble(row.get(column));
    }

    public static void near(double got, Map<String, String> row, String column) {
        double expected = d(row, column);
        assertThat(got)
                .as("%s of %s", column, row)
                .isCloseTo(expected, org.assertj.core.data.Offset.offset(Math.max(1e-5 * Math.abs(expected), 1e-7)));
    }
}
