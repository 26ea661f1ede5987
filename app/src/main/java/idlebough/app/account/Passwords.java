package idlebough.app.account;

import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a password must be: long enough, and not one that is guessed soon (NIST SP 800-63B, 5.1.1.2). */
final class Passwords {
    static final int SHORTEST = 10;
    static final int LONGEST = 200;
    /** Of four: guessed only by somebody who tries a hundred million times. */
    private static final int GUESSED_LATE = 2;
    /** What lies beyond so many letters cannot make it weaker, and takes long to look at. */
    private static final int LOOKED_AT = 60;

    private static final int BESIDE_NAMES = 6;
    private static final int LEAST_NAME = 3;

    private static final Zxcvbn METER = new Zxcvbn();

    private Passwords() {}

    /**
     * Why it is refused; empty when it is good.
     *
     * @param own names of whoever takes it
     */
    static Optional<String> complaint(String password, List<String> own) {
        int letters = password.codePointCount(0, password.length());
        if (letters < SHORTEST) {
            return Optional.of("A password needs at least ten letters or figures.");
        }
        if (letters > LONGEST) {
            return Optional.of("A password has at most two hundred letters or figures.");
        }
        if (besideNames(password, own) < BESIDE_NAMES) {
            return Optional.of("This password is little more than your name. Three or four words that do not belong "
                    + "together are good and easy to keep.");
        }
        Strength strength = measured(password, own);
        return strength.getScore() >= GUESSED_LATE
                ? Optional.empty()
                : Optional.of("This password would be guessed within "
                        + strength.getCrackTimesDisplay().getOnlineNoThrottling10perSecond()
                        + ", for it is a common one or close to your name. Three or four words that do not belong "
                        + "together are good and easy to keep.");
    }

    /** How good it is, in a sentence. */
    static String words(String password, List<String> own) {
        return complaint(password, own)
                .orElseGet(() -> "Good: somebody who tries ten times a second would need "
                        + measured(password, own).getCrackTimesDisplay().getOnlineNoThrottling10perSecond() + ".");
    }

    private static Strength measured(String password, List<String> own) {
        return METER.measure(password.substring(0, Math.min(password.length(), LOOKED_AT)), own);
    }

    /** Letters and figures that are left when the names are taken out. */
    private static int besideNames(String password, List<String> own) {
        String left = password.toLowerCase(Locale.ROOT);
        for (String name : own) {
            for (String part : name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
                left = part.length() < LEAST_NAME ? left : left.replace(part, "");
            }
        }
        return left.replaceAll("[^\\p{L}\\p{N}]", "").length();
    }
}
