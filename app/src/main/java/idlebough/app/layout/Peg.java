package idlebough.app.layout;

import idlebough.app.plan.Row;

/** A place, local metres. */
public record Peg(String id, String orchardId, String label, double x, double y, int version, boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "peg";
    }
}
