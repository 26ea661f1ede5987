package idlebough.core.planting;

/** Who may lift it (bands after HSE L23 guidance; cautions, not limits). */
public enum Lift {
    ONE("one person"),
    ONE_CARE("one person, with care, close to the body"),
    TWO("two people"),
    AID("a barrow, a sheet and more hands, or a machine");
    private final String words;

    Lift(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    public static Lift of(double kilograms) {
        return kilograms <= 16 ? ONE : kilograms <= 25 ? ONE_CARE : kilograms <= 33 ? TWO : AID;
    }
}
