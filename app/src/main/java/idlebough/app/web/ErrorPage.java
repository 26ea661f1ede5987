package idlebough.app.web;

import idlebough.app.database.DatabaseFault;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** What went wrong before a controller of ours was asked, or after it had answered, in a sentence on a page of ours. */
@Controller
public class ErrorPage implements ErrorController {
    @RequestMapping("/error")
    String error(HttpServletRequest request, Model model) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        return switch (status instanceof Integer code ? code : 0) {
            case 403 ->
                Troubles.say(
                        model,
                        "This was not sent from a page of ours, or the page was too old.",
                        "Go back, load the page again and send it once more.");
            case 404 ->
                Troubles.say(
                        model,
                        "There is nothing at this address.",
                        "It may have been moved, or it belongs to someone else.");
            case 413 -> Troubles.tooLargeFor(model);
            case 507 -> Troubles.faultFor(model, DatabaseFault.FULL);
            case 503 -> Troubles.faultFor(model, DatabaseFault.DOWN);
            case 500 -> Troubles.wentWrong(model, request);
            default -> Troubles.say(model, "This went wrong.", "Go back, or start from your orchards.");
        };
    }
}
