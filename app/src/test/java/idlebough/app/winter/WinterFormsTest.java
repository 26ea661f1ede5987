package idlebough.app.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.Scope;
import idlebough.app.store.WeatherMapper;
import idlebough.app.store.WeatherStore;
import idlebough.app.web.PlanView;
import idlebough.core.crop.ChillModel;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import idlebough.core.winter.WeatherGenerator;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Records in, made winters, warmer ones, and the springs with the grower's own dates, over HTTP. */
@ExtendWith(Running.class)
class WinterFormsTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    @BeforeEach
    void anOrchard() {
        String name = "winterer" + growers++;
        grower = Visitor.signedUp(name);
        base = grower.founds("Cold ground", "42.3");
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private static String said(HttpResponse<String> answer) {
        return answer.body().replace("&#39;", "'").replace('\u00a0', ' ');
    }

    private static List<DailyExtremes> days() {
        return new WeatherGenerator(
                        77,
                        new WeatherGenerator.Year(10, 11, 20, 11),
                        new WeatherGenerator.Anomalies(0.7, 3.2, 0.7, 0.3))
                .days(LocalDate.of(2000, 8, 1), LocalDate.of(2024, 7, 31));
    }

    private void load(String name, String file) {
        load(name, file, null);
    }

    /** @param into a station's id, or null for one that is new */
    private void load(String name, String file, String into) {
        HttpResponse<String> look =
                grower.upload(base + "/winters/load", Map.of(), name, file.getBytes(StandardCharsets.UTF_8));
        Matcher ticket = Pattern.compile("/winters/load/([0-9a-f-]{36})").matcher(look.body());
        assertThat(ticket.find()).as(said(look).replaceAll("<[^>]*>", " ")).isTrue();
        assertThat(plan().record().days()).as("nothing is stored by looking").isNotNull();
        String at = base + "/winters/load/" + ticket.group(1);
        grower.post(at, Map.of("station", "Hill mast", "into", into == null ? "" : into));
        // A slow machine answers with a page that shows how far it is.
        assertThat(Stream.generate(() -> grower.get(at + "/progress").body())
                        .dropWhile(far -> far.contains("STORING"))
                        .findFirst()
                        .orElseThrow())
                .contains("STORED");
    }

    private static String csv(List<DailyExtremes> days) {
        return "date,tmin,tmax\n"
                + days.stream()
                        .map(d -> String.format(Locale.ROOT, "%s,%.1f,%.1f", d.date(), d.minimum(), d.maximum()))
                        .collect(Collectors.joining("\n"));
    }

    /** The archive's month lines give the same record as a table of days. */
    @Test
    void anArchiveFileIsAsGoodAsATable() {
        StringBuilder archive = new StringBuilder();
        Map<String, List<DailyExtremes>> months = days().stream()
                .collect(Collectors.groupingBy(d -> d.date().toString().substring(0, 7)));
        months.forEach((month, of) -> {
            for (String element : List.of("TMAX", "TMIN")) {
                StringBuilder line = new StringBuilder("XX000012345" + month.replace("-", "") + element);
                for (int day = 1; day <= 31; day++) {
                    int d = day;
                    int tenths = of.stream()
                            .filter(e -> e.date().getDayOfMonth() == d)
                            .mapToInt(e -> (int) Math.round(10 * (element.equals("TMIN") ? e.minimum() : e.maximum())))
                            .findFirst()
                            .orElse(-9999);
                    line.append(String.format("%5d  S", tenths));
                }
                archive.append(line).append('\n');
            }
        });
        load("XX000012345.dly", archive.toString().replace("  S", "   "));
        assertThat(plan().record().size()).isEqualTo(days().size());
        assertThat(plan().record().on(LocalDate.of(2010, 1, 15)))
                .isEqualTo(days().stream()
                        .filter(d -> d.date().equals(LocalDate.of(2010, 1, 15)))
                        .findFirst()
                        .orElseThrow());
        assertThat(said(grower.get(base + "/winters")))
                .contains("24 whole ones")
                .contains("zone ");
        String table = grower.get(base + "/winters/winters.csv").body();
        assertThat(table.lines().count()).isBetween(25L, 27L);
        assertThat(table).startsWith("winter,status,missing_days,neighbour_days,portions,utah,hours");
    }

    @Test
    void monthlyMeansStandInUntilARecordComes() {
        Map<String, String> means = new HashMap<>();
        double[] low = {-3, -2, 1, 4, 8, 12, 14, 13, 10, 6, 2, -2};
        for (int month = 0; month < 12; month++) {
            means.put("low" + month, String.valueOf(low[month]));
            means.put("high" + month, month == 4 ? "7" : String.valueOf(low[month] + 9));
        }
        HttpResponse<String> wrong = grower.post(base + "/winters/means", means);
        assertThat(said(wrong)).contains("May: the mean minimum is not below").contains("value=\"14.0\"");
        assertThat(plan().winters().usable()).isEmpty();
        means.put("high4", "seventeen");
        assertThat(said(grower.post(base + "/winters/means", means)))
                .contains("May, maximum")
                .contains("is not a figure");
        means.put("high4", "17");
        assertThat(grower.post(base + "/winters/means", means).statusCode()).isEqualTo(302);
        assertThat(plan().winters().usable()).hasSizeGreaterThanOrEqualTo(30);
        assertThat(said(grower.get(base + "/winters")))
                .contains("Synthetic winters, a stand-in")
                .contains("These winters are synthetic");
        for (String stage : List.of("varieties", "partners", "water", "almanac")) {
            assertThat(said(grower.get(base + "/" + stage)))
                    .as("whatever rests on made winters says so")
                    .contains("Computed with synthetic winters, a stand-in");
        }
        assertThat(grower.get(base + "/winters/days.csv").body())
                .contains(",synthetic")
                .doesNotContain("measured");
        assertThat(grower.get(base + "/winters/winters.csv").body()).contains(",synthetic,");
        load("days.csv", csv(days()));
        assertThat(plan().synthetic()).isFalse();
        assertThat(said(grower.get(base + "/varieties"))).doesNotContain("synthetic winters");
        assertThat(plan().record().size())
                .as("made and measured days never mix")
                .isEqualTo(days().size());
        assertThat(said(grower.post(base + "/winters/means", means))).contains("A measured record is here already");
        assertThat(plan().record().size()).isEqualTo(days().size());
    }

    @Test
    void warmerWintersAreCountedAnew() {
        load("days.csv", csv(days()));
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "1"));
        String answer = said(grower.get(base + "/winters/warmer?kelvin=4"));
        assertThat(answer).contains("4.0 K").contains("Cox").contains("Winters of ten that satisfy");
        double now = idlebough.core.winter.SafeChill.of(
                        ChillModel.PORTIONS, plan().winters().totals(ChillModel.PORTIONS))
                .value();
        assertThat(answer).contains(String.format(Locale.ROOT, "%.1f", now));
        assertThat(said(grower.get(base + "/winters/warmer?kelvin=0"))).contains("0.0 K");
    }

    @Test
    void theOrchardMayLieHigherThanItsStation() {
        load("days.csv", csv(days()));
        double before = plan().record().on(LocalDate.of(2010, 1, 15)).minimum();
        String station = plan().station().id();
        String offset = base + "/winters/stations/" + station + "/offset";
        assertThat(said(grower.post(offset, Map.of("stationElevation-" + station, "210"))))
                .contains("own elevation is not known yet");
        grower.post(
                base + "/site/edit",
                Map.of("name", "Cold ground", "timeZone", "UTC", "latitude", "42.3", "elevation", "610"));
        grower.post(offset, Map.of("stationElevation-" + station, "210"));
        // 400 m at 6.5 K in a kilometre, ICAO standard atmosphere.
        assertThat(plan().record().on(LocalDate.of(2010, 1, 15)).minimum()).isCloseTo(before - 2.6, within(1e-9));
        grower.post(offset, Map.of("stationElevation-" + station, "210", "difference-" + station, "1.5"));
        assertThat(plan().record().on(LocalDate.of(2010, 1, 15)).minimum())
                .as("what was measured goes first, and corrections do not add up")
                .isCloseTo(before + 1.5, within(1e-9));
    }

    @Test
    void theFirstStationGoesFirstAndTheNextLendsItsDays() {
        LocalDate gap = LocalDate.of(2012, 1, 10);
        List<DailyExtremes> all = days();
        load(
                "first.csv",
                csv(all.stream()
                        .filter(d -> d.date().isBefore(gap) || d.date().isAfter(gap.plusDays(20)))
                        .toList()));
        assertThat(said(grower.get(base + "/winters")))
                .contains("23 whole ones")
                .contains("Some winters are left out: 2012");
        load(
                "second.csv",
                csv(all.stream()
                        .map(d -> DailyExtremes.measured(d.date(), d.minimum() - 2, d.maximum() - 2))
                        .toList()));
        assertThat(plan().stations()).hasSize(2);
        assertThat(plan().record().on(gap.plusDays(2)).minimum())
                .isCloseTo(
                        all.stream()
                                .filter(d -> d.date().equals(gap.plusDays(2)))
                                .findFirst()
                                .orElseThrow()
                                .minimum(),
                        within(0.06));
        assertThat(said(grower.get(base + "/winters")))
                .contains("24 whole ones")
                .contains("21 borrowed");
        assertThat(said(grower.get(base + "/winters/load")))
                .contains("Lends 21 days, 21 of them by the difference measured on common days")
                .contains("Light: from another station");
        String second = plan().stations().get(1).id();
        load(
                "second.csv",
                csv(all.stream()
                        .map(d -> DailyExtremes.measured(d.date(), d.minimum() - 2, d.maximum() - 2))
                        .toList()));
        assertThat(plan().stations()).as("the same file twice changes nothing").hasSize(2);
        grower.post(base + "/winters/stations/" + second + "/first", Map.of());
        assertThat(plan().station().id()).isEqualTo(second);
        assertThat(plan().record().fromNeighbours()).isZero();
        grower.post(base + "/winters/stations/" + second + "/remove", Map.of());
        assertThat(plan().stations()).hasSize(1);
        assertThat(said(grower.get(base + "/winters"))).contains("23 whole ones");
        assertThat(said(grower.get(base + "/winters/load"))).contains("bring it back");
        grower.post(base + "/winters/stations/" + second + "/return", Map.of());
        assertThat(plan().stations()).hasSize(2);
        assertThat(Visitor.signedUp("passer" + growers++)
                        .post(base + "/winters/stations/" + second + "/remove", Map.of())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatIsStoppedLeavesNothing() {
        byte[] file = csv(days()).getBytes(StandardCharsets.UTF_8);
        WeatherFile.Reading reading =
                WeatherFile.read(file, WeatherFile.Wish.NONE, java.time.ZoneOffset.UTC, Watch.NONE);
        assertThatThrownBy(() -> Running.bean(WeatherStore.class)
                        .store(scope, null, "Mast", "days.csv", file, reading, share -> {
                            if (share > 0.5) {
                                throw new Watch.Stopped();
                            }
                        }))
                .isInstanceOf(Watch.Stopped.class);
        assertThat(plan().record().isEmpty()).isTrue();
        assertThat(Running.bean(WeatherMapper.class).stations(scope)).isEmpty();
    }

    @Test
    void utahUnitsMayCountFromTheTurnOfEachAutumn() {
        load("days.csv", csv(days()));
        grower.post(base + "/winters", Map.of("chill", "UTAH"));
        double season = plan().winters().totals(ChillModel.UTAH)[0];
        grower.post(base + "/ways", Map.of("way", "winter.utah-start", "choice", "own"));
        assertThat(plan().winters().totals(ChillModel.UTAH)[0]).isGreaterThan(season);
        assertThat(said(grower.get(base + "/winters")))
                .contains("the turn of each autumn")
                .contains("from ");
        assertThat(grower.get(base + "/winters/winters.csv").body())
                .containsPattern("20\\d\\d-\\d\\d-\\d\\dT\\d\\d:00");
        assertThat(grower.post(base + "/ways", Map.of("way", "winter.utah-start", "choice", "never"))
                        .statusCode())
                .isEqualTo(404);
    }

    /** Utah takes warm hours away: in a warm place it ends below nought, and the button counts otherwise. */
    @Test
    void aModelThatDoesNotApplySaysSo() {
        load(
                "warm.csv",
                csv(new WeatherGenerator(
                                5,
                                new WeatherGenerator.Year(20, 4, 20, 10),
                                new WeatherGenerator.Anomalies(0.7, 2, 0.5, 0))
                        .days(LocalDate.of(2014, 8, 1), LocalDate.of(2024, 7, 31))));
        assertThat(said(grower.get(base + "/winters"))).doesNotContain("end below zero");
        grower.post(base + "/winters", Map.of("chill", "UTAH"));
        String page = said(grower.get(base + "/winters"));
        assertThat(page).contains("winters end below zero").contains("Count in portions");
        assertThat(page).as("the button is a form that does it").containsPattern("name=\"chill\" value=\"PORTIONS\"");
        grower.post(base + "/winters", Map.of("chill", "PORTIONS"));
        assertThat(said(grower.get(base + "/winters"))).doesNotContain("end below zero");
    }

    /** Three winters: nothing is said of nine in ten but between what it may lie. */
    @Test
    void fewWintersSayLittle() {
        load(
                "few.csv",
                csv(days().stream().filter(d -> d.date().getYear() < 2004).toList()));
        assertThat(said(grower.get(base + "/winters")))
                .contains("3 whole ones")
                .contains("What nine winters of ten reach cannot be said yet: it may be anything from")
                .contains("too few winters to say")
                .doesNotContain("Reached in nine winters of ten");
    }

    @Test
    void everyTableComesAsCsvAndOtherPlacesAreComputed() {
        load("days.csv", csv(days()));
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "1"));
        for (String table : List.of("winters", "models", "frost", "days")) {
            assertThat(grower.get(base + "/winters/" + table + ".csv")
                            .body()
                            .lines()
                            .count())
                    .as(table)
                    .isGreaterThan(3);
        }
        String screen =
                grower.get(base + "/winters/springs.csv?variety=apple-cox").body();
        String hollow = grower.get(base + "/winters/springs.csv?variety=apple-cox&place=HOLLOW")
                .body();
        assertThat(screen.lines().count()).isEqualTo(hollow.lines().count()).isGreaterThan(20);
        assertThat(hollow).as("colder nights in a hollow").isNotEqualTo(screen);
        assertThat(said(grower.get(base + "/winters/warmer?kelvin=0&place=WALL&metres=-100")))
                .contains("before a house wall")
                .contains("100 m lower")
                .contains("zone");
    }

    private VarietySprings springs() {
        return plan().evaluation()
                .varieties()
                .springs(plan().chosen("apple-cox"), Exposure.SCREEN)
                .orElseThrow();
    }

    @Test
    void ownBloomDatesPutTheHeatNeedRight() {
        load("days.csv", csv(days()));
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "1"));
        String springs = base + "/winters/springs";
        assertThat(said(grower.get(springs))).contains("estimate").contains("One row a winter");
        VarietySprings before = springs();
        for (int i = 4; i < 10; i++) {
            // Seen eight days before it was predicted.
            LocalDate seen = before.blooms().get(i).full().orElseThrow().minusDays(8);
            grower.post(springs, Map.of("variety", "apple-cox", "seenOn", seen.toString()));
        }
        VarietySprings after = springs();
        assertThat(after.fit().orElseThrow().dates()).hasSize(6);
        assertThat(after.clock().need()).isLessThan(before.clock().need());
        long sooner = before.blooms().get(6).full().orElseThrow().toEpochDay()
                - after.blooms().get(6).full().orElseThrow().toEpochDay();
        assertThat((double) sooner).isCloseTo(8, within(3.0));
        assertThat(said(grower.get(springs))).contains("your dates").contains("Largest miss");
        assertThat(said(grower.post(springs, Map.of("variety", "apple-cox", "seenOn", "soon"))))
                .contains("no day of the calendar");
        String id = plan().rows().blooms().get(0).id();
        grower.post(springs + "/" + id + "/remove", Map.of());
        assertThat(springs().fit().orElseThrow().dates()).hasSize(5);
        grower.post(base + "/undo", Map.of());
        assertThat(plan().rows().blooms()).hasSize(6);
    }
}
