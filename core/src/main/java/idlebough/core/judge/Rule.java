package idlebough.core.judge;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One rule of judgement: its id {@code room.what}, and its sentences {@code what.sound}, {@code what.doubtful}, {@code
 * what.stop} and {@code what.reason} in the room's {@code sentences.properties}. A reason may have variants, {@code
 * what.reason.variant}, and one of its own where all is well, {@code what.reason.sound}.
 *
 * @param id stable; a test carries the same
 */
public record Rule(String id) {
    public static Rule of(String id) {
        return new Rule(id);
    }

    public String room() {
        return id.substring(0, id.indexOf('.'));
    }

    private String what() {
        return id.substring(id.indexOf('.') + 1);
    }

    /** Begins a finding about a subject. */
    public Draft about(Subject subject) {
        return new Draft(this, subject);
    }

    @Override
    public String toString() {
        return id;
    }

    /** A finding in the making. */
    public static final class Draft {
        private final Rule rule;
        private final Subject subject;
        private final Map<String, Object> arguments = new HashMap<>();
        private List<Remedy> remedies = List.of();
        private String variant = "";
        private String by = "";

        private Draft(Rule rule, Subject subject) {
            this.rule = rule;
            this.subject = subject;
        }

        /** An argument of the sentences: text, a number as {@link Amount}, or another phrase. */
        public Draft with(String name, Object argument) {
            arguments.put(name, argument);
            return this;
        }

        /** Which of the reasons is given, and which headline where there is one of that name; empty for the usual. */
        public Draft variant(String name) {
            variant = name.isEmpty() ? "" : "." + name;
            return this;
        }

        /**
         * What several trees must share beside rule, standing and variant to be one line. A finding is one with others
         * only where the room has a sentence {@code what.standing.many}.
         */
        public Draft together(String shared) {
            by = shared;
            return this;
        }

        /** What would put it right, the best first. */
        public Draft remedies(List<? extends Remedy> first) {
            remedies = List.copyOf(first);
            return this;
        }

        /**
         * Judged by its value; the sentences have {@code measured}, {@code band} and {@code limit} as arguments too.
         */
        public Finding judge(Measured measured, Limit limit) {
            arguments.putIfAbsent("measured", measured.amount());
            arguments.putIfAbsent("band", measured.band());
            arguments.putIfAbsent("limit", limit.amount());
            return finding(
                    Standing.of(measured, limit), Optional.of(new Finding.Held(measured, limit)), limit.source());
        }

        /** The same; empty where it is sound, and that is no news. */
        public Optional<Finding> unlessSound(Measured measured, Limit limit) {
            return Standing.of(measured, limit) == Standing.SOUND
                    ? Optional.empty()
                    : Optional.of(judge(measured, limit));
        }

        /** Where nothing can be measured: how it stands follows from what it is. */
        public Finding stands(Standing standing, Source source) {
            return finding(standing, Optional.empty(), source);
        }

        private Finding finding(Standing standing, Optional<Finding.Held> held, Source source) {
            Sentences sentences = Sentences.of(rule.room());
            String headline = rule.what() + "." + standing.word();
            String reason = rule.what() + ".reason";
            return new Finding(
                    rule,
                    subject,
                    standing,
                    new Finding.Said(
                            sentences
                                    .say(sentences.has(headline + variant) ? headline + variant : headline, arguments)
                                    .capital(),
                            sentences
                                    .say(reasonKey(sentences, reason, standing), arguments)
                                    .capital()),
                    held,
                    remedies,
                    source,
                    together(sentences, headline));
        }

        /** Where all is well its own, if there is one; else the variant's, else the usual one. */
        private String reasonKey(Sentences sentences, String reason, Standing standing) {
            String sound = reason + ".sound";
            if (standing == Standing.SOUND && sentences.has(sound)) {
                return sound;
            }
            return sentences.has(reason + variant) ? reason + variant : reason;
        }

        private Optional<Together> together(Sentences sentences, String headline) {
            String own = headline + variant + ".many";
            String usual = headline + ".many";
            String sentence = sentences.has(own) ? own : usual;
            return sentences.has(sentence)
                    ? Optional.of(new Together(
                            rule.id() + " " + headline + variant + " " + by,
                            String.valueOf(arguments.getOrDefault("peg", arguments.get("tree"))),
                            sentence,
                            Map.copyOf(arguments)))
                    : Optional.empty();
        }
    }
}
