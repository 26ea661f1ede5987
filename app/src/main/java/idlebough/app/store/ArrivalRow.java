package idlebough.app.store;

import idlebough.core.crop.Arrival;
import java.time.LocalDate;
import java.util.Optional;

/** What was seen of a tree when it came. */
public record ArrivalRow(RowKey key, String treeId, Came came, Seen seen, Measured measured, Kept kept) implements Row {

    /** @param liftedOn null where the nursery did not say */
    public record Came(LocalDate arrivedOn, LocalDate liftedOn) {}

    /** What the eye and a fingernail told. */
    public record Seen(
            Arrival.Label label,
            Arrival.Bark bark,
            Arrival.Branches branches,
            Arrival.Roots roots,
            Arrival.Joint joint) {}

    /** m; null where not measured. */
    public record Measured(Double flareDepth, Double height) {}

    /** Null where nobody said. */
    public record Kept(Arrival.Place keptAs, LocalDate keptUntil) {}

    Arrival arrival() {
        return new Arrival(
                Optional.of(came.arrivedOn()),
                Optional.ofNullable(came.liftedOn()),
                new Arrival.Seen(seen.label(), seen.bark(), seen.branches(), seen.roots(), seen.joint()),
                Optional.ofNullable(measured.flareDepth()),
                Optional.ofNullable(measured.height()),
                Optional.ofNullable(kept.keptAs())
                        .map(place -> new Arrival.Kept(place, Optional.ofNullable(kept.keptUntil()))));
    }
}
