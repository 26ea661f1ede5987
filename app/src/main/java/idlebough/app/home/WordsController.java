package idlebough.app.home;

import idlebough.app.web.Reader;
import idlebough.app.web.Terms;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The grower's words on one page. */
@Controller
public class WordsController {
    @GetMapping("/words")
    String words(Reader reader, Model model) {
        model.addAttribute("terms", Terms.in(reader));
        return "home/words";
    }
}
