package idlebough.app.account;

import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import idlebough.app.web.Fields;
import idlebough.app.web.Reader;
import idlebough.app.web.SignedIn;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Sign-up, sign-in, and how a person reads figures. */
@Controller
public class AccountController {
    /** The sign-in name of the demo account, which only a demo start has. */
    public static final String DEMO = "maren";
    /** Offered locales: they decide the decimal sign. */
    private static final Map<String, String> LOCALES = Map.of(
            "en-GB",
            "2.5 (point)",
            "en-US",
            "2.5 (point, US)",
            "de-DE",
            "2,5 (comma)",
            "fr-FR",
            "2,5 (virgule)",
            "pt-BR",
            "2,5 (vírgula)");

    private final AccountService service;
    private final AccountMapper accounts;
    private final SecurityContextRepository contexts;
    private final boolean demo;

    AccountController(
            AccountService service,
            AccountMapper accounts,
            SecurityContextRepository contexts,
            Environment environment) {
        this.service = service;
        this.accounts = accounts;
        this.contexts = contexts;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    @GetMapping("/sign-in")
    String signIn(Model model, @RequestParam Map<String, String> asked) {
        model.addAttribute("demo", demo);
        model.addAttribute("out", asked.containsKey("out"));
        return "account/sign-in";
    }

    /** Led to from within: after a wrong password, or when a form came after its session had ended. */
    @PostMapping(Refused.SIGN_IN)
    String signInAgain(
            Model model,
            @RequestParam(name = "name", defaultValue = "") String typed,
            @RequestAttribute(name = SecurityConfig.TROUBLE, required = false) String trouble,
            @RequestAttribute(name = KeptForm.OF_REQUEST, required = false) KeptForm kept) {
        model.addAttribute("demo", demo);
        model.addAttribute("typed", trouble == null ? "" : typed);
        model.addAttribute("trouble", trouble);
        model.addAttribute("kept", kept == null ? null : kept.json());
        return "account/sign-in";
    }

    /** Led to from within: a form that came with no session, or with another one, to be sent once more. */
    @PostMapping(Refused.SEND)
    String sendAgain(
            Reader reader, Model model, @RequestAttribute(name = KeptForm.OF_REQUEST, required = false) KeptForm kept) {
        model.addAttribute("kept", kept);
        return kept == null ? "redirect:/" : "account/again";
    }

    @GetMapping("/sign-up")
    String signUp(Model model, Locale locale) {
        Fields fields = Fields.blank(new Display(UnitSystem.METRIC, Locale.UK))
                .put("units", locale.getCountry().equals("US") ? "US" : "METRIC")
                .put("locale", "en-GB");
        model.addAttribute("fields", fields);
        model.addAttribute("locales", LOCALES);
        return "account/sign-up";
    }

    @PostMapping("/sign-up")
    String signUp(
            Model model,
            @RequestParam Map<String, String> typed,
            HttpServletRequest request,
            HttpServletResponse response) {
        Fields fields = new Fields(typed, new Display(UnitSystem.METRIC, Locale.UK));
        String signIn = fields.words("name", 80);
        String person = fields.words("person", 120);
        UnitSystem units = fields.choice("units", UnitSystem.class);
        Passwords.complaint(fields.value("password"), List.of(signIn, person))
                .ifPresent(complaint -> fields.complain("password", complaint));
        if (!fields.wrong()) {
            Account account = service.signUp(signIn, person, fields.value("password"), units, locale(fields));
            if (account != null) {
                enter(account, request, response);
                return "redirect:/";
            }
            fields.complain("name", "Somebody signs in by this name already; choose another.");
        }
        fields.put("password", "");
        model.addAttribute("fields", fields);
        model.addAttribute("locales", LOCALES);
        return "account/sign-up";
    }

    private static String locale(Fields fields) {
        return LOCALES.containsKey(fields.value("locale")) ? fields.value("locale") : "en-GB";
    }

    private void enter(Account account, HttpServletRequest request, HttpServletResponse response) {
        SignedIn principal = new SignedIn(account);
        principal.eraseCredentials();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(principal, null, List.of()));
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        contexts.saveContext(context, request, response);
    }

    /** The one button of a demo start. */
    @PostMapping("/demo")
    String demo(HttpServletRequest request, HttpServletResponse response) {
        Account account = demo ? service.find(DEMO) : null;
        if (account == null) {
            return "redirect:/sign-in";
        }
        enter(account, request, response);
        return "redirect:/";
    }

    @GetMapping("/account")
    String settings(Reader reader, Model model) {
        Account account = accounts.byId(reader.accountId());
        model.addAttribute(
                "fields",
                Fields.blank(reader.display())
                        .put("person", account.name())
                        .put("units", account.units())
                        .put("locale", account.locale()));
        model.addAttribute("locales", LOCALES);
        return "account/settings";
    }

    @PostMapping("/account")
    String settings(Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Fields fields = new Fields(typed, reader.display());
        String person = fields.words("person", 120);
        UnitSystem units = fields.choice("units", UnitSystem.class);
        if (fields.wrong()) {
            model.addAttribute("fields", fields);
            model.addAttribute("locales", LOCALES);
            return "account/settings";
        }
        accounts.update(reader.accountId(), person, units, locale(fields));
        return "redirect:/account?saved";
    }

    /** Another password; every other session ends, this one goes on. */
    @PostMapping("/account/password")
    String password(
            Reader reader,
            Model model,
            RedirectAttributes told,
            @RequestParam Map<String, String> typed,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account account = accounts.byId(reader.accountId());
        Fields fields = new Fields(typed, reader.display());
        if (!service.proves(account, fields.value("now"))) {
            fields.complain("now", "This is not the password that you sign in with.");
        }
        Passwords.complaint(fields.value("next"), List.of(account.signIn(), account.name()))
                .ifPresent(complaint -> fields.complain("next", complaint));
        if (!fields.wrong()) {
            enter(service.change(account, fields.value("next")), request, response);
            told.addFlashAttribute(
                    "told", "Your password is changed. Wherever else you were signed in, you are not any more.");
            return "redirect:/account";
        }
        Fields again = Fields.blank(reader.display())
                .put("person", account.name())
                .put("units", account.units())
                .put("locale", account.locale());
        for (String field : List.of("now", "next")) {
            if (fields.complaint(field) != null) {
                again.complain(field, fields.complaint(field));
            }
        }
        model.addAttribute("fields", again);
        model.addAttribute("locales", LOCALES);
        return "account/settings";
    }

    /** The switch in the header. */
    @PostMapping("/account/units")
    String units(Reader reader, @RequestParam UnitSystem units, @RequestParam(defaultValue = "/") String back) {
        Account account = accounts.byId(reader.accountId());
        accounts.update(account.id(), account.name(), units, account.locale());
        return "redirect:" + (back.matches("/[A-Za-z0-9/?=&_.%+-]*") && !back.startsWith("//") ? back : "/");
    }
}
