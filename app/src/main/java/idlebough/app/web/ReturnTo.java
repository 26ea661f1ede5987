package idlebough.app.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;

/** A form of a list leads back to the list, wherever its own page would lead: the page that it came from says so. */
final class ReturnTo implements HandlerInterceptor {
    /** The hidden field of such forms: a page of the orchard. */
    static final String FIELD = "_back";

    private static final Pattern TO_AN_ORCHARD = Pattern.compile("(redirect:/orchards/[^/]+/).*");

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView answer) {
        if (answer == null || answer.getViewName() == null) {
            return;
        }
        // Only an answer that leads on is asked for its field: a request that could not be read throws at the question.
        Matcher led = TO_AN_ORCHARD.matcher(answer.getViewName());
        if (led.matches() && request.getParameter(FIELD) != null) {
            answer.setViewName(led.group(1) + Pages.back(request.getParameter(FIELD)));
        }
    }
}
