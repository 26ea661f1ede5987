package idlebough.app.layout;

/** Where a tree is in its life. */
public enum TreeState {
    PLANNED("planned"),
    ORDERED("ordered"),
    PLANTED("planted"),
    DEAD("dead"),
    MOVED("moved away");
    private final String words;

    TreeState(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether it takes up its place. */
    public boolean stands() {
        return this != DEAD && this != MOVED;
    }
}
