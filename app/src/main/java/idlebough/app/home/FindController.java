package idlebough.app.home;

import idlebough.app.store.Scope;
import idlebough.app.web.Finder;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Finds things of an orchard by their names. */
@Controller
public class FindController {
    private final Pages pages;

    FindController(Pages pages) {
        this.pages = pages;
    }

    /** @param list whether only the hits are wanted, for the open dialog */
    @GetMapping("/orchards/{orchard}/find")
    String find(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "false") boolean list) {
        PlanView plan = list ? pages.beside(scope) : pages.open(model, scope, null);
        model.addAttribute("base", "/orchards/" + scope.orchard());
        model.addAttribute("q", q);
        model.addAttribute("hits", Finder.find(plan, q));
        return list ? "home/find :: hits" : "home/find";
    }
}
