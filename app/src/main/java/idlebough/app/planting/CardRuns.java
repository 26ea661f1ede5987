package idlebough.app.planting;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Many cards printed in the background, a dozen at a time, and bound into one file. The last file of each reader is kept
 * for an hour; it is of this instance alone.
 */
@Service
public class CardRuns {
    private static final Logger LOG = LoggerFactory.getLogger(CardRuns.class);
    private static final Duration KEPT = Duration.ofHours(1);
    private static final int MOST = 50;
    /** Cards printed at once; a multiple of all that fit a page. */
    private static final int DOZEN = 12;

    private final Cache<String, Run> last =
            Caffeine.newBuilder().expireAfterAccess(KEPT).maximumSize(MOST).build();
    private final ExecutorService prints =
            Executors.newFixedThreadPool(Math.max(1, Runtime.getRuntime().availableProcessors()), CardRuns::daemon);
    private final ExecutorService binds = Executors.newCachedThreadPool(CardRuns::daemon);

    private static Thread daemon(Runnable work) {
        Thread thread = new Thread(work, "cards");
        thread.setDaemon(true);
        return thread;
    }

    /** One file in the making. */
    public static final class Run {
        private final int cards;
        private final AtomicInteger done = new AtomicInteger();
        private volatile byte[] file;
        private volatile boolean broken;

        private Run(int cards) {
            this.cards = cards;
        }

        public int cards() {
            return cards;
        }

        public int done() {
            return done.get();
        }

        public int percent() {
            return file != null ? 100 : 99 * done.get() / Math.max(1, cards);
        }

        public boolean running() {
            return file == null && !broken;
        }

        public boolean broken() {
            return broken;
        }

        Optional<byte[]> file() {
            return Optional.ofNullable(file);
        }
    }

    /** @param print a few cards as a PDF of their own */
    Run start(String whose, List<CardPrinter.Card> cards, Function<List<CardPrinter.Card>, byte[]> print) {
        Run run = new Run(cards.size());
        last.put(whose, run);
        List<Future<byte[]>> parts = new ArrayList<>();
        for (int from = 0; from < cards.size(); from += DOZEN) {
            List<CardPrinter.Card> few = cards.subList(from, Math.min(cards.size(), from + DOZEN));
            parts.add(prints.submit(() -> {
                byte[] part = print.apply(few);
                run.done.addAndGet(few.size());
                return part;
            }));
        }
        binds.execute(() -> {
            try {
                run.file = bound(parts);
            } catch (ExecutionException | IOException | RuntimeException unforeseen) {
                LOG.error("Cards could not be printed", unforeseen);
                run.broken = true;
            } catch (InterruptedException closing) {
                run.broken = true;
                Thread.currentThread().interrupt();
            }
        });
        return run;
    }

    Optional<Run> last(String whose) {
        return Optional.ofNullable(last.getIfPresent(whose));
    }

    private static byte[] bound(List<Future<byte[]>> parts)
            throws ExecutionException, InterruptedException, IOException {
        PDFMergerUtility binder = new PDFMergerUtility();
        for (Future<byte[]> part : parts) {
            binder.addSource(new RandomAccessReadBuffer(part.get()));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        binder.setDestinationStream(out);
        binder.mergeDocuments(IOUtils.createMemoryOnlyStreamCache());
        return out.toByteArray();
    }

    @PreDestroy
    void close() {
        prints.shutdownNow();
        binds.shutdownNow();
    }
}
