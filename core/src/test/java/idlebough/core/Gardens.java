package idlebough.core;

import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.winter.MonthlyMeans;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Weather;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The made gardens of {@code climates/gardens.csv}, one in each climate. */
public final class Gardens {
    private Gardens() {}

    public static Stream<Map<String, String>> all() {
        return Vectors.table("/climates/gardens.csv").stream();
    }

    public static Evaluation evaluation(Map<String, String> garden) {
        MonthlyMeans means = new MonthlyMeans(
                twelve(garden.get("minima")),
                twelve(garden.get("maxima")),
                Optional.of(Double.valueOf(garden.get("coldest"))));
        return Evaluation.of(Orchard.empty(Double.parseDouble(garden.get("latitude")), LocalDate.of(2021, 3, 1))
                .with(new Weather(new StationRecord(means.days(LocalDate.of(2020, 12, 31))), false)));
    }

    private static List<Double> twelve(String cells) {
        return Arrays.stream(cells.split(" ")).map(Double::valueOf).toList();
    }
}
