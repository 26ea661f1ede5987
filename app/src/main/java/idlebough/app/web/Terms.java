package idlebough.app.web;

import idlebough.core.judge.Table;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;

/** The grower's words, explained: on hover where a sentence first uses one, and on a page of their own. */
public final class Terms {
    private static final List<Term> ALL = Table.rows("app/terms.csv").stream()
            .map(row -> new Term(row.get("term"), row.get("forms"), row.get("means")))
            .toList();
    private static final Map<String, Term> BY_FORM = byForm();
    private static final Pattern FORMS = Pattern.compile(
            BY_FORM.keySet().stream()
                    .sorted((a, b) -> b.length() - a.length())
                    .map(Pattern::quote)
                    .collect(Collectors.joining("|", "(?<![\\p{L}-])(", ")(?![\\p{L}-])")),
            Pattern.CASE_INSENSITIVE);

    private Terms() {}

    /** @param forms how it is met in a sentence, split by a bar; empty where hovering would only be in the way */
    private record Term(String term, String forms, String means) {}

    /** Every word with its meaning in the reader's units, in the order of the work. */
    public static Map<String, String> in(Reader reader) {
        Map<String, String> means = new LinkedHashMap<>();
        ALL.forEach(term -> means.put(term.term(), reader.prose(term.means())));
        return means;
    }

    private static Map<String, Term> byForm() {
        Map<String, Term> byForm = new LinkedHashMap<>();
        for (Term term : ALL) {
            Arrays.stream(term.forms().split("\\|"))
                    .filter(form -> !form.isEmpty())
                    .forEach(form -> byForm.put(form, term));
        }
        return byForm;
    }

    /**
     * A sentence as HTML, escaped, with each term explained where it is first used.
     *
     * @param reader in whose units the explanation speaks
     */
    static String marked(String sentence, Reader reader) {
        StringBuilder html = new StringBuilder();
        Set<Term> told = new HashSet<>();
        Matcher met = FORMS.matcher(sentence);
        int from = 0;
        while (met.find()) {
            Term term = BY_FORM.get(met.group().toLowerCase(Locale.ROOT));
            if (told.add(term)) {
                html.append(HtmlUtils.htmlEscape(sentence.substring(from, met.start())))
                        .append("<dfn title=\"")
                        .append(HtmlUtils.htmlEscape(reader.prose(term.means())))
                        .append("\">")
                        .append(HtmlUtils.htmlEscape(met.group()))
                        .append("</dfn>");
                from = met.end();
            }
        }
        return html.append(HtmlUtils.htmlEscape(sentence.substring(from))).toString();
    }
}
