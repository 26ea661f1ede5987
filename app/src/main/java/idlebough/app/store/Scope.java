package idlebough.app.store;

import java.util.regex.Pattern;

/** Whose eyes see which orchard: every statement on an orchard's data takes one and joins membership by it. */
public record Scope(String orchard, String account) {
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    /** @throws NotFound for what cannot be the id of an orchard: the database is not asked for it */
    public Scope {
        if (orchard == null || !ID.matcher(orchard).matches()) {
            throw new NotFound();
        }
    }
}
