package idlebough.core.layout;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LayoutTest {
    @Test
    void sizeModelAndGrowth() {
        Vectors.joined("size_model").forEach(row -> {
            TreeSize size = TreeSize.of(
                    d(row, "s0"),
                    d(row, "h0"),
                    d(row, "f_root"),
                    d(row, "f_cult"),
                    d(row, "f_soil"),
                    d(row, "f_sys_w"),
                    d(row, "f_sys_h"));
            near(size.spread(), row, "out:spread");
            near(size.height(), row, "out:height");
            near(size.inRow(d(row, "overlap_k")), row, "out:in_row");
            near(size.betweenRows(d(row, "alley")), row, "out:row");
        });
        Vectors.joined("growth")
                .forEach(row -> near(
                        TreeSize.monomolecular(d(row, "dinf"), d(row, "d0"), d(row, "k"), d(row, "t")),
                        row,
                        "out:mono"));
        // RHS (Baker): an apple on M26 as a bush is about three and a half metres wide
        assertThat(TreeSize.of(Shipped.variety("apple-cox"), Shipped.stock("m26"))
                        .spread())
                .isBetween(3.0, 3.8);
    }

    @Test
    void countsOnPlotsOfAnyShape() {
        Vectors.joined("count_polygon").stream()
                .filter(row -> row.get("keepouts").isEmpty() || true)
                .filter(row -> List.of("SQUARE", "RECT", "HEX", "TRI").contains(row.get("pattern")))
                .forEach(row -> {
                    Plot plot = Plot.of(Arrays.stream(row.get("polygon").split(";"))
                            .map(c ->
                                    new Point(Double.parseDouble(c.split(" ")[0]), Double.parseDouble(c.split(" ")[1])))
                            .toList());
                    double s = d(row, "s");
                    double pitch = row.get("pattern").equals("SQUARE")
                            ? s
                            : row.get("pattern").equals("HEX") ? RowFill.hexPitch(s) : d(row, "r");
                    RowFill.Pattern pattern = List.of("HEX", "TRI").contains(row.get("pattern"))
                            ? RowFill.Pattern.TRIANGLE
                            : RowFill.Pattern.SQUARE;
                    long trees = RowFill.lattice(
                                    plot,
                                    d(row, "setback"),
                                    new Point(d(row, "ox"), d(row, "oy")),
                                    d(row, "bearing"),
                                    pattern,
                                    s,
                                    pitch)
                            .stream()
                            .filter(place -> row.get("keepouts").isEmpty()
                                    || Arrays.stream(row.get("keepouts").split(";"))
                                            .map(k -> k.split(" "))
                                            .allMatch(k -> place.at()
                                                            .distance(new Point(
                                                                    Double.parseDouble(k[0]), Double.parseDouble(k[1])))
                                                    >= Double.parseDouble(k[2]) - 1e-6))
                            .count();
                    near(plot.area(), row, "out:area");
                    assertThat(trees).as(row.toString()).isEqualTo(Long.parseLong(row.get("out:trees")));
                });
    }

    @Test
    void twoTapesBothWays() {
        Vectors.joined("tie_distances").forEach(row -> {
            TwoTapes tapes =
                    TwoTapes.of(new Point(0, 0), new Point(d(row, "b"), 0), new Point(d(row, "x"), d(row, "y")));
            near(tapes.fromP(), row, "out:a");
            near(tapes.fromQ(), row, "out:c");
            near(tapes.apex(), row, "out:gamma");
            assertThat(tapes.good() ? "OK" : "WEAK").isEqualTo(row.get("out:quality"));
        });
        Vectors.joined("trilateration").forEach(row -> {
            TwoTapes.Fix fix = TwoTapes.fix(
                    d(row, "b"),
                    d(row, "a"),
                    d(row, "c"),
                    Integer.parseInt(row.get("side")),
                    d(row, "sig_a"),
                    d(row, "sig_c"),
                    d(row, "sig_b"));
            near(fix.east(), row, "out:x");
            near(fix.north(), row, "out:y");
            near(fix.sigma(), row, "out:sig_p");
        });
    }

    @Test
    void theFillKeepsSpacingAndMargin() {
        Plot plot = Plot.rectangle(40, 25);
        List<RowFill.Place> places = RowFill.best(plot, 2.5, 90, RowFill.Pattern.SQUARE, 5, 5, 16, place -> true);
        assertThat(places).as("40 × 25 m, setback 2.5, 5 m square").hasSize(40);
        assertThat(places).allMatch(place -> plot.distanceToBoundary(place.at()) >= 2.5 - 1e-6);
        assertThat(RowFill.label(0, 0)).isEqualTo("A1");
        assertThat(RowFill.label(27, 3)).isEqualTo("AB4");
    }

    /** Tapes read off a peg, put back, land on the peg. */
    @ParameterizedTest
    @CsvSource({"5, 9", "21.3, -4", "-7, 30", "0.5, 0.4"})
    void tapesPutBackLandOnThePeg(double east, double north) {
        BaseLine line = new BaseLine(new Point(3, 2), new Point(18, -5));
        Point peg = new Point(east, north);
        TwoTapes tapes = line.tapes(peg);
        Point met = line.meet(tapes.fromP(), tapes.fromQ(), tapes.right()).orElseThrow();
        assertThat(met.distance(peg)).isLessThan(1e-9);
    }

    /** Euclid I.20: two sides of a triangle are longer than the third. */
    @Test
    void tapesThatAreTooShortOrTooUnlikeDoNotMeet() {
        BaseLine line = new BaseLine(new Point(0, 0), new Point(12, 0));
        assertThat(line.meet(5, 6, false)).isEmpty();
        assertThat(line.meet(20, 7, false)).isEmpty();
        assertThat(line.meet(5, 7, false)).isPresent();
    }
}
