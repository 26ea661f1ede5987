package idlebough.core.site;

/**
 * The texture by feel: a ball, a ribbon pushed out between thumb and finger, and how the wet paste feels (after Thien
 * 1979, J. Agron. Education 8:54; from memory, fair).
 *
 * @param ball whether a squeezed handful stays a ball
 * @param ribbon how long the ribbon grows before it breaks
 * @param paste how an over-wet pinch feels when rubbed
 */
public record FeelTest(boolean ball, Ribbon ribbon, Paste paste) {
    /** How long the ribbon grows. */
    public enum Ribbon {
        NONE("none forms"),
        SHORT("shorter than 2.5 cm (1 in)"),
        MIDDLING("2.5 to 5 cm (1 to 2 in)"),
        LONG("longer than 5 cm (2 in)");
        private final String words;

        Ribbon(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** What the fingers say. */
    public enum Paste {
        GRITTY("gritty"),
        SMOOTH("smooth like flour"),
        NEITHER("neither more than the other");
        private final String words;

        Paste(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Texture texture() {
        if (!ball) {
            return Texture.SAND;
        }
        return switch (ribbon) {
            case NONE -> Texture.LOAMY_SAND;
            case SHORT -> pick(Texture.SANDY_LOAM, Texture.SILT_LOAM, Texture.LOAM);
            case MIDDLING -> pick(Texture.SANDY_CLAY_LOAM, Texture.SILTY_CLAY_LOAM, Texture.CLAY_LOAM);
            case LONG -> pick(Texture.SANDY_CLAY, Texture.SILTY_CLAY, Texture.CLAY);
        };
    }

    private Texture pick(Texture gritty, Texture smooth, Texture neither) {
        return paste == Paste.GRITTY ? gritty : paste == Paste.SMOOTH ? smooth : neither;
    }
}
