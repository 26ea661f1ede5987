package idlebough.app.plan;

/** Somebody else saved the row since it was read; carries what stands now. */
public final class LostRace extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Row current;

    public LostRace(Row current) {
        super("Saved meanwhile by someone else");
        this.current = current;
    }

    public Row current() {
        return current;
    }
}
