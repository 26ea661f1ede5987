package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.litres;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Solids;

/**
 * A ring of soil that holds the water of the first weeks (capacity a frustum up to the freeboard; the ring by Pappus).
 *
 * @param kind which
 * @param inner diameter of its floor, m
 * @param height and width of the ring, m
 */
public record Basin(Kind kind, double inner, double height, double width) {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double FREEBOARD = TABLE.value("basin-freeboard");
    private static final Source SOURCE = Source.published("solid geometry; sizes are common practice", Certainty.FAIR);

    /** What is heaped round a tree. */
    public enum Kind {
        RING("a closed ring"),
        CRESCENT("a crescent on the downhill side"),
        MULCHED("a ring filled with mulch");
        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    static Basin of(Kind kind, double hole) {
        return new Basin(kind, hole, TABLE.value("basin-height"), TABLE.value("basin-width"));
    }

    /** What it holds, L. A crescent on a slope holds half of a ring. */
    public double holds() {
        double all = holds(inner, height, width, FREEBOARD);
        return kind == Kind.CRESCENT ? all / 2 : all;
    }

    /** Soil that lies in it, L. */
    public double soil() {
        double all = soil(inner, height, width);
        return kind == Kind.CRESCENT ? all / 2 : all;
    }

    /** @param inner diameter between the inner toes, m; @param freeboard kept dry below the crest, m */
    public static double holds(double inner, double height, double base, double freeboard) {
        double wet = Math.max(0, height - freeboard);
        double run = base / 2 * wet / height;
        return 1000 * Solids.frustum(inner + 2 * run, inner, wet);
    }

    /** A triangular ring, L. */
    public static double soil(double inner, double height, double base) {
        return 1000 * 2 * Math.PI * (inner / 2 + base / 2) * base * height / 2;
    }

    public Working working() {
        return Working.of("How {} comes about", litres(holds()))
                .step(
                        "{}, {} across inside, {} high and {} wide at its foot",
                        kind.words(),
                        cm(inner),
                        cm(height),
                        cm(width))
                .step("filled to {} below its crest", cm(FREEBOARD))
                .step("it takes {} of the soil that is left", litres(soil()))
                .sensitive("Most sensitive to how level it is; levelled after a month or a season.")
                .from(SOURCE);
    }
}
