package idlebough.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Broken files of trees: each is answered with trees or with a sentence, never with a fault. */
class TreesFilesFuzzTest {
    private static final String CSV = "tag,variety,stock,x_m,y_m,state\nA1,apple-cox,m9,1.5,2.5,planned\n"
            + "\"A, 2\",\"apple \"\"x\"\"\",,3,4,\nA3;pear;quince-a;5;6\n";
    private static final String JSON = "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\","
            + "\"properties\":{\"tag\":\"A1\",\"variety\":\"apple-cox\",\"x_m\":1.5,\"y_m\":2.5},\"geometry\":null}]}";
    private static final String MARKS = "\",;\n\r\t{}[]:0.9-eé\u0000\uFEFF ";

    private static String broken(String text, Random random) {
        StringBuilder out = new StringBuilder(text);
        int breaks = 1 + random.nextInt(8);
        for (int i = 0; i < breaks && out.length() > 1; i++) {
            int at = random.nextInt(out.length());
            switch (random.nextInt(3)) {
                case 0 -> out.deleteCharAt(at);
                case 1 -> out.insert(at, MARKS.charAt(random.nextInt(MARKS.length())));
                default -> out.setLength(Math.max(1, at));
            }
        }
        return out.toString();
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void noFileIsAFault(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 400; i++) {
            String csv = broken(CSV, random);
            String json = broken(JSON, random);
            assertThatCode(() -> said(TreesCsvReader.read(csv))).as(csv).doesNotThrowAnyException();
            assertThatCode(() -> said(TreesGeoJsonReader.read(json, Optional.empty())))
                    .as(json)
                    .doesNotThrowAnyException();
        }
    }

    private static void said(TreesRead read) {
        assertThat(read.lines().size() + read.complaints().size())
                .as("trees or a sentence")
                .isPositive();
        read.lines().forEach(line -> {
            assertThat(line.tag()).isNotBlank().hasSizeLessThanOrEqualTo(12);
            assertThat(line.variety()).isNotBlank();
            assertThat(line.x()).isFinite();
            assertThat(line.y()).isFinite();
        });
    }
}
