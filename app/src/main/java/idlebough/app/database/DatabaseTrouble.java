package idlebough.app.database;

/** The database cannot be had; the message is a sentence for whoever started the program. */
public final class DatabaseTrouble extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public DatabaseTrouble(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
