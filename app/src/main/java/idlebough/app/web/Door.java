package idlebough.app.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.regex.Pattern;
import org.springframework.web.servlet.HandlerInterceptor;

/** Signs that no paper, drawing or calendar can hold are refused where they come in, once for all fields. */
final class Door implements HandlerInterceptor {
    /** Controls beside line ends and tabs, halves of pairs, and what is no character (XML 1.0, 2.2). */
    private static final Pattern NO_TEXT = Pattern.compile("[\\p{Cntrl}&&[^\\r\\n\\t]]|\\p{Cs}|[\\uFFFE\\uFFFF]");

    /** What no page can show. */
    static final class NoText extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NoText(String field) {
            super("In " + field);
        }
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof org.springframework.web.method.HandlerMethod method
                && method.getBeanType() == ErrorPage.class) {
            return true;
        }
        request.getParameterMap().forEach((name, values) -> {
            for (String value : values) {
                if (NO_TEXT.matcher(value).find()) {
                    throw new NoText(name);
                }
            }
        });
        return true;
    }
}
