package idlebough.app.home;

import idlebough.app.store.ChangeSet;
import idlebough.app.store.Head;
import idlebough.app.web.FormStamp;
import idlebough.app.web.MorningLine;
import idlebough.app.web.PlanSketch;
import idlebough.app.web.StagePage;
import idlebough.core.almanac.Gate;
import idlebough.core.almanac.Task;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Working;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What the first page shows: what runs out first, what blocks it, this week, what came in since the last visit, and each
 * orchard as a card.
 *
 * @param runsOut empty where nothing has a day after which it cannot be undone
 */
public record Morning(
        LocalDate today,
        Optional<RunsOut> runsOut,
        List<MorningLine.Day> week,
        List<Due> due,
        int later,
        List<News> news,
        List<Card> cards) {

    /** Minutes of the week's tasks. */
    public int minutes() {
        return due.stream().mapToInt(each -> each.task().work().minutes()).sum();
    }

    /**
     * The nearest gate of all orchards.
     *
     * @param words what is left to be done before it
     * @param days until it is passed
     * @param working of its day
     * @param first the worst that blocks it; empty where all is sound
     * @param stops and doubts: how many lines hang before it
     */
    public record RunsOut(
            Head orchard,
            Gate gate,
            Phrase words,
            long days,
            Working working,
            Optional<Finding> first,
            int stops,
            int doubts) {
        /** How many are to be settled. */
        public int all() {
            return stops + doubts;
        }
    }

    /** One thing to do in the week, or late. @param edit id of the form that ticks it off */
    public record Due(Head orchard, Task task, LocalDate day, boolean late, long daysLate, String edit) {}

    /** Something that came in. @param leaning whether it is a doubt */
    public record News(Head orchard, Phrase words, Optional<Instant> at, boolean leaning, String page) {}

    /**
     * One orchard.
     *
     * @param next task; empty where nothing waits
     * @param planting days until the planted trees go in; empty where none is to be planted
     * @param last change; empty for none
     */
    public record Card(
            Head orchard,
            Counts counts,
            Optional<PlanSketch> sketch,
            List<StagePage.Peg> line,
            Optional<Task> next,
            Optional<LocalDate> planting,
            Optional<ChangeSet> last,
            Ground ground) {
        /** For a form of this card: the page shows plans of several revisions. */
        public FormStamp stamp() {
            return new FormStamp(UUID.randomUUID().toString(), orchard.revision());
        }
    }

    public record Counts(int trees, int standing, int stops, int doubtful) {
        /** “; 31 trees, 8 in the ground” */
        public String words() {
            return trees == 0 ? "" : "; " + trees + " trees, " + (standing == 0 ? "none" : standing) + " in the ground";
        }
    }

    /** Where it lies, m² and degrees. */
    public record Ground(Optional<Double> area, double latitude, Optional<Double> elevation) {}
}
