package idlebough.core.planting;

import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Table;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;

/**
 * What is thought of a tree as it came, from {@code planting/faults.csv}.
 *
 * @param faults the gravest first
 * @param second day of the second look where dead wood may still be asleep
 */
public record Delivery(List<Fault> faults, Optional<LocalDate> second) {
    private static final List<CSVRecord> TABLE = Table.rows("planting/faults.csv");
    private static final RuleTable RULES = RuleTable.of("planting");

    /** What is done with it. */
    public enum Verdict {
        ACCEPT("accept it"),
        REPAIR("accept it, and mend it"),
        REFUSE("refuse it");
        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * @param mend what is done about it
     * @param claim what is written to the nursery; empty where it is no fault of theirs
     */
    public record Fault(Verdict verdict, Phrase what, Phrase mend, Optional<Phrase> claim) {}

    public static Delivery of(NurseryTree tree) {
        Arrival arrival = tree.arrival();
        List<Fault> faults = new ArrayList<>();
        looks(arrival.seen())
                .forEach((look, value) -> TABLE.stream()
                        .filter(row -> row.get("look").equals(look)
                                && row.get("value").equals(value)
                                && ofForm(row.get("form"), tree.form()))
                        .forEach(row -> faults.add(fault(row))));
        arrival.flareDepth()
                .filter(depth -> depth > RULES.value("flare-in-pot"))
                .ifPresent(depth -> faults.add(new Fault(
                        Verdict.REPAIR,
                        Phrase.of("its flare lies {} down in the pot", Amount.fine(depth)),
                        Phrase.of("Scrape the soil off down to the first main root and plant to that."),
                        Optional.of(Phrase.of("The tree stood {} too deep in its pot.", Amount.fine(depth))))));
        faults.sort((a, b) -> b.verdict().compareTo(a.verdict()));
        boolean sleeping = arrival.seen().bark().compareTo(Arrival.Bark.TIP) > 0;
        return new Delivery(
                faults,
                sleeping
                        ? arrival.day().map(day -> day.plusDays((long) RULES.value("second-look")))
                        : Optional.empty());
    }

    private static Map<String, String> looks(Arrival.Seen seen) {
        return Map.of(
                "label", seen.label().name(),
                "bark", seen.bark().name(),
                "branches", seen.branches().name(),
                "roots", seen.roots().name(),
                "joint", seen.joint().name());
    }

    private static boolean ofForm(String cell, Form form) {
        return cell.isEmpty() || cell.equals("BARE") == (form == Form.BARE);
    }

    private static Fault fault(CSVRecord row) {
        return new Fault(
                Verdict.valueOf(row.get("verdict")),
                Phrase.of(row.get("what")),
                Phrase.of(row.get("mend")),
                Optional.of(row.get("claim")).filter(claim -> !claim.isEmpty()).map(Phrase::of));
    }

    public Verdict verdict() {
        return faults.stream().map(Fault::verdict).max(Verdict::compareTo).orElse(Verdict.ACCEPT);
    }

    /** What the nursery is told; empty where nothing is its fault. */
    public List<Phrase> claims() {
        return faults.stream().map(Fault::claim).flatMap(Optional::stream).toList();
    }

    /** Days that bare roots are out of the ground on a day; empty for a ball, or where nobody knows since when. */
    public static Optional<Long> outOfGround(NurseryTree tree, LocalDate day) {
        return tree.form() != Form.BARE
                ? Optional.empty()
                : Stream.of(tree.arrival().lifted(), tree.arrival().day())
                        .flatMap(Optional::stream)
                        .findFirst()
                        .map(since -> Math.max(0, ChronoUnit.DAYS.between(since, day)));
    }

    /** Days that they may be, as the tree is kept. */
    static String waits(NurseryTree tree) {
        return tree.arrival()
                .kept()
                .filter(kept -> kept.place() == Arrival.Place.HEELED || kept.place() == Arrival.Place.POTTED)
                .map(kept -> "waits.heeled")
                .orElse("waits.wrapped");
    }

    /** How a tree that was grown under cover is brought into the sun: share of shade by day, the first day first. */
    public static List<Phrase> hardening() {
        return List.of(
                Phrase.of("days 1 to 3: full shade, out of the wind"),
                Phrase.of("days 4 to 6: morning sun"),
                Phrase.of("days 7 to 10: half the day"),
                Phrase.of("then the sun it will stand in"));
    }
}
