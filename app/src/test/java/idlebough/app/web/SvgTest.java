package idlebough.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SvgTest {
    @Test
    void writesNumbersAsTheFormatterOfTheLibraryDoes() {
        Random random = new Random(4);
        for (int i = 0; i < 2000; i++) {
            double value = random.nextGaussian() * Math.pow(10, random.nextInt(7) - 2);
            assertThat(Double.parseDouble(Svg.fine(value)))
                    .isEqualTo(Double.parseDouble(String.format(Locale.ROOT, "%.2f", value)));
            assertThat(Svg.fine(value)).matches("-?\\d+\\.\\d\\d");
        }
        assertThat(Svg.fine(-0.001)).isEqualTo("0.00");
        assertThat(Svg.fine(12.05)).isEqualTo("12.05");
        assertThat(Svg.number(-3.25)).isEqualTo("-3.2");
        assertThat(Svg.number(4.04)).isEqualTo("4");
        assertThat(Svg.fine(Double.NaN)).isEqualTo("NaN");
    }
}
