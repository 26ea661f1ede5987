package idlebough.app.store;

/** A member who may look, but not do this. */
public final class NotAllowed extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final Role role;
    private final Right right;

    public NotAllowed(Role role, Right right) {
        super("A " + role.word() + " may not " + right.name());
        this.role = role;
        this.right = right;
    }

    public Role role() {
        return role;
    }

    public Right right() {
        return right;
    }
}
