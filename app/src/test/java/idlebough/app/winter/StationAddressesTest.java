package idlebough.app.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whom this server may ask, and what it takes for an answer. */
class StationAddressesTest {
    private final StationAddresses addresses = new StationAddresses(" 192.168.1.20:80 , mast.example:443,");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "http://192.168.1.20/readings | ",
                "http://192.168.1.20:80/a?b=c | ",
                "https://mast.example/readings | ",
                "http://192.168.1.20:81/readings | may not fetch from 192.168.1.20:81",
                "http://mast.example/readings | may not fetch from mast.example:80",
                "http://127.0.0.1:3306/ | may not fetch from 127.0.0.1:3306",
                "http://192.168.1.20.elsewhere.example/ | may not fetch",
                "http://192.168.1.20@elsewhere.example/ | is not an address",
                "ftp://192.168.1.20:80/readings | is not an address",
                "file:///etc/hostname | is not an address",
                "http:// | is not an address",
                "a station | is not an address"
            })
    void onlyWhatIsListedIsAsked(String typed, String complaint) {
        if (complaint == null) {
            assertThat(addresses.complaint(typed)).isNull();
        } else {
            assertThat(addresses.complaint(typed)).contains(complaint);
        }
    }

    @Test
    void theSimulatedStationsAllowThemselves() {
        URI own = URI.create("http://127.0.0.1:40001/readings");
        assertThat(addresses.complaint(own.toString())).isNotNull();
        addresses.allow(own);
        assertThat(addresses.complaint(own.toString())).isNull();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "null",
                "[]",
                "{}",
                "{\"readings\": null}",
                "{\"readings\": [null]}",
                "{\"readings\": [{\"celsius\": 3}]}",
                "{\"readings\": [{\"at\": \"yesterday\"}]}",
                "{\"readings\": [{\"at\": \"2026-11-23T10:00:00Z\", \"celsius\": \"warm\"}]}",
                "<html>"
            })
    void whatIsNoMessageIsRefused(String body) {
        assertThatThrownBy(() -> HttpStation.read(body.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(IOException.class);
    }

    @Test
    void aMessageNeedsNoMoreThanATime() throws IOException {
        assertThat(HttpStation.read(
                        "{\"station\": \"Mast\", \"battery\": 3.1, \"readings\": [{\"at\": \"2026-11-23T10:00:00Z\"}]}"
                                .getBytes(StandardCharsets.UTF_8)))
                .singleElement()
                .satisfies(reading -> {
                    assertThat(reading.at()).isEqualTo(Instant.parse("2026-11-23T10:00:00Z"));
                    assertThat(reading.celsius()).isNull();
                });
        String many = "{\"at\": \"2026-11-23T10:00:00Z\"},".repeat(5001);
        assertThatThrownBy(() -> HttpStation.read(("{\"readings\": [" + many.substring(0, many.length() - 1) + "]}")
                        .getBytes(StandardCharsets.UTF_8)))
                .hasMessageContaining("more than 5000 readings");
    }
}
