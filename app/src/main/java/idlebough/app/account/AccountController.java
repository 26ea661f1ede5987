package idlebough.app.account;

import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import idlebough.app.store.Head;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Right;
import idlebough.app.web.Fields;
import idlebough.app.web.Reader;
import idlebough.app.web.SignedIn;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
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

    private static final String NOT_YOURS = "This is not the password that you sign in with.";

    private final AccountService service;
    private final AccountMapper accounts;
    private final OrchardMapper orchards;
    private final Throttle throttle;
    private final SecurityContextRepository contexts;
    private final boolean demo;

    AccountController(
            AccountService service,
            AccountMapper accounts,
            OrchardMapper orchards,
            Throttle throttle,
            SecurityContextRepository contexts,
            Environment environment) {
        this.service = service;
        this.accounts = accounts;
        this.orchards = orchards;
        this.throttle = throttle;
        this.contexts = contexts;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    @GetMapping("/sign-in")
    String signIn(Model model, @RequestParam Map<String, String> asked) {
        model.addAttribute("demo", demo);
        model.addAttribute("out", asked.containsKey("out"));
        model.addAttribute("left", asked.containsKey("left"));
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
        if (!fields.wrong() && !throttle.maySignUp(request.getRemoteAddr())) {
            fields.complain(
                    "name", "Too many accounts were asked for from here just now. Try again in a quarter of an hour.");
        }
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
        SecurityContextHolder.setContext(context);
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
        Optional<KeptForm> kept = KeptForm.broughtBack(request);
        kept.ifPresent(form -> request.setAttribute(KeptForm.OF_REQUEST, form));
        return kept.isPresent() ? "forward:" + Refused.SEND : "redirect:/";
    }

    @GetMapping("/account")
    String settings(Reader reader, Model model) {
        return settings(reader, model, Map.of());
    }

    /** @param complaints beside the fields for passwords, which are never shown again */
    private String settings(Reader reader, Model model, Map<String, String> complaints) {
        Account account = accounts.byId(reader.accountId());
        Fields fields = Fields.blank(reader.display())
                .put("person", account.name())
                .put("units", account.units())
                .put("locale", account.locale());
        complaints.forEach(fields::complain);
        return page(reader, model, fields);
    }

    private String page(Reader reader, Model model, Fields fields) {
        model.addAttribute("fields", fields);
        model.addAttribute("locales", LOCALES);
        model.addAttribute(
                "owned",
                orchards.mine(reader.accountId()).stream()
                        .filter(orchard -> orchard.role().may(Right.GOVERN))
                        .map(Head::name)
                        .toList());
        return "account/settings";
    }

    @PostMapping("/account")
    String settings(Reader reader, Model model, @RequestParam Map<String, String> typed, RedirectAttributes told) {
        Fields fields = new Fields(typed, reader.display());
        String person = fields.words("person", 120);
        UnitSystem units = fields.choice("units", UnitSystem.class);
        if (fields.wrong()) {
            return page(reader, model, fields);
        }
        accounts.update(reader.accountId(), person, units, locale(fields));
        told.addFlashAttribute("told", "Saved.");
        return "redirect:/account";
    }

    /** Another password; every other session ends, this one goes on. */
    @PostMapping("/account/password")
    String password(
            Reader reader,
            Model model,
            RedirectAttributes told,
            @RequestParam(defaultValue = "") String now,
            @RequestParam(defaultValue = "") String next,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account account = accounts.byId(reader.accountId());
        Map<String, String> complaints = new LinkedHashMap<>();
        if (!service.proves(account, now)) {
            complaints.put("now", NOT_YOURS);
        }
        Passwords.complaint(next, List.of(account.signIn(), account.name()))
                .ifPresent(complaint -> complaints.put("next", complaint));
        if (!complaints.isEmpty()) {
            return settings(reader, model, complaints);
        }
        enter(service.change(account, next), request, response);
        told.addFlashAttribute(
                "told", "Your password is changed. Wherever else you were signed in, you are not any more.");
        return "redirect:/account";
    }

    /** The account and its orchards, for good. */
    @PostMapping("/account/leave")
    String leave(
            Reader reader,
            Model model,
            @RequestParam(defaultValue = "") String sure,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account account = accounts.byId(reader.accountId());
        if (!service.proves(account, sure)) {
            return settings(reader, model, Map.of("sure", NOT_YOURS));
        }
        service.leave(account);
        new SecurityContextLogoutHandler()
                .logout(request, response, SecurityContextHolder.getContext().getAuthentication());
        return "redirect:/sign-in?left";
    }

    /** How good a password is, in words, while it is typed. */
    @PostMapping(path = "/strength", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    @ResponseBody
    String strength(@RequestParam(defaultValue = "") String password, @RequestParam(defaultValue = "") String own) {
        return Passwords.words(password, List.of(own.split("\n")));
    }

    /** The switch in the header. */
    @PostMapping("/account/units")
    String units(Reader reader, @RequestParam UnitSystem units, @RequestParam(defaultValue = "/") String back) {
        Account account = accounts.byId(reader.accountId());
        accounts.update(account.id(), account.name(), units, account.locale());
        return "redirect:" + (back.matches("/[A-Za-z0-9/?=&_.%+-]{0,300}") && !back.startsWith("//") ? back : "/");
    }
}
