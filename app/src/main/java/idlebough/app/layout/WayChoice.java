package idlebough.app.layout;

import idlebough.app.plan.Row;

/** A school chosen for the orchard, or for one tree of it. */
public record WayChoice(
        String id, String orchardId, String treeId, String wayKey, String choice, int version, boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "way_choice";
    }
}
