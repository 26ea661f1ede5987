package idlebough.app.web;

/** What was sent cannot be meant: no form of ours sends it. */
public final class BadInput extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param what is wrong, for the log */
    public BadInput(String what) {
        super(what);
    }
}
