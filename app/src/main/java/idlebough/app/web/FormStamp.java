package idlebough.app.web;

import idlebough.app.store.Edits;
import java.util.Optional;

/**
 * What every form of ours carries: an id of its own, by which it is applied once however often it is sent, and the
 * revision of the plan from which its page was made.
 */
public record FormStamp(String id, long revision) {
    public static final String ID = "_edit";
    public static final String REVISION = "_revision";

    /** The change that the form asks for. @param cause as it will stand in the history */
    public Edits.Change change(String cause) {
        return new Edits.Change(Optional.of(id), cause);
    }
}
