package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.metres;

import idlebough.core.crop.Form;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.site.Texture;
import java.util.List;
import java.util.Optional;

/**
 * How a tree is staked (common practice): length by what stands above the ground of the tree itself, by form, shelter
 * and
 * wind; a stock that never holds itself has a stake for life.
 *
 * @param place how many and how they stand
 * @param above and buried: m along the stake
 * @param off from the stem, m
 * @param years it stays; empty for life
 * @param why it is wanted
 */
public record Stake(Place place, double above, double buried, double off, Optional<Integer> years, Phrase why) {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double ROUND = 0.05;
    private static final Source SOURCE = Source.practice(
            "two thirds to three quarters of the tree; a quarter to a third of the stake in the ground");

    /** @param count 1 to 3; @param slanted at half a right angle, its head into the wind and its foot in the lee */
    public record Place(int count, boolean slanted) {}

    /** What of a planting decides it. @param exposed whether storms are known and reach it */
    record Setting(
            PlantingSection section,
            Optional<Rootstock> stock,
            Form form,
            double height,
            Texture texture,
            boolean exposed) {}

    /** Empty where none is wanted. */
    static Optional<Stake> of(PlantingSection section) {
        PlantingSection.Setting all = section.setting();
        Setting setting = new Setting(
                section,
                all.stock(),
                all.tree().form(),
                all.tree().height(),
                all.texture(),
                all.around().exposed());
        String school = all.school(PlantingWays.STAKE).key();
        return why(setting, school).map(why -> {
            boolean forLife = forLife(setting);
            double above = above(setting, all.school(PlantingWays.STAKE_LENGTH).value() > 0, forLife);
            return new Stake(
                    new Place(count(setting), at(all).equals("slanted")),
                    above,
                    buried(above, setting.texture()),
                    off(setting),
                    years(setting, (int) all.school(PlantingWays.TIE_TIME).value(), forLife),
                    why);
        });
    }

    private static String at(PlantingSection.Setting setting) {
        return setting.school(PlantingWays.STAKE_PLACE).key();
    }

    private static Optional<Phrase> why(Setting setting, String school) {
        if (school.equals("never")) {
            return Optional.empty();
        }
        Rootstock.Support support = setting.stock().map(Rootstock::support).orElse(Rootstock.Support.NONE);
        if (support != Rootstock.Support.NONE) {
            return Optional.of(Phrase.of("its stock wants {}", support.words()));
        }
        if (setting.height() >= TABLE.value("stake-tall")) {
            return Optional.of(Phrase.of("it is {} tall", metres(setting.height())));
        }
        if (setting.exposed() && setting.height() >= TABLE.value("stake-windy")) {
            return Optional.of(Phrase.of("storms reach it, and it is {} tall", metres(setting.height())));
        }
        return school.equals("always") ? Optional.of(Phrase.of("every tree is staked")) : Optional.empty();
    }

    private static boolean forLife(Setting setting) {
        return setting.stock()
                .filter(stock -> stock.support() == Rootstock.Support.PERMANENT)
                .isPresent();
    }

    private static double above(Setting setting, boolean byStock, boolean forLife) {
        double least = TABLE.value(forLife ? "stake-above.for-life" : "stake-above.usual");
        return byStock ? least : Math.max(least, rounded(TABLE.value("stake-share") * setting.height()));
    }

    /** A third of its length, 0.45 m at least, 0.6 in light soil. */
    static double buried(double above, Texture texture) {
        boolean light = texture.traits().settle().usual() <= TABLE.value("stake-light-soil");
        return buried(
                above, TABLE.value("stake-buried"), TABLE.value(light ? "stake-least.light" : "stake-least.usual"));
    }

    /** @param share of the whole stake that is buried, @param least m */
    public static double buried(double above, double share, double least) {
        return Math.max(least, above * share / (1 - share));
    }

    private static double rounded(double metres) {
        return ROUND * Math.rint(metres / ROUND);
    }

    private static int count(Setting setting) {
        boolean ball = setting.form() == Form.FIELD;
        if (ball && setting.exposed()) {
            return 3;
        }
        return setting.exposed() && (ball || setting.height() >= TABLE.value("stake-tall")) ? 2 : 1;
    }

    /** Beside bare roots it stands before the tree is spread round it, else outside the ball. */
    private static double off(Setting setting) {
        return setting.form() == Form.BARE || at(setting.section().setting()).equals("close")
                ? TABLE.value("stake-off")
                : setting.section().setting().tree().ballDiameter() / 2 + TABLE.value("stake-beside");
    }

    private static Optional<Integer> years(Setting setting, int wished, boolean forLife) {
        if (forLife) {
            return Optional.empty();
        }
        boolean whip = setting.form() == Form.BARE && setting.height() >= TABLE.value("stake-tall");
        int byStock = setting.stock().map(stock -> stock.support().years()).orElse(1);
        return Optional.of(wished > 0 ? wished : Math.max(byStock, whip ? 3 : 1));
    }

    public double length() {
        return above + buried;
    }

    public int count() {
        return place.count();
    }

    /** Top above the ground, m. */
    public double top() {
        return place.slanted() ? above * Math.sqrt(0.5) : above;
    }

    /** How far outside the ball it stands, m; negative where it goes through it, empty beside bare roots. */
    Optional<Double> outside(PlantingSection.Setting setting) {
        return setting.tree().form() == Form.BARE
                ? Optional.empty()
                : Optional.of(off - setting.tree().ballDiameter() / 2);
    }

    /** Heights of the ties above the ground: one near the top, a second in wind or on a tall whip, m. */
    public List<Double> ties() {
        if (place.slanted()) {
            // It is tied where it crosses the stem.
            return List.of(off);
        }
        double top = top() - TABLE.value("tie-below-top");
        return count() > 1 || above > TABLE.value("two-ties") ? List.of(top, top / 2) : List.of(top);
    }

    /**
     * A crossed belt round stem and stake, m; a plain one where they touch.
     *
     * @param stem and stake: thickness, m
     * @param gap between them, m
     */
    public static double belt(double stem, double stake, double gap) {
        double r = (stem + stake) / 2;
        double c = r + gap;
        return gap <= 0 ? 2 * Math.PI * r : 2 * Math.sqrt(c * c - r * r) + r * (Math.PI + 2 * Math.asin(r / c));
    }

    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", metres(length()))
                .step("wanted: {}", why)
                .step("{} above the ground, {} in it", metres(above), metres(buried))
                .step(
                        place.slanted()
                                ? "its foot {} from the stem in the lee, slanted into the wind; tied where it crosses the stem"
                                : "{} from the stem, to windward",
                        cm(off));
        years.ifPresentOrElse(
                kept -> steps.step("off after {} years, when the stem holds itself", Amount.count(kept)),
                () -> steps.step("it stays for life"));
        return steps.sensitive("Most sensitive to how tall it came: measure it on arrival.")
                .from(SOURCE);
    }
}
