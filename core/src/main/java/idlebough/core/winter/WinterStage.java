package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.Room;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;

/** What the winters here give, for one orchard. */
public final class WinterStage implements Stage {
    private final Input input;
    private final Lazy<WinterLedger> ledger;
    private final Lazy<DayClimate> climate;
    private final Lazy<SoilWarmth> soil;
    private final Map<Double, FrostDates> frosts;
    private final Map<Exposure, List<SpringHours>> springs;
    private final Lazy<Optional<GrowingSeason>> growing;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /**
     * What this stage depends on.
     *
     * @param latitude degrees, south negative
     * @param model in which the winters are shown
     * @param utahOwnStart whether Utah units begin at their own start
     */
    public record Input(Weather weather, double latitude, ChillModel model, boolean utahOwnStart) {
        WinterLedger.Counting counting() {
            return new WinterLedger.Counting(utahOwnStart, weather.synthetic());
        }

        boolean countsAs(Input other) {
            return weather.equals(other.weather) && latitude == other.latitude && utahOwnStart == other.utahOwnStart;
        }
    }

    private WinterStage(Input input, WinterStage before) {
        this.input = input;
        boolean same = before != null && before.input.countsAs(input);
        ledger = same
                ? before.ledger
                : Lazy.of(() -> WinterLedger.of(input.weather().record(), input.latitude(), input.counting()));
        climate = same
                ? before.climate
                : Lazy.of(() -> new DayClimate(input.weather().record()));
        soil = same ? before.soil : Lazy.of(() -> new SoilWarmth(input.weather().record()));
        frosts = same ? before.frosts : new ConcurrentHashMap<>();
        springs = same ? before.springs : new ConcurrentHashMap<>();
        growing = same
                ? before.growing
                : Lazy.of(() -> GrowingSeason.of(input.weather().record(), input.latitude()));
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static WinterStage of(Input input, WinterStage before) {
        return before != null && before.input.equals(input) ? before : new WinterStage(input, before);
    }

    @Override
    public Room room() {
        return Room.WINTER;
    }

    @Override
    public boolean begun() {
        return !ledger().usable().isEmpty();
    }

    public Weather weather() {
        return input.weather();
    }

    /** Degrees, south negative. */
    public double latitude() {
        return input.latitude();
    }

    public ChillModel model() {
        return input.model();
    }

    public boolean utahOwnStart() {
        return input.utahOwnStart();
    }

    public WinterLedger ledger() {
        return ledger.get();
    }

    public DayClimate climate() {
        return climate.get();
    }

    /** How warm the soil is through the year. */
    public SoilWarmth soil() {
        return soil.get();
    }

    public SafeChill safeChill() {
        return SafeChill.of(input.model(), ledger().totals(input.model()));
    }

    /** The coldest night of all whole winters, °C; empty without any. */
    public OptionalDouble coldest() {
        return Arrays.stream(ledger().lowest()).min();
    }

    /** Nights at or below a threshold, °C. */
    public FrostDates frost(double threshold) {
        return frosts.computeIfAbsent(
                threshold, same -> FrostDates.of(input.weather().record(), input.latitude(), threshold));
    }

    /** The springs of the record by the hour as a place has them, for the bloom clocks. */
    public List<SpringHours> springs(Exposure exposure) {
        return springs.computeIfAbsent(
                exposure, same -> SpringHours.of(input.weather().record().at(exposure), input.latitude()));
    }

    /** Empty without a whole year of days. */
    public Optional<GrowingSeason> growing() {
        return growing.get();
    }

    /** How far the predicted date of a single spring may be off, days. */
    public double singleSpring() {
        return RuleTable.of("winter").value(ledger().isMild() ? "single-spring.mild" : "single-spring");
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        List<Finding> found = new ArrayList<>();
        if (input.weather().synthetic()) {
            found.add(WinterRules.synthetic());
        } else {
            found.addAll(WinterRules.judge(ledger()));
        }
        WinterRules.belowZero(ledger(), input.model()).ifPresent(found::add);
        return Findings.of(List.of(found));
    }

    @Override
    public List<KeyFigure> keyFigures() {
        SafeChill safe = safeChill();
        return List.of(KeyFigure.of(
                "winter.safe",
                Subject.ORCHARD,
                new Amount(Double.isNaN(safe.value()) ? null : safe.value(), Quantity.DECIMAL)));
    }
}
