package idlebough.core.crop;

/** A cell of a row of the catalogue that cannot be read; its message is a sentence for the grower. */
public final class BadCell extends IllegalArgumentException {
    private static final long serialVersionUID = 1;
    private final String column;

    BadCell(String column, String sentence) {
        super(sentence);
        this.column = column;
    }

    public String column() {
        return column;
    }
}
