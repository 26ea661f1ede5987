package idlebough.app.assortment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.core.assortment.AssortmentWish;
import idlebough.core.assortment.Candidates;
import idlebough.core.assortment.Proposal;
import idlebough.core.assortment.ProposalSearch;
import idlebough.core.orchard.Evaluation;
import idlebough.core.variety.Choice;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Searches for assortments in the background, one at a time, the last one of each orchard kept for an hour. What they
 * find is of this instance alone and goes with it; a plan changes only when a set is taken over.
 */
@Service
public class ProposalRuns {
    private static final Logger LOG = LoggerFactory.getLogger(ProposalRuns.class);
    private static final Duration KEPT = Duration.ofHours(1);
    private static final int MOST = 200;

    private final Cache<String, Run> last =
            Caffeine.newBuilder().expireAfterAccess(KEPT).maximumSize(MOST).build();
    private final ExecutorService works = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "assortment");
        thread.setDaemon(true);
        return thread;
    });

    /** One search. */
    public static final class Run {
        private static final int FIVE = 5;
        private final AssortmentWish wish;
        private final List<Choice> kept;
        private final AtomicBoolean stop = new AtomicBoolean();
        private volatile List<Proposal> proposals = List.of();
        private volatile boolean ended;
        private volatile boolean broken;

        private Run(AssortmentWish wish, List<Choice> kept) {
            this.wish = wish;
            this.kept = List.copyOf(kept);
        }

        public AssortmentWish wish() {
            return wish;
        }

        public List<Choice> kept() {
            return kept;
        }

        /** The best so far, the last of them perhaps not the best of its kind yet. */
        public List<Proposal> proposals() {
            return proposals;
        }

        public boolean running() {
            return !ended;
        }

        /** Whether it came to an end that nobody foresaw. */
        public boolean broken() {
            return broken;
        }

        public int percent() {
            return ended ? 100 : 100 * Math.max(0, proposals.size() - 1) / FIVE;
        }

        private void search(Evaluation evaluation) {
            Candidates candidates = Candidates.of(
                    evaluation.varieties(),
                    evaluation.rootstocks(),
                    evaluation.stands().stream()
                            .filter(stand -> !stand.toPlant())
                            .map(stand -> stand.variety())
                            .distinct()
                            .toList(),
                    wish,
                    kept);
            proposals = new ProposalSearch(candidates, wish).run(stop::get, found -> proposals = found);
        }
    }

    /** Stops the one before and begins another. */
    Run start(String orchard, Evaluation evaluation, AssortmentWish wish, List<Choice> kept) {
        stop(orchard);
        Run run = new Run(wish, kept);
        last.put(orchard, run);
        try {
            works.execute(() -> {
                try {
                    run.search(evaluation);
                } catch (RuntimeException unforeseen) {
                    LOG.error("A search for assortments broke off", unforeseen);
                    run.broken = true;
                } finally {
                    run.ended = true;
                }
            });
        } catch (RejectedExecutionException closing) {
            run.ended = true;
        }
        return run;
    }

    Optional<Run> last(String orchard) {
        return Optional.ofNullable(last.getIfPresent(orchard));
    }

    void stop(String orchard) {
        last(orchard).ifPresent(run -> run.stop.set(true));
    }

    @PreDestroy
    void close() {
        last.asMap().values().forEach(run -> run.stop.set(true));
        works.shutdownNow();
    }
}
