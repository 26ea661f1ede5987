package idlebough.app.web;

import idlebough.app.database.DatabaseFault;
import idlebough.app.store.LostRace;
import idlebough.app.store.NotAllowed;
import idlebough.app.store.NotFound;
import idlebough.app.store.StillNeeded;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.catalina.connector.ClientAbortException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** What goes wrong, in a sentence on a page of our own; the log names the request, the page never shows a trace. */
@ControllerAdvice
public class Troubles {
    static final String INCIDENT = "idlebough.incident";
    private static final Pattern FORM_OF = Pattern.compile("(/orchards/[^/]+)/([a-z]+).*");
    private static final Set<String> OF_THE_WHOLE = Set.of("rename", "copy", "delete", "restore");
    private static final Logger LOG = LoggerFactory.getLogger(Troubles.class);

    @ExceptionHandler({NotFound.class, NoResourceFoundException.class, MethodArgumentTypeMismatchException.class})
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notFound(Model model) {
        return say(
                model, "There is nothing at this address.", "It may have been moved, or it belongs to someone else.");
    }

    /** The address of a form that was only sent to, entered anew: the page that has the form. */
    private static String pageOf(String path) {
        Matcher orchard = FORM_OF.matcher(path);
        if (!orchard.matches()) {
            return path.startsWith("/account") ? "/account" : path.startsWith("/sign") ? "/sign-in" : "/";
        }
        String room = orchard.group(2);
        boolean known =
                Arrays.stream(StagePage.values()).anyMatch(page -> page.path().equals(room));
        return known || room.equals("ways")
                ? orchard.group(1) + "/" + room
                : OF_THE_WHOLE.contains(room) ? "/" : orchard.group(1) + "/history";
    }

    @ExceptionHandler({
        MissingServletRequestParameterException.class,
        MissingServletRequestPartException.class,
        MultipartException.class,
        BadInput.class
    })
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String incomplete(Model model, Exception trouble) {
        LOG.info("Incomplete request: {}", trouble.getMessage());
        return say(
                model,
                "Something was missing from what was sent.",
                "Go back, look at the form once more and send it again; nothing was changed.");
    }

    @ExceptionHandler({Door.NoText.class, InvalidParameterException.class})
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String noText(Model model, Exception trouble) {
        LOG.info("Not readable: {}", trouble.getMessage());
        return say(
                model,
                "There is a sign in it that no page can show.",
                "It may have come along with something that was copied. Go back, type that field anew and send it once "
                        + "more; nothing was changed.");
    }

    /** The second to save sees both values and decides; nothing was overwritten. */
    @ExceptionHandler(LostRace.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String raced(Model model, LostRace race, HttpServletRequest request) {
        Display display = request.getAttribute(Reader.SHOWN_IN) instanceof Display shown
                ? shown
                : new Display(UnitSystem.METRIC, Locale.UK);
        model.addAttribute("lines", Conflicts.lines(race, display));
        model.addAttribute("again", Conflicts.again(race, request));
        model.addAttribute("action", request.getRequestURI());
        model.addAttribute("leave", leave(request.getRequestURI()));
        // The form below carries a stamp of its own.
        request.removeAttribute(StampedForms.SHOWN);
        return say(model, "Someone else changed this meanwhile.", "Nothing was overwritten. Both values stand below.");
    }

    /** The stage to which an address belongs. */
    private static String leave(String address) {
        String[] part = address.split("/");
        return part.length < 4 ? "/" : "/" + part[1] + "/" + part[2] + "/" + (known(part[3]) ? part[3] : "history");
    }

    private static boolean known(String path) {
        return Arrays.stream(StagePage.values()).anyMatch(page -> page.path().equals(path));
    }

    @ExceptionHandler(NotAllowed.class)
    @ResponseStatus(HttpStatus.FORBIDDEN)
    String notAllowed(Model model, NotAllowed refused) {
        LOG.warn("Refused to a {}: {}", refused.role().word(), refused.getMessage());
        return say(
                model,
                "You may not change this.",
                "You are a " + refused.role().word()
                        + " of this orchard; its owner decides who may do what. Nothing was changed.");
    }

    /** Undoing, or taking away, what the plan still speaks of. */
    @ExceptionHandler(StillNeeded.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String stillNeeded(Model model, StillNeeded needed) {
        return say(model, "The plan still speaks of it.", needed.getMessage() + " Nothing was changed.");
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(Model model) {
        return tooLargeFor(model);
    }

    static String tooLargeFor(Model model) {
        return say(
                model,
                "This file is larger than 40 MB.",
                "Thirty years of daily temperatures, or a boundary, take far less; look whether it is the right "
                        + "file. Nothing was stored.");
    }

    @ExceptionHandler({HttpRequestMethodNotSupportedException.class, HttpMediaTypeNotSupportedException.class})
    String otherwise(Model model, HttpServletRequest request, HttpServletResponse response) {
        if (request.getMethod().equals("GET")) {
            return "redirect:" + pageOf(request.getRequestURI());
        }
        response.setStatus(HttpStatus.METHOD_NOT_ALLOWED.value());
        return say(
                model,
                "This address is not asked for in this way.",
                "It takes a form of ours, or only shows a page. Nothing was changed.");
    }

    @ExceptionHandler(HttpMediaTypeNotAcceptableException.class)
    @ResponseStatus(HttpStatus.NOT_ACCEPTABLE)
    String otherForm(Model model) {
        return say(model, "This is not to be had in that form.", "A table comes as CSV, a page as HTML.");
    }

    /** Whoever asked has gone; there is nobody to tell. */
    @ExceptionHandler({AsyncRequestNotUsableException.class, ClientAbortException.class})
    void gone(HttpServletResponse response) {}

    @ExceptionHandler(Exception.class)
    String failed(Model model, Exception trouble, HttpServletRequest request, HttpServletResponse response) {
        Optional<DatabaseFault> fault = DatabaseFault.behind(trouble);
        if (fault.isPresent() && fault.get() == DatabaseFault.NO_ID) {
            response.setStatus(HttpStatus.NOT_FOUND.value());
            return notFound(model);
        }
        if (fault.isPresent()) {
            LOG.warn("The database: {}, {}", fault.get(), trouble.getMessage());
            response.setStatus(statusOf(fault.get()).value());
            return faultFor(model, fault.get());
        }
        LOG.error("Incident", trouble);
        response.setStatus(HttpStatus.INTERNAL_SERVER_ERROR.value());
        return wentWrong(model, request);
    }

    private static HttpStatus statusOf(DatabaseFault fault) {
        return fault == DatabaseFault.FULL ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
    }

    static String faultFor(Model model, DatabaseFault fault) {
        return fault == DatabaseFault.FULL
                ? say(
                        model,
                        "The disk of this server is full.",
                        "Nothing was stored. What you had saved is safe and can be read; go back, and save again when "
                                + "there is room.")
                : say(
                        model,
                        "The database does not answer just now.",
                        "It is started again by itself; what you had saved is safe. Go back in a few seconds and try "
                                + "once more.");
    }

    static String wentWrong(Model model, HttpServletRequest request) {
        return say(
                model,
                "This went wrong on our side.",
                "What you had saved before is safe. Go back and try once more; the server's log has the details under"
                        + " incident " + request.getAttribute(INCIDENT) + ".");
    }

    static String say(Model model, String what, String then) {
        model.addAttribute("what", what);
        model.addAttribute("then", then);
        return "error";
    }

    /** Names every request in the log. */
    @Component
    @Order(Ordered.HIGHEST_PRECEDENCE)
    static class RequestName extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            String incident = Long.toString(System.nanoTime() & 0xffffffL, 36);
            request.setAttribute(INCIDENT, incident);
            MDC.put("request", incident + " " + request.getMethod() + " " + request.getRequestURI());
            try {
                chain.doFilter(request, response);
            } catch (InvalidParameterException unreadable) {
                if (unreadable.getErrorCode() == HttpStatus.CONTENT_TOO_LARGE.value()) {
                    throw unreadable;
                }
                // Before any page: one of ours asks for fields as well.
                response.setStatus(HttpStatus.BAD_REQUEST.value());
                response.setContentType(MediaType.TEXT_PLAIN_VALUE);
                response.getWriter().print("What was sent cannot be read.");
            } catch (RuntimeException | ServletException trouble) {
                // The session is read, and stored, outside of any controller.
                Optional<DatabaseFault> fault = DatabaseFault.behind(trouble);
                if (fault.isEmpty() || response.isCommitted()) {
                    throw trouble;
                }
                LOG.warn("The database: {}, {}", fault.get(), trouble.getMessage());
                response.sendError(statusOf(fault.get()).value());
            } finally {
                MDC.remove("request");
            }
        }
    }
}
