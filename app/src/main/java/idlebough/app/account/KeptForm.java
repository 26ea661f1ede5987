package idlebough.app.account;

import idlebough.app.web.Conflicts;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A form that came after its session had ended. It is kept in the sign-in page itself, so that nothing of strangers is
 * stored, and laid before whoever signs in, to be sent once more.
 *
 * @param action to which it was sent: a path of ours
 * @param fields in their order, without the token
 */
record KeptForm(String action, List<Field> fields) {
    /** The name under which a request carries it on. */
    static final String OF_REQUEST = "idlebough.kept";
    /** The field of the sign-in page. */
    static final String FIELD = "_kept";

    private static final int MOST_FIELDS = 500;
    private static final int LONGEST = 300_000;
    /** None with a password in it. */
    private static final Pattern OURS = Pattern.compile("/orchards[A-Za-z0-9/._-]*|/account(/units)?");

    private static final JsonMapper JSON = new JsonMapper();

    /** One that was typed, or one that the page had put there. */
    record Field(String name, String value) {
        /** Hidden ones keep what the form stands for: its stamp, and where it leads back to. */
        public boolean hidden() {
            return name.startsWith("_") || name.equals("id") || name.equals("back");
        }

        public boolean isLong() {
            return value.length() > 60 || value.contains("\n");
        }

        public String words() {
            return Conflicts.words(name);
        }
    }

    /** What a request sends; empty for what is not a form of one of our own pages. */
    static Optional<KeptForm> of(HttpServletRequest request) {
        if (!request.getMethod().equals("POST") || !isForm(request) || !isOurs(request)) {
            return Optional.empty();
        }
        List<Field> fields = new ArrayList<>();
        request.getParameterMap().forEach((name, values) -> {
            for (String value : values) {
                if (!name.equals("_csrf")) {
                    fields.add(new Field(name, value));
                }
            }
        });
        return checked(new KeptForm(request.getRequestURI(), fields));
    }

    private static boolean isForm(HttpServletRequest request) {
        return request.getContentType() != null
                && MediaType.APPLICATION_FORM_URLENCODED.isCompatibleWith(
                        MediaType.parseMediaType(request.getContentType()));
    }

    /** Browsers say from which page a form comes; what another site sends is never laid before anybody. */
    private static boolean isOurs(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        if (site != null) {
            return site.equals("same-origin");
        }
        try {
            return origin != null
                    && request.getHeader(HttpHeaders.HOST) != null
                    && request.getHeader(HttpHeaders.HOST)
                            .equalsIgnoreCase(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException noAddress) {
            return false;
        }
    }

    private static Optional<KeptForm> checked(KeptForm form) {
        long letters = form.fields.stream()
                .mapToLong(field -> field.name().length() + field.value().length())
                .sum();
        return OURS.matcher(form.action).matches() && form.fields.size() <= MOST_FIELDS && letters <= LONGEST
                ? Optional.of(form)
                : Optional.empty();
    }

    /** The one that a sign-in page brings back. */
    static Optional<KeptForm> broughtBack(HttpServletRequest request) {
        String text = request.getParameter(FIELD);
        if (text == null || text.isEmpty()) {
            return Optional.empty();
        }
        try {
            return checked(JSON.readValue(text, KeptForm.class));
        } catch (JacksonException | NullPointerException tampered) {
            return Optional.empty();
        }
    }

    String json() {
        return JSON.writeValueAsString(this);
    }
}
