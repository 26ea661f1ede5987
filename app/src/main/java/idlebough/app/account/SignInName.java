package idlebough.app.account;

import java.text.Normalizer;
import java.util.Locale;

/** A name as it is looked up, stored and counted: one way for all of them. */
final class SignInName {
    private SignInName() {}

    /** Without spaces around it, in small letters, each letter in its one form (Unicode NFC). */
    static String of(String typed) {
        return Normalizer.normalize(typed.strip(), Normalizer.Form.NFC).toLowerCase(Locale.ROOT);
    }
}
