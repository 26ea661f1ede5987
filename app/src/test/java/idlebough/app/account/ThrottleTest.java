package idlebough.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Guessing is held back, and whoever owns the name is not (OWASP ASVS 4, 2.2.1; the numbers are a project choice). */
class ThrottleTest {
    private Instant now = Instant.parse("2026-11-26T10:00:00Z");
    private final Throttle throttle = new Throttle(
            new Clock() {
                @Override
                public ZoneId getZone() {
                    return ZoneOffset.UTC;
                }

                @Override
                public Clock withZone(ZoneId zone) {
                    return this;
                }

                @Override
                public Instant instant() {
                    return now;
                }
            },
            3);

    private static Throttle.Try by(String name) {
        return new Throttle.Try(SignInName.of(name), "", "");
    }

    private void fail(Throttle.Try made, int times) {
        for (int i = 0; i < times; i++) {
            assertThat(throttle.begin(made)).isTrue();
        }
    }

    @Test
    void howeverANameIsWrittenItIsCountedOnce() {
        for (String written : new String[] {"Müller", " müller", "MÜLLER ", "Mu\u0308ller", "\u2003müller"}) {
            assertThat(throttle.begin(by(written))).as(written).isTrue();
        }
        assertThat(throttle.begin(by("mÜLLER"))).isFalse();
        assertThat(throttle.begin(by("someone else"))).isTrue();
    }

    @Test
    void guessesSideBySideCountLikeGuessesInTurn() {
        long answered = IntStream.range(0, 60)
                .parallel()
                .filter(guess -> throttle.begin(by("maren")))
                .count();
        assertThat(answered).isEqualTo(5);
    }

    @Test
    void theWaitGrowsAndEnds() {
        fail(by("maren"), 5);
        assertThat(throttle.begin(by("maren"))).isFalse();
        now = now.plus(Duration.ofSeconds(31));
        fail(by("maren"), 1);
        now = now.plus(Duration.ofSeconds(31));
        assertThat(throttle.begin(by("maren"))).as("a minute now").isFalse();
        now = now.plus(Duration.ofMinutes(15));
        assertThat(throttle.begin(by("maren")))
                .as("a quarter of an hour is the most")
                .isTrue();
        throttle.succeeded(by("maren"));
        fail(by("maren"), 5);
    }

    @Test
    void theOwnersOwnDeviceGoesOnWhileAStrangerIsHeld() {
        fail(by("maren"), 5);
        assertThat(throttle.begin(by("maren"))).isFalse();
        assertThat(throttle.begin(new Throttle.Try("maren", "her-laptop", ""))).isTrue();
    }

    @Test
    void anAddressIsHeldOverManyNames() {
        int answered = 0;
        for (int i = 0; i < 300; i++) {
            answered += throttle.begin(new Throttle.Try("name" + i, "", "203.0.113.7")) ? 1 : 0;
        }
        assertThat(answered).isEqualTo(100);
        assertThat(throttle.begin(new Throttle.Try("name1", "", "203.0.113.8"))).isTrue();
        for (int i = 0; i < 9; i++) {
            assertThat(throttle.begin(new Throttle.Try("maren", "", "203.0.113.7")))
                    .isFalse();
        }
        assertThat(throttle.begin(by("maren")))
                .as("a held address holds no name")
                .isTrue();
    }

    /** Names cannot be asked through by making accounts (OWASP ASVS 4, 2.2.1). */
    @Test
    void accountsFromOneAddressAreLimited() {
        for (int i = 0; i < 3; i++) {
            assertThat(throttle.maySignUp("192.0.2.7")).isTrue();
        }
        assertThat(throttle.maySignUp("192.0.2.7")).isFalse();
        assertThat(throttle.maySignUp("192.0.2.8")).isTrue();
    }
}
