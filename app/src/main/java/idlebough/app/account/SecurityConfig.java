package idlebough.app.account;

import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import idlebough.app.web.SignedIn;
import idlebough.app.web.StillWelcome;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter;
import org.springframework.security.web.savedrequest.CookieRequestCache;

/** Who may ask for what. Nothing inline, nothing from elsewhere; the session only for those signed in. */
@Configuration
public class SecurityConfig {
    private static final String POLICY =
            "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; "
                    + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final String HELD = "Too many wrong passwords for this name. Wait half a minute, then try again; it "
            + "takes longer each time.";
    private static final String WRONG = "Name and password do not fit together.";

    private static final Logger LOG = LoggerFactory.getLogger(SecurityConfig.class);

    /** The attribute of a request that says why nobody was let in. */
    static final String TROUBLE = "idlebough.trouble";

    private static final String PERMISSIONS = "accelerometer=(), autoplay=(), camera=(), display-capture=(), "
            + "encrypted-media=(), fullscreen=(self), geolocation=(self), gyroscope=(), hid=(), magnetometer=(), "
            + "microphone=(), midi=(), payment=(), serial=(), usb=()";

    private static final Duration A_YEAR = Duration.ofDays(365);

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            SecurityContextRepository contexts,
            KnownDevice devices,
            AccountMapper accounts,
            Tokens tokens,
            Refused refused)
            throws Exception {
        SavedRequestAwareAuthenticationSuccessHandler onward = new SavedRequestAwareAuthenticationSuccessHandler();
        onward.setRequestCache(new CookieRequestCache());
        // The provider is the global one: given here too, it would be asked twice for every wrong password.
        http.addFilterBefore(new StillWelcome(accounts), AnonymousAuthenticationFilter.class)
                .securityContext(c -> c.securityContextRepository(contexts))
                .authorizeHttpRequests(a -> a.requestMatchers(
                                "/sign-in",
                                Refused.SIGN_IN,
                                "/sign-up",
                                "/strength",
                                "/demo",
                                "/readings",
                                "/error",
                                "/alive",
                                "/favicon.svg",
                                "/css/**",
                                "/js/**",
                                "/vendor/**")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter("name")
                        .authenticationDetailsSource(request -> devices.made(
                                request, SignInName.of(Objects.toString(request.getParameter("name"), ""))))
                        .successHandler((request, response, who) -> {
                            devices.remember(request, response, SignInName.of(who.getName()));
                            Optional<KeptForm> kept = KeptForm.broughtBack(request);
                            if (kept.isPresent()) {
                                request.setAttribute(KeptForm.OF_REQUEST, kept.get());
                                request.getRequestDispatcher(Refused.SEND).forward(request, response);
                            } else {
                                onward.onAuthenticationSuccess(request, response, who);
                            }
                        })
                        .failureHandler((request, response, failure) -> {
                            if (failure instanceof InternalAuthenticationServiceException) {
                                response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
                                return;
                            }
                            LOG.warn("Sign-in failed from {}", request.getRemoteAddr());
                            boolean held = failure instanceof LockedException;
                            response.setStatus(
                                    held ? HttpStatus.TOO_MANY_REQUESTS.value() : HttpStatus.UNAUTHORIZED.value());
                            request.setAttribute(TROUBLE, held ? HELD : WRONG);
                            KeptForm.broughtBack(request)
                                    .ifPresent(kept -> request.setAttribute(KeptForm.OF_REQUEST, kept));
                            // Answered at once: neither the name nor the form that waits stands in an address.
                            request.getRequestDispatcher(Refused.SIGN_IN).forward(request, response);
                        }))
                .logout(l -> l.logoutUrl("/sign-out")
                        .logoutSuccessUrl("/sign-in?out")
                        .deleteCookies(SessionConfig.COOKIE))
                .requestCache(c -> c.requestCache(new CookieRequestCache()))
                // A station has no session to ride on; its key is in a header that no other site can set.
                .csrf(c -> c.csrfTokenRepository(tokens).ignoringRequestMatchers("/readings"))
                .exceptionHandling(e -> e.accessDeniedHandler(refused).authenticationEntryPoint(refused))
                .headers(h -> h.contentSecurityPolicy(p -> p.policyDirectives(POLICY))
                        .permissionsPolicyHeader(p -> p.policy(PERMISSIONS))
                        .crossOriginOpenerPolicy(
                                p -> p.policy(CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(p ->
                                p.policy(CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy.SAME_ORIGIN))
                        // Other names of the same domain may be somebody else's.
                        .httpStrictTransportSecurity(
                                p -> p.includeSubDomains(false).maxAgeInSeconds(A_YEAR.toSeconds()))
                        .referrerPolicy(r -> r.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)));
        return http.build();
    }

    /** Health and figures of the running program: on a port of their own that only this machine reaches, or nowhere. */
    @Bean
    @Order(0)
    SecurityFilterChain watched(HttpSecurity http) throws Exception {
        return http.securityMatcher(EndpointRequest.toAnyEndpoint())
                .authorizeHttpRequests(a -> a.anyRequest().permitAll())
                .csrf(c -> c.disable())
                .build();
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        // What was stored before has no prefix and is BCrypt; it is taken over at the next sign-in.
        DelegatingPasswordEncoder encoder = new DelegatingPasswordEncoder(
                "argon2", Map.of("argon2", Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8()));
        encoder.setDefaultPasswordEncoderForMatches(new BCryptPasswordEncoder(11));
        return encoder;
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    UserDetailsService users(AccountMapper accounts) {
        return name -> {
            Account account = accounts.bySignIn(SignInName.of(name));
            if (account == null) {
                throw new UsernameNotFoundException("unknown");
            }
            return new SignedIn(account);
        };
    }

    @Bean
    AuthenticationProvider provider(
            UserDetailsService users, PasswordEncoder encoder, Throttle throttle, AccountMapper accounts) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(users) {
            @Override
            public Authentication authenticate(Authentication attempt) {
                Throttle.Try made = attempt.getDetails() instanceof Throttle.Try known
                        ? known
                        : new Throttle.Try(SignInName.of(attempt.getName()), "", "");
                if (!throttle.begin(made)) {
                    throw new LockedException("held back");
                }
                Authentication proved = super.authenticate(attempt);
                throttle.succeeded(made);
                // From where it came belongs to the try and not into the session.
                ((AbstractAuthenticationToken) proved).setDetails("");
                return proved;
            }
        };
        provider.setPasswordEncoder(encoder);
        provider.setUserDetailsPasswordService((user, hash) -> {
            accounts.rehash(((SignedIn) user).accountId(), hash);
            return user;
        });
        return provider;
    }
}
