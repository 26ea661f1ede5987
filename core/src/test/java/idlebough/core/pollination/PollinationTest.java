package idlebough.core.pollination;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Subject;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PollinationTest {
    @Test
    void gametophyticRule() {
        // de Nettancourt 1977; Cox refuses Kidd's Orange Red, Stella takes itself
        Vectors.joined("s_compat").forEach(row -> {
            double fraction = SAlleles.of(row.get("pistil")).accepts(SAlleles.of(row.get("pollen")));
            near(fraction, row, "out:fraction");
            near(Pairing.classed(fraction) * (row.get("pollen_ploidy").equals("3") ? 0 : 1), row, "out:effective");
        });
    }

    /** One in nine, at every third place of every third row (Free 1993; Delaplane & Mayer 2000). */
    @Test
    void pollinizersOfABlock() {
        Vectors.joined("pollinizer_grid").forEach(row -> {
            int rows = Integer.parseInt(row.get("rows"));
            int trees = Integer.parseInt(row.get("trees"));
            List<PollinizerShare.Place> places = PollinizerShare.grid(rows, trees);
            assertThat(places).as(row.get("id")).hasSize(Integer.parseInt(row.get("out:count")));
            near(100.0 * places.size() / rows / trees, row, "out:percent");
            assertThat(places.stream()
                            .map(PollinizerShare.Place::row)
                            .distinct()
                            .map(String::valueOf))
                    .containsExactlyElementsOf(List.of(row.get("out:row_list").split(" ")));
            assertThat(places.stream()
                            .map(PollinizerShare.Place::place)
                            .distinct()
                            .map(String::valueOf))
                    .containsExactlyElementsOf(List.of(row.get("out:tree_list").split(" ")));
        });
    }

    /** Hazel: Thompson; Mehlenbacher 1997, 2014. */
    @Test
    void sporophyticRule() {
        Vectors.joined("s_sporophytic")
                .forEach(row -> assertThat(SAlleles.of(row.get("pistil"))
                                .refusesSporophytic(SAlleles.of(row.get("pollen_expressed"))))
                        .as(row.get("id"))
                        .isEqualTo(row.get("out:compatible").equals("0")));
    }

    @Test
    void commonBloom() {
        Vectors.joined("bloom_overlap").forEach(row -> {
            CommonBloom bloom = CommonBloom.ofDays(
                    (int) d(row, "r_start"), (int) d(row, "r_end"), (int) d(row, "p_start"), (int) d(row, "p_end"));
            near(bloom.days(), row, "out:days");
            near(bloom.score(), row, "out:o_score");
        });
        Vectors.joined("bloom_group").stream()
                .filter(row -> row.get("step").equals("3"))
                .forEach(row -> near(
                        CommonBloom.ofGroups(
                                        row.get("g1").charAt(0), row.get("g2").charAt(0), (int) d(row, "bloom_days"))
                                .days(),
                        row,
                        "out:days"));
    }

    @Test
    void scoresOfPartnersTogether() {
        Vectors.joined("partner_score").forEach(row -> {
            List<Double> scores = new ArrayList<>();
            for (String partner : row.get("partners").split(";")) {
                String[] part = partner.split("@");
                double genes = part[0].equals("?") || row.get("r_geno").equals("?")
                        ? 0.8
                        : Pairing.classed(SAlleles.of(row.get("r_geno")).accepts(SAlleles.of(part[0])));
                double viability = part[1].equals("3") ? 0 : Double.parseDouble(part[5]);
                CommonBloom bloom = CommonBloom.ofDays(
                        (int) d(row, "r_start"),
                        (int) d(row, "r_end"),
                        Integer.parseInt(part[2]),
                        Integer.parseInt(part[3]));
                double apart = Double.parseDouble(part[4]);
                scores.add(new PartnerScore(
                                new Pairing(bloom, genes, viability),
                                apart,
                                PartnerScore.distance(Crop.Vector.valueOf(row.get("vector")), apart),
                                Double.parseDouble(part[6]))
                        .value());
            }
            double total = PartnerScore.together(d(row, "self_score"), scores);
            near(total, row, "out:total");
            assertThat(total >= PartnerScore.GOOD ? "GOOD" : total >= PartnerScore.THIN ? "THIN" : "POOR")
                    .isEqualTo(row.get("out:verdict"));
        });
    }

    @Test
    void everyRemedyOfAPearIsAPearOfEitherKind() {
        Flowering pear = new Flowering(Subject.tree("p"), "P", Shipped.variety("pear-comice"), Optional.empty());
        assertThat(PartnerWeb.of(List.of(pear)).wouldServe(pear, Catalogue.shipped()))
                .isNotEmpty()
                .allMatch(link -> List.of("pear", "asian-pear")
                        .contains(link.partner().variety().crop().key()));
        // old field tests: Seckel and Louise Bonne share their alleles and fail each other; so would Seckel with itself
        assertThat(Pairing.genes(Shipped.variety("pear-seckel"), Shipped.variety("pear-seckel")))
                .isZero();
    }
}
