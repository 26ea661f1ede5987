package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.fine;
import static idlebough.core.judge.Amount.litres;
import static idlebough.core.judge.Amount.metres;

import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Way;
import idlebough.core.measure.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is done with one tree on the day and soon after, in the order of the work, by the ways that hold for it. */
public final class PlantingSteps {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final String NONE = "none";
    /** So many days out of season change nothing. */
    static final double LATE = TABLE.value("season");

    private final PlantingSection section;
    private final Optional<LocalDate> day;
    private final List<Phrase> steps = new ArrayList<>();

    private PlantingSteps(PlantingSection section, Optional<LocalDate> day) {
        this.section = section;
        this.day = day;
    }

    /**
     * @param day on which it is planted; empty for one that stands
     * @param late days by which that lies outside its season; 0 inside
     */
    public static List<Phrase> of(PlantingSection section, Optional<LocalDate> day, long late) {
        PlantingSteps all = new PlantingSteps(section, day);
        all.hole();
        all.roots();
        all.setting();
        all.filling();
        all.watering();
        all.after(late);
        return List.copyOf(all.steps);
    }

    private Way.School school(Way way) {
        return section.setting().school(way);
    }

    private Phrase name(Way way) {
        return Phrase.of(school(way).name());
    }

    private boolean bare() {
        return section.setting().tree().form() == Form.BARE;
    }

    private void hole() {
        section.mound()
                .ifPresent(mound -> steps.add(Phrase.of(
                        "The mound: {}; {} at its foot, {} on top; heaped three to six months before, so that it has"
                                + " settled.",
                        name(PlantingWays.BED_FILL),
                        metres(mound.base()),
                        metres(mound.top()))));
        if (bare()) {
            steps.add(Phrase.of("Soak the roots: {}; keep them covered until it goes in.", name(PlantingWays.SOAK)));
        } else {
            steps.add(Phrase.of("Water it in its pot and the place to {} the day before.", cm(0.3)));
        }
        if (section.mound().isEmpty()) {
            steps.add(Phrase.of("Cut the sod: {}.", name(PlantingWays.SOD)));
        }
        steps.add(Phrase.of(
                "Dig {} wide and {} deep with {}, straight sides and a flat bottom; topsoil and subsoil in heaps of their"
                        + " own; the bottom {}.",
                cm(section.width()),
                cm(section.depth()),
                name(PlantingWays.TOOL),
                name(PlantingWays.BASE)));
        steps.add(Phrase.of("Break the walls all round with a fork: none may be polished."));
        if (section.mesh() > 0) {
            steps.add(Phrase.of(
                    "Line the wall with {} of mesh, {} deep, its ends overlapped.", metres(section.mesh()), cm(0.23)));
        }
    }

    private void roots() {
        if (bare()) {
            steps.add(Phrase.of("Cut torn and over-long roots clean; spread them over a small cone."));
            return;
        }
        Way.School treatment = school(PlantingWays.ROOTS);
        Arrival.Roots seen = section.setting().tree().arrival().seen().roots();
        String key =
                section.endsLevel() ? "untouched" : treatment.key().equals("bound") ? asBound(seen) : treatment.key();
        Way.School done = PlantingWays.ROOTS.choose(key);
        steps.add(Phrase.of("Slide the pot off; the roots: {}.", Phrase.of(done.name())));
        if (done.value() > 0) {
            steps.add(Phrase.of(
                    "Expect it to sulk for {} or so after that: leaves may droop or drop.",
                    Amount.of(7 * done.value(), Quantity.DAYS)));
        }
    }

    /** What a binding asks. */
    private static String asBound(Arrival.Roots seen) {
        return switch (seen) {
            case HEAVY -> "slit";
            case MODERATE -> "cuts";
            case GOOD, SPARSE -> "untouched";
            default -> "rough";
        };
    }

    private void setting() {
        steps.add(Phrase.of("The nursery’s cane and bindings: {}.", name(PlantingWays.CANE)));
        section.stake()
                .ifPresent(stake -> steps.add(Phrase.of(
                        stake.place().slanted()
                                ? "Stake: {} long, {} of it in the ground, {}, its foot {} from the stem in the lee; {};"
                                        + " tied {} where it crosses the stem."
                                : "Stake: {} long, {} of it in the ground, to windward, {}, {} from the stem; {}; tied"
                                        + " {}.",
                        metres(stake.length()),
                        cm(stake.buried()),
                        name(PlantingWays.STAKE_PLACE),
                        cm(stake.off()),
                        name(PlantingWays.STAKE_WHEN),
                        name(PlantingWays.TIE))));
        if (section.hasUnion()) {
            steps.add(Phrase.of(
                    "Lay the board across from the high side: the union stands {} over it, the flare {}.",
                    fine(section.unionToday()),
                    fine(section.raise())));
        } else {
            steps.add(Phrase.of(
                    "Lay the board across from the high side: the flare stands {} against it.", fine(section.raise())));
        }
    }

    private void filling() {
        FillBalance balance = section.balance();
        steps.add(Phrase.of(
                "Fill with {}; the subsoil: {}; {}. The soil round the ball: {}.",
                name(PlantingWays.MIX),
                name(PlantingWays.SUBSOIL),
                name(PlantingWays.FIRMING),
                name(PlantingWays.RIM)));
        if (balance.batches() > 0) {
            steps.add(Phrase.of(
                    "Mix it in {} barrows, compost and soil in each, before it goes in.",
                    Amount.count(Math.ceil(balance.batches()))));
        }
        if (!school(PlantingWays.ADDITIVES).key().equals(NONE)) {
            steps.add(Phrase.of(
                    "Into the fill, sparingly: {}. No quick nitrogen, no fresh manure.", name(PlantingWays.ADDITIVES)));
        }
        section.basin()
                .ifPresentOrElse(
                        basin -> steps.add(Phrase.of(
                                "Heap {}, {} high, clear of the stem; it holds {}. {}",
                                Phrase.of(basin.kind().words()),
                                cm(basin.height()),
                                litres(basin.holds()),
                                levelled(basin))),
                        () -> steps.add(Phrase.of("Heap no ring: water must leave, or comes by drip.")));
    }

    /** What is cut: by the way and, where that asks for it, by form, crop and wind. */
    private Phrase pruning() {
        Way.School school = school(PlantingWays.PRUNING);
        PlantingSection.Setting setting = section.setting();
        boolean fits = school.key().equals("fit");
        Arrival.Branches seen = setting.tree().arrival().seen().branches();
        boolean whip = seen == Arrival.Branches.WHIP || seen == Arrival.Branches.NOT_SEEN && bare();
        Phrase clean = Phrase.of(PlantingWays.PRUNING.choose("light").name());
        if (fits && !whip) {
            return setting.around().exposed() && !bare()
                    ? Phrase.of("{}, and the longest shoots shortened by a third, for the wind", clean)
                    : clean;
        }
        return !fits && !school.key().equals("heading")
                ? Phrase.of(school.name())
                : Heading.of(setting.grown().crop())
                        .map(heading -> Phrase.of(
                                fits
                                        ? "a bare whip headed {} to {} above the ground; {}"
                                        : "headed back {} to {} above the ground; {}",
                                cm(heading.low()),
                                cm(heading.high()),
                                heading.then()))
                        .orElse(fits ? clean : Phrase.of(school.name()));
    }

    private void watering() {
        steps.add(Phrase.of(
                "Water it in slowly, in two or three fills, even in rain, until no bubbles rise; top up what sinks."));
    }

    private Phrase levelled(Basin basin) {
        return basin.kind() == Basin.Kind.MULCHED
                ? Phrase.of("It stays.")
                : day.map(planted -> Phrase.of("Level it from {} on.", Aftercare.levelled(planted)))
                        .orElse(Phrase.of("Level it after a month or a season."));
    }

    private void after(long late) {
        steps.add(Phrase.of(
                "Mulch with {}, {} deep, {} clear of the stem. Compost on top: {}.",
                name(PlantingWays.MULCH_KIND),
                cm(section.mulchDepth()),
                cm(section.mulchClear()),
                name(PlantingWays.COMPOST_TOP)));
        if (section.paint() > 0) {
            steps.add(Phrase.of(
                    "The stem: {}; interior paint and water 1 : 1, {} of it does {} such stems.",
                    name(PlantingWays.STEM),
                    Amount.of(1, Quantity.SMALL_VOLUME),
                    Amount.count(Math.floor(1 / section.paint()))));
        } else {
            steps.add(Phrase.of("The stem: {}.", name(PlantingWays.STEM)));
        }
        section.guard()
                .ifPresent(guard -> steps.add(
                        Phrase.of("Guard against {}, {} across.", name(PlantingWays.GUARD), cm(guard.across()))));
        steps.add(Phrase.of("Prune: {}; wounds {}.", pruning(), name(PlantingWays.WOUND)));
        steps.add(
                Phrase.of("Fruit: {}. First feed: {}.", name(PlantingWays.FIRST_FRUIT), name(PlantingWays.FIRST_FEED)));
        if (late > LATE) {
            steps.add(Phrase.of(
                    bare()
                            ? "It goes in {} out of season: a shade screen of 50 %, open to the east; cut the top back by a"
                                    + " third; water every other day for four weeks."
                            : "It goes in {} out of season: a shade screen of 50 %, open to the east; water every other"
                                    + " day for four weeks.",
                    Amount.of((double) late, Quantity.DAYS)));
        }
    }
}
