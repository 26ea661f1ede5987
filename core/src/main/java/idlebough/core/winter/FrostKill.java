package idlebough.core.winter;

import static idlebough.core.judge.Table.number;

import idlebough.core.judge.Table;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * What a frosty night does to buds and blossom: the temperatures that kill a tenth and nine tenths at each stage, from
 * {@code winter/critical.csv} (Washington State University circulars by Ballard, Proebsting & Tukey; from memory,
 * fair).
 */
public final class FrostKill {
    /** Frost is looked for until the last stage's share and this much more (project choice). */
    private static final double AFTER = 0.15;

    private static final double LEAST = 0.01;
    /** The hour by which the night is over. */
    private static final int MORNING = 6;

    private static final int HOURS = 24;

    private static final Map<String, List<Stage>> BY_CROP = read();

    private FrostKill() {}

    /**
     * @param fraction of the heat that counts to full bloom, from which it stands (weak)
     * @param tenth kills 10 %, and most 90 %, °C
     */
    public record Stage(String name, double fraction, double tenth, double most) {
        /** Share killed by half an hour at a temperature: a logistic curve through both points. */
        public double killed(double celsius) {
            double middle = (tenth + most) / 2;
            return 1 / (1 + Math.exp(steep() * (celsius - middle)));
        }

        private double steep() {
            return 2 * Math.log(9) / (tenth - most);
        }

        /** From here up a night takes less than is told, °C. */
        private double harmless() {
            return (tenth + most) / 2 + Math.log(1 / LEAST - 1) / steep();
        }
    }

    /**
     * One spring for a variety.
     *
     * @param worst share of blossom killed by the worst night, 0 to 1
     * @param night empty when no night of the time came to 1 % of kill
     */
    public record Spring(int year, double worst, Optional<Night> night) {}

    /**
     * @param minimum °C
     * @param stage that it met
     */
    public record Night(LocalDate date, double minimum, Stage stage) {}

    /** The stages of a crop, earliest first; empty when none are known. */
    public static List<Stage> stages(String crop) {
        return BY_CROP.getOrDefault(crop, List.of());
    }

    /**
     * Every night from the first stage to a little after the last is held against the stage in which it finds the buds.
     */
    public static Spring of(Bloom bloom, List<Stage> stages) {
        Spring worst = new Spring(bloom.year(), 0, Optional.empty());
        if (stages.isEmpty()) {
            return worst;
        }
        SpringHours spring = bloom.spring();
        double last = stages.get(stages.size() - 1).fraction() + AFTER;
        double[] forced = spring.forced(bloom.clock().half());
        double harmless = stages.stream().mapToDouble(Stage::harmless).max().orElseThrow();
        int opens =
                Bloom.reached(forced, stages.get(0).fraction() * bloom.clock().need());
        if (opens < 0) {
            return worst;
        }
        // The first morning at which the first stage is reached.
        int morning = MORNING + Math.max(0, Math.floorDiv(opens - MORNING + HOURS - 1, HOURS)) * HOURS;
        for (int h = morning; h < forced.length; h += HOURS) {
            double fraction = forced[h] / bloom.clock().need();
            if (fraction > last) {
                break;
            }
            DailyExtremes day = spring.hours().days().get(h / HOURS);
            if (day.minimum() > harmless) {
                continue;
            }
            Stage stage = stages.get(0);
            for (Stage each : stages) {
                stage = fraction >= each.fraction() ? each : stage;
            }
            double killed = stage.killed(day.minimum());
            if (killed > Math.max(LEAST, worst.worst())) {
                worst = new Spring(bloom.year(), killed, Optional.of(new Night(day.date(), day.minimum(), stage)));
            }
        }
        return worst;
    }

    private static Map<String, List<Stage>> read() {
        Map<String, List<Stage>> stages = new TreeMap<>();
        for (CSVRecord row : Table.rows("winter/critical.csv")) {
            stages.computeIfAbsent(row.get("crop"), c -> new ArrayList<>())
                    .add(new Stage(
                            row.get("stage"),
                            number(row, "fraction"),
                            (number(row, "t10_f") - 32) / 1.8,
                            (number(row, "t90_f") - 32) / 1.8));
        }
        return stages.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, e -> List.copyOf(e.getValue())));
    }
}
