package idlebough.app.store;

import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import java.util.Locale;

/**
 * Somebody who signs in, and how they read figures.
 *
 * @param entry how often the password was changed: a session that was begun with another one has ended
 */
public record Account(
        String id, String signIn, String name, String passwordHash, UnitSystem units, String locale, int entry) {
    public Display display() {
        return new Display(units, Locale.forLanguageTag(locale));
    }
}
