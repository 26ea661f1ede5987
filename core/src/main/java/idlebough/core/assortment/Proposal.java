package idlebough.core.assortment;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Sentences;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A whole set that holds together.
 *
 * @param picks in the order of the candidates
 * @param score by which sets are compared; what it is made of is told in {@link SetWorth}
 * @param ended why the search for it ended
 */
public record Proposal(List<Pick> picks, int score, Ended ended) {
    private static final Sentences WORDS = Sentences.of("assortment");

    /** @param trees at least one */
    public record Pick(Candidate candidate, int trees) {}

    /** Why a search ended. */
    public enum Ended {
        PROVEN("nothing scores better"),
        STEPS("the best found in so many steps"),
        CLOCK("the clock stopped the search: the best found until then"),
        STOPPED("you stopped the search: the best found until then");
        private final String words;

        Ended(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public int trees() {
        return picks.stream().mapToInt(Pick::trees).sum();
    }

    /** Ground that the crowns cover, m². */
    public double area() {
        return picks.stream()
                .mapToDouble(pick -> pick.trees() * pick.candidate().area())
                .sum();
    }

    /** A year at full crop. */
    public double kg() {
        return picks.stream()
                .mapToDouble(pick -> pick.trees() * pick.candidate().kg())
                .sum();
    }

    /** Keys of its varieties. */
    public Set<String> varieties() {
        return picks.stream()
                .map(pick -> pick.candidate().variety().key())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Months with own fruit, ripe or in store. */
    public Set<Month> months() {
        Set<Month> months = EnumSet.noneOf(Month.class);
        picks.forEach(pick -> months.addAll(pick.candidate().months()));
        return months;
    }

    /** What is to be said of it: the fruit through the year, what is left out, who has company, what is in doubt. */
    public List<Phrase> said(AssortmentWish wish) {
        List<Phrase> said = new ArrayList<>();
        Set<Month> bare = EnumSet.copyOf(Set.of(Month.values()));
        bare.removeAll(months());
        said.add(bare.isEmpty() ? WORDS.say("all-year", Map.of()) : WORDS.say("bare", Map.of("months", names(bare))));
        Set<Month> missed = EnumSet.noneOf(Month.class);
        missed.addAll(wish.months());
        missed.removeAll(months());
        if (!missed.isEmpty()) {
            said.add(WORDS.say("missed", Map.of("months", names(missed))));
        }
        Set<String> crops = picks.stream()
                .map(pick -> pick.candidate().variety().crop().key())
                .collect(Collectors.toSet());
        String left = wish.crops().keySet().stream()
                .filter(crop -> !crops.contains(crop))
                .sorted()
                .map(crop -> crop.replace('-', ' '))
                .collect(Collectors.joining(", "));
        if (!left.isEmpty()) {
            said.add(WORDS.say("left-out", Map.of("crops", left)));
        }
        String mounds = picks.stream()
                .filter(pick -> pick.candidate().mound())
                .map(pick -> pick.candidate().variety().name())
                .collect(Collectors.joining(", "));
        if (!mounds.isEmpty()) {
            said.add(WORDS.say("mounds", Map.of("names", mounds)));
        }
        long alone = picks.stream()
                .filter(pick -> !Candidates.wantsPartner(pick.candidate().variety()))
                .count();
        said.add(
                alone == picks.size()
                        ? WORDS.say("alone", Map.of())
                        : WORDS.say("company", Map.of("n", Amount.count(picks.size() - alone))));
        List<Pick> doubtful =
                picks.stream().filter(pick -> pick.candidate().doubted()).toList();
        said.add(
                doubtful.isEmpty()
                        ? WORDS.say("sound", Map.of())
                        : WORDS.say(
                                "doubtful",
                                Map.of(
                                        "names",
                                        doubtful.stream()
                                                .map(pick -> pick.candidate()
                                                        .variety()
                                                        .name())
                                                .collect(Collectors.joining(", ")))));
        return List.copyOf(said);
    }

    private static String names(Set<Month> months) {
        return months.stream()
                .map(month -> month.getDisplayName(TextStyle.FULL, Locale.ENGLISH))
                .collect(Collectors.joining(", "));
    }
}
