package idlebough.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Passwords: NIST SP 800-63B, 5.1.1.2: long ones of any letters are taken, common ones and the own name are not. */
@ExtendWith(Running.class)
class PasswordsTest {
    @ParameterizedTest
    @ValueSource(strings = {"password123", "qwertyuiop", "1234567890", "maren-maren", "Maren2026!", "aaaaaaaaaaaa"})
    void commonOnesAndTheOwnNameAreRefused(String password) {
        assertThat(Passwords.complaint(password, List.of("maren", "I. Maren")))
                .as(password)
                .isPresent();
    }

    @Test
    void longOnesOfAnyLettersAreTaken() {
        String seventy = "é".repeat(3) + "pommier sous la pluie d'été, l'échelle au mur, trois paniers vides ôtés";
        assertThat(Passwords.complaint(seventy, List.of("maren"))).isEmpty();
        assertThat(Passwords.complaint("correct horse battery", List.of("maren")))
                .isEmpty();
        assertThat(Passwords.complaint("short", List.of()).orElseThrow()).contains("at least ten");
        assertThat(Passwords.complaint("x7".repeat(200), List.of()).orElseThrow())
                .contains("at most");
        Visitor visitor = new Visitor();
        assertThat(visitor.post(
                                "/sign-up",
                                Map.of("name", "étienne", "person", "É.", "password", seventy, "units", "METRIC"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(signsIn("étienne", seventy)).isTrue();
        assertThat(signsIn("étienne", seventy.substring(0, 69)))
                .as("every letter counts")
                .isFalse();
    }

    private static boolean signsIn(String name, String password) {
        return new Visitor()
                        .post("/sign-in", Map.of("name", name, "password", password))
                        .statusCode()
                == 302;
    }

    @Test
    void aChangedPasswordEndsEveryOtherSession() {
        Visitor here = Visitor.signedUp("changer");
        Visitor there = new Visitor();
        there.post("/sign-in", Map.of("name", "changer", "password", "long enough"));
        assertThat(there.get("/account").statusCode()).isEqualTo(200);
        assertThat(here.post("/account/password", Map.of("now", "wrong one", "next", "three quiet ladders"))
                        .body())
                .contains("not the password that you sign in with");
        assertThat(here.post("/account/password", Map.of("now", "long enough", "next", "password123"))
                        .body())
                .contains("would be guessed");
        assertThat(there.get("/account").statusCode())
                .as("nothing was changed yet")
                .isEqualTo(200);
        assertThat(here.post("/account/password", Map.of("now", "long enough", "next", "three quiet ladders"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(here.get("/account").body()).contains("Your password is changed");
        assertThat(there.get("/account").statusCode()).as("asked to sign in").isEqualTo(302);
        assertThat(signsIn("changer", "three quiet ladders")).isTrue();
        assertThat(signsIn("changer", "long enough")).isFalse();
    }

    /** Old hashes are taken over at the next sign-in. */
    @Test
    void whatWasStoredBeforeIsTakenOver() {
        Visitor.signedUp("older");
        AccountMapper accounts = Running.bean(AccountMapper.class);
        Account account = accounts.bySignIn("older");
        accounts.rehash(account.id(), new BCryptPasswordEncoder(4).encode("long enough"));
        assertThat(signsIn("older", "long enough")).isTrue();
        assertThat(accounts.bySignIn("older").passwordHash()).startsWith("{argon2}");
        assertThat(signsIn("older", "long enough")).isTrue();
    }

    @Test
    void itsStrengthIsSaidWhileItIsTyped() {
        assertThat(new Visitor()
                        .post("/strength", Map.of("password", "three quiet ladders", "own", "maren\nMaren"))
                        .body())
                .startsWith("Good");
        assertThat(new Visitor()
                        .post("/strength", Map.of("password", "password123"))
                        .body())
                .contains("would be guessed");
    }
}
