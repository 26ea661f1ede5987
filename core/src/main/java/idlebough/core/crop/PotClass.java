package idlebough.core.crop;

import idlebough.core.judge.Table;
import java.util.List;
import java.util.Optional;

/**
 * A pot as people call it, from {@code crop/containers.csv}.
 *
 * @param name “#15” or “25 L”
 * @param us whether it is a class by number, as in nominal gallons
 * @param litres that it holds, about
 * @param across at its top, m
 * @param height m
 */
public record PotClass(String name, boolean us, double litres, double across, double height) {
    private static final double SAME = 0.002;

    /** In the order of their size, those by number first. */
    public static final List<PotClass> ALL = Table.rows("crop/containers.csv").stream()
            .map(row -> new PotClass(
                    row.get("class"),
                    row.get("system").equals("US"),
                    Double.parseDouble(row.get("litres")),
                    Double.parseDouble(row.get("across")),
                    Double.parseDouble(row.get("height"))))
            .toList();

    /**
     * From the flare to the base of a ball whose flare was found lower in the pot than was thought: only what lies below
     * the flare counts for a hole. A height that is of no pot was measured from the flare, and stays.
     *
     * @param ballHeight as it stands, m
     * @param before how deep the flare was thought to lie, m
     * @param found where it lies, m
     */
    public static double fromFlare(double ballHeight, double before, double found) {
        double pot = ballHeight + before;
        boolean ofPot = ALL.stream().anyMatch(each -> Math.abs(each.height() - pot) < SAME);
        return ofPot ? Math.max(SAME, pot - found) : ballHeight;
    }

    /** Empty where no pot is called so. */
    public static Optional<PotClass> named(String name) {
        return ALL.stream().filter(pot -> pot.name().equals(name)).findFirst();
    }
}
