package idlebough.app.web;

import idlebough.app.store.AccountMapper;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.logout.SecurityContextLogoutHandler;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session whose password was changed elsewhere, at its next request. */
public final class StillWelcome extends OncePerRequestFilter {
    private final AccountMapper accounts;

    public StillWelcome(AccountMapper accounts) {
        this.accounts = accounts;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().matches("/(css|js|vendor)/.*|/favicon.svg|/alive|/readings");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication known = SecurityContextHolder.getContext().getAuthentication();
        if (known != null
                && known.getPrincipal() instanceof SignedIn signedIn
                && !signedIn.isStillWelcome(accounts.byId(signedIn.accountId()))) {
            new SecurityContextLogoutHandler().logout(request, response, known);
        }
        chain.doFilter(request, response);
    }
}
