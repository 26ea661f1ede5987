package idlebough.app.store;

/** A row of the catalogue would go, or not come back, of which trees or choices speak; its message is a sentence. */
public final class StillNeeded extends RuntimeException {
    private static final long serialVersionUID = 1L;

    StillNeeded(String sentence) {
        super(sentence);
    }
}
