package idlebough.app.account;

import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import idlebough.app.web.SignedIn;
import idlebough.app.web.StillWelcome;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Map;
import java.util.Objects;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
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
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.savedrequest.CookieRequestCache;

/** Who may ask for what. Nothing inline, nothing from elsewhere; the session only for those signed in. */
@Configuration
public class SecurityConfig {
    private static final String POLICY =
            "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; "
                    + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final Logger LOG = LoggerFactory.getLogger(SecurityConfig.class);

    /** The name of the session under which a name is kept that was typed with a wrong password. */
    static final String TYPED = "idlebough.typed";

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http, SecurityContextRepository contexts, KnownDevice devices, AccountMapper accounts)
            throws Exception {
        SavedRequestAwareAuthenticationSuccessHandler onward = new SavedRequestAwareAuthenticationSuccessHandler();
        onward.setRequestCache(new CookieRequestCache());
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieCustomizer(cookie -> cookie.httpOnly(true).sameSite("Lax"));
        // The provider is the global one: given here too, it would be asked twice for every wrong password.
        http.addFilterBefore(new StillWelcome(accounts), AnonymousAuthenticationFilter.class)
                .securityContext(c -> c.securityContextRepository(contexts))
                .authorizeHttpRequests(a -> a.requestMatchers(
                                "/sign-in",
                                "/sign-up",
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
                            onward.onAuthenticationSuccess(request, response, who);
                        })
                        .failureHandler((request, response, failure) -> {
                            if (failure instanceof InternalAuthenticationServiceException) {
                                response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
                                return;
                            }
                            LOG.warn("Sign-in failed from {}", request.getRemoteAddr());
                            // The name that was typed is kept for one page, not in an address that is logged.
                            request.getSession().setAttribute(TYPED, request.getParameter("name"));
                            response.sendRedirect(request.getContextPath()
                                    + (failure instanceof LockedException ? "/sign-in?held" : "/sign-in?wrong"));
                        }))
                .logout(l -> l.logoutUrl("/sign-out")
                        .logoutSuccessUrl("/sign-in?out")
                        .deleteCookies("bough"))
                .requestCache(c -> c.requestCache(new CookieRequestCache()))
                // A station has no session to ride on; its key is in a header that no other site can set.
                .csrf(c -> c.csrfTokenRepository(tokens).ignoringRequestMatchers("/readings"))
                .headers(h -> h.contentSecurityPolicy(p -> p.policyDirectives(POLICY))
                        .referrerPolicy(r -> r.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.SAME_ORIGIN)));
        return http.build();
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
