package idlebough.app.planting;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collections;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Many cards become one file, in their order, and what goes wrong ends the run. */
@Timeout(30)
class CardRunsTest {
    private static List<CardPrinter.Card> cards(int many) {
        return Collections.nCopies(many, null);
    }

    private static byte[] pages(List<CardPrinter.Card> few) {
        try (PDDocument file = new PDDocument()) {
            few.forEach(card -> file.addPage(new PDPage()));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            file.save(out);
            return out.toByteArray();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    private static void ends(CardRuns.Run run) throws InterruptedException {
        while (run.running()) {
            Thread.sleep(10);
        }
    }

    @Test
    void allPartsAreBound() throws InterruptedException, IOException {
        CardRuns runs = new CardRuns();
        CardRuns.Run run = runs.start("a", cards(31), CardRunsTest::pages);
        ends(run);
        assertThat(run.percent()).isEqualTo(100);
        assertThat(run.done()).isEqualTo(31);
        try (PDDocument file = Loader.loadPDF(run.file().orElseThrow())) {
            assertThat(file.getNumberOfPages()).isEqualTo(31);
        }
        assertThat(runs.last("a")).contains(run);
        assertThat(runs.last("somebody else")).isEmpty();
        runs.close();
    }

    @Test
    void whatBreaksIsSaidAndEnds() throws InterruptedException {
        CardRuns runs = new CardRuns();
        CardRuns.Run run = runs.start("a", cards(13), few -> {
            if (few.size() == 1) {
                throw new IllegalStateException("paper jam");
            }
            return pages(few);
        });
        ends(run);
        assertThat(run.broken()).isTrue();
        assertThat(run.file()).isEmpty();
        runs.close();
    }
}
