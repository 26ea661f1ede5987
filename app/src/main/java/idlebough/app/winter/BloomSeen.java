package idlebough.app.winter;

import idlebough.app.plan.Row;
import java.time.LocalDate;

/** A day on which a variety was seen in full bloom. */
public record BloomSeen(String id, String orchardId, String varietyKey, LocalDate seenOn, int version, boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "bloom_seen";
    }
}
