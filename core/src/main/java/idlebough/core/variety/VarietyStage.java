package idlebough.core.variety;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Cropping;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import idlebough.core.site.SiteStage;
import idlebough.core.site.Stand;
import idlebough.core.winter.BloomClock;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What will do here, what will not, and why, for one orchard. */
public final class VarietyStage implements Stage {
    private final Input input;
    private final Set<String> chosen;
    private final Set<String> placed;
    private final Map<String, VarietyVerdict> verdicts;
    private final Map<Asked, Optional<VarietySprings>> springs;
    private final Map<Clocked, Optional<VarietySprings>> byClock;
    private final Map<String, RipeWindow> ripe = new ConcurrentHashMap<>();
    private final Lazy<Harvest> harvest = Lazy.of(this::brings);
    private final Lazy<List<VarietyVerdict>> ranked = Lazy.of(this::rank);
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /**
     * What this stage depends on.
     *
     * @param stands every tree that stands or will stand
     * @param seen the grower's own bloom dates
     */
    public record Input(
            Catalogue catalogue,
            List<Choice> choices,
            List<Stand> stands,
            List<BloomSeen> seen,
            SiteStage site,
            WinterStage winters) {
        boolean judgesAs(Input other) {
            return springsAs(other) && site.terrain() == other.site.terrain();
        }

        boolean springsAs(Input other) {
            return catalogue.equals(other.catalogue)
                    && seen.equals(other.seen)
                    && winters.ledger() == other.winters.ledger();
        }
    }

    private record Asked(String variety, Exposure exposure) {}

    private record Clocked(BloomClock clock, String like, Exposure exposure) {}

    private VarietyStage(Input input, VarietyStage before) {
        this.input = input;
        verdicts = before != null && before.input.judgesAs(input) ? before.verdicts : new ConcurrentHashMap<>();
        boolean sameSprings = before != null && before.input.springsAs(input);
        springs = sameSprings ? before.springs : new ConcurrentHashMap<>();
        byClock = sameSprings ? before.byClock : new ConcurrentHashMap<>();
        chosen = new LinkedHashSet<>();
        input.choices().forEach(choice -> chosen.add(choice.variety()));
        placed = input.stands().stream()
                .flatMap(stand -> Stream.concat(Stream.of(stand.variety()), stand.grafts().stream()))
                .map(Variety::key)
                .collect(Collectors.toSet());
        chosen.addAll(placed);
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static VarietyStage of(Input input, VarietyStage before) {
        return before != null && before.input.equals(input) ? before : new VarietyStage(input, before);
    }

    @Override
    public Room room() {
        return Room.VARIETY;
    }

    @Override
    public boolean begun() {
        return !chosen.isEmpty();
    }

    public Catalogue catalogue() {
        return input.catalogue();
    }

    public List<Choice> choices() {
        return input.choices();
    }

    /** Keys of the varieties chosen or standing, in the order of the choices. */
    public Set<String> chosen() {
        return chosen;
    }

    /** The varieties chosen or standing. */
    public List<Variety> chosenVarieties() {
        return chosen.stream().map(input.catalogue()::variety).toList();
    }

    /**
     * How one variety does here; where it has a place, its drainage is judged there, with its stock.
     *
     * @throws IllegalArgumentException when there is no such variety
     */
    public VarietyVerdict verdict(String key) {
        VarietyVerdict verdict =
                verdicts.computeIfAbsent(key, same -> judge(input.catalogue().variety(key)));
        return inPot(key)
                .map(pot -> verdict.in(pot, input.winters().ledger()))
                .orElseGet(() -> placed.contains(key) ? verdict.raised() : verdict);
    }

    /** Empty for one that is planned in the ground, or not at all. */
    private Optional<Pot> inPot(String key) {
        return input.choices().stream()
                .filter(choice -> choice.pot() && choice.variety().equals(key))
                .findFirst()
                .flatMap(choice -> Pot.of(input.catalogue().variety(key).crop()));
    }

    private VarietyVerdict judge(Variety variety) {
        return VarietyVerdict.of(
                variety,
                new Evidence(
                        input.winters().ledger(),
                        springs(variety, Exposure.SCREEN),
                        SettingWarmth.of(variety).isEmpty()
                                ? List.of()
                                : input.winters().springs(Exposure.SCREEN),
                        input.winters().growing(),
                        input.site().pits(),
                        input.site()
                                .terrain()
                                .sunniest()
                                .map(sun -> new Evidence.Sun(sun.season(), sun.afternoon(), sun.halfWidth())),
                        Evidence.Air.of(
                                input.winters().weather().wetness(),
                                input.winters().latitude())));
    }

    /** Every variety of the catalogue judged for this site, best first. */
    public List<VarietyVerdict> verdicts() {
        return ranked.get();
    }

    private List<VarietyVerdict> rank() {
        return input.catalogue().varieties().stream()
                .map(variety -> verdict(variety.key()))
                .sorted(Comparator.comparingDouble(VarietyVerdict::rank)
                        .thenComparing(verdict -> verdict.variety().label()))
                .toList();
    }

    /**
     * When a variety would have bloomed in each spring of the record at a place, and what frost would have taken.
     * Empty where bloom cannot be predicted for its crop.
     */
    public Optional<VarietySprings> springs(Variety variety, Exposure exposure) {
        return springs.computeIfAbsent(new Asked(variety.key(), exposure), same -> {
            List<LocalDate> days = seen(variety.key());
            return days.isEmpty()
                    ? alike(variety, exposure)
                    : VarietySprings.of(variety, input.winters().springs(exposure), days);
        });
    }

    /** Varieties of one clock bloom alike, and frost finds them alike: reckoned once for all of them. */
    private Optional<VarietySprings> alike(Variety variety, Exposure exposure) {
        return BloomClock.of(variety)
                .flatMap(clock -> byClock.computeIfAbsent(
                                new Clocked(clock, variety.crop().like(), exposure),
                                same -> VarietySprings.of(
                                        variety, input.winters().springs(exposure), List.of()))
                        .map(springs -> springs.of(variety)));
    }

    /** When a variety ripens here. */
    public RipeWindow ripe(Variety variety) {
        return ripe.computeIfAbsent(
                variety.key(),
                same -> RipeWindow.of(
                        variety,
                        springs(variety, Exposure.SCREEN),
                        input.winters().latitude()));
    }

    /** What the trees that stand or are chosen bring week by week. */
    public Harvest harvest() {
        return harvest.get();
    }

    private Harvest brings() {
        Map<String, Integer> trees = new LinkedHashMap<>();
        Map<String, Double> kg = new HashMap<>();
        input.stands().forEach(stand -> {
            trees.merge(stand.variety().key(), 1, Integer::sum);
            kg.merge(stand.variety().key(), fullCrop(stand.variety(), stand.stock()), Double::sum);
        });
        input.choices().forEach(choice -> {
            int more = choice.wanted() - trees.getOrDefault(choice.variety(), 0);
            if (more > 0) {
                Variety variety = input.catalogue().variety(choice.variety());
                trees.merge(choice.variety(), more, Integer::sum);
                kg.merge(
                        choice.variety(),
                        more * fullCrop(variety, choice.stock().flatMap(input.catalogue()::findRootstock)),
                        Double::sum);
            }
        });
        input.stands().forEach(stand -> stand.grafts().forEach(branch -> trees.putIfAbsent(branch.key(), 0)));
        return Harvest.of(trees.entrySet().stream()
                .map(each -> new Harvest.Ripe(
                        input.catalogue().variety(each.getKey()),
                        each.getValue(),
                        kg.getOrDefault(each.getKey(), 0.0),
                        ripe(input.catalogue().variety(each.getKey()))))
                .toList());
    }

    private static double fullCrop(Variety variety, Optional<Rootstock> stock) {
        return Cropping.of(variety.crop(), stock)
                .map(cropping -> cropping.kg().middle())
                .orElse(0.0);
    }

    /** Whether the other would tell the same springs of every variety. */
    public boolean sameSprings(VarietyStage other) {
        return input.springsAs(other.input);
    }

    private List<LocalDate> seen(String variety) {
        return input.seen().stream()
                .filter(bloom -> bloom.variety().equals(variety))
                .map(BloomSeen::day)
                .toList();
    }

    @Override
    public Optional<Phrase> missing() {
        return input.winters().begun()
                ? Optional.empty()
                : Optional.of(Sentences.of("variety").say("missing", Map.of()));
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        return Findings.of(chosen.stream().map(key -> verdict(key).findings()).toList());
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return chosen.stream()
                .map(key -> KeyFigure.of(
                        "variety.of-ten",
                        Subject.variety(key),
                        new Amount(
                                verdict(key)
                                        .match()
                                        .map(match -> (double) match.ofTen())
                                        .orElse(null),
                                Quantity.COUNT)))
                .toList();
    }
}
