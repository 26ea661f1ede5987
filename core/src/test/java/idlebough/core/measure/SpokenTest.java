package idlebough.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpokenTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 ft 6|LENGTH|US|en|0.762",
                "30\"|SHORT_LENGTH|METRIC|en|0.762",
                "75 cm|LENGTH|METRIC|en|0.75",
                "0.75|LENGTH|METRIC|en|0.75",
                "0,75|LENGTH|METRIC|de|0.75",
                "28F|TEMPERATURE|METRIC|en|-2.2222222",
                "-2|TEMPERATURE|METRIC|en|-2",
                "5 gal|VOLUME|METRIC|en|18.92705892",
                "2½ ft|LENGTH|US|en|0.762",
                "2 1/2 ft|LENGTH|US|en|0.762",
                "1.250|VOLUME|METRIC|de|1250",
                "1,250|VOLUME|US|en|4731.76473",
                "5'6\"|LENGTH|US|en|1.6764",
                "-12.5 °C|TEMPERATURE|US|en|-12.5",
                "1 in/h|DRAINAGE|METRIC|en|25.4"
            })
    void readsWhatGrowersSay(String typed, Quantity quantity, UnitSystem system, String locale, double base) {
        Entry entry = Spoken.read(typed, quantity, system, Locale.forLanguageTag(locale));
        assertThat(entry.complaint()).isEmpty();
        assertThat(entry.value().orElseThrow()).isCloseTo(base, offset(1e-6));
    }

    @ParameterizedTest
    @CsvSource({"abc,LENGTH", "5 gal,LENGTH", "1.2.3,LENGTH", "12 kg 3,MASS", "--2,TEMPERATURE", "2 m of rope,LENGTH"})
    void answersNonsenseWithASentence(String typed, Quantity quantity) {
        Entry entry = Spoken.read(typed, quantity, UnitSystem.METRIC, Locale.ENGLISH);
        assertThat(entry.value()).isEmpty();
        assertThat(entry.complaint().orElseThrow()).contains("like").endsWith(".");
    }

    @Test
    void displayThenParseThenDisplayIsStable() {
        Random random = new Random(20261123);
        for (String tag : new String[] {"en-US", "en-GB", "de-DE", "fr-FR", "sv-SE", "pt-BR"}) {
            for (UnitSystem system : UnitSystem.values()) {
                for (Quantity quantity : Quantity.values()) {
                    for (int i = 0; i < 60; i++) {
                        Display display = new Display(system, Locale.forLanguageTag(tag));
                        double value = random.nextDouble()
                                * Math.pow(10, random.nextInt(4))
                                * (quantity == Quantity.TEMPERATURE && random.nextBoolean() ? -1 : 1);
                        String shown = display.text(value, quantity);
                        Entry back = Spoken.read(shown, quantity, system, display.locale());
                        assertThat(back.complaint())
                                .as("%s as %s in %s, seed 20261123", shown, quantity, tag)
                                .isEmpty();
                        assertThat(display.text(back.value().orElseThrow(), quantity))
                                .isEqualTo(shown);
                        Entry field = Spoken.read(display.field(value, quantity), quantity, system, display.locale());
                        assertThat(quantity.unit(system).fromBase(field.value().orElseThrow()))
                                .as("the entry field of %s %s in %s", value, quantity, tag)
                                .isCloseTo(quantity.unit(system).fromBase(value), offset(6e-4));
                    }
                }
            }
        }
    }
}
