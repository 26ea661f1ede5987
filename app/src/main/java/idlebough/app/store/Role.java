package idlebough.app.store;

/** What somebody is to an orchard; {@link Right} says what each may do. */
public enum Role {
    OWNER("owner"),
    PARTNER("partner"),
    HELPER("helper"),
    READER("reader");
    private final String word;

    Role(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public boolean may(Right right) {
        return right.has(this);
    }
}
