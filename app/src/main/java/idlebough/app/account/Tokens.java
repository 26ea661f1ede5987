package idlebough.app.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.DefaultCsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/**
 * The tokens that tell our forms from those of other sites. Of somebody who is signed in it follows from the session's id
 * alone: nothing is stored, two tabs have the same, and it ends with the session. Before that it is a cookie that we
 * signed, so that no neighbouring site can plant one.
 */
@Component
class Tokens implements CsrfTokenRepository {
    private static final String COOKIE = "bough-form";
    private static final String FIELD = "_csrf";
    private static final String HEADER = "X-CSRF-TOKEN";
    private final Seal seal;
    private final boolean secure;

    Tokens(Seal seal, @Value("${bough.secure-cookies:false}") boolean secure) {
        this.seal = seal;
        this.secure = secure;
    }

    private static Optional<HttpSession> session(HttpServletRequest request) {
        return Optional.ofNullable(request.getSession(false))
                .filter(session ->
                        session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY) != null);
    }

    private Optional<String> ofSession(HttpServletRequest request) {
        return session(request).map(session -> seal.sign("form of a session", session.getId()));
    }

    private Optional<String> ofCookie(HttpServletRequest request) {
        return Optional.ofNullable(WebUtils.getCookie(request, COOKIE))
                .map(Cookie::getValue)
                .filter(value -> {
                    String[] part = value.split("\\.", 2);
                    return part.length == 2 && seal.signed("form of a stranger", part[0], part[1]);
                });
    }

    private static CsrfToken token(String value) {
        return new DefaultCsrfToken(HEADER, FIELD, value);
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return ofSession(request).map(Tokens::token).orElseGet(() -> {
            String random = UUID.randomUUID().toString();
            return token(random + "." + seal.sign("form of a stranger", random));
        });
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        if (session(request).isPresent()) {
            return;
        }
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, token == null ? "" : token.getToken())
                        .httpOnly(true)
                        .secure(secure)
                        .sameSite("Lax")
                        .path("/")
                        .maxAge(token == null ? 0 : -1)
                        .build()
                        .toString());
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return ofSession(request).or(() -> ofCookie(request)).map(Tokens::token).orElse(null);
    }
}
