package idlebough.app.account;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpMethod;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.stereotype.Component;

/** What comes without a session, or with the token of another one: asked to sign in, and nothing typed is lost. */
@Component
class Refused implements AccessDeniedHandler, AuthenticationEntryPoint {
    static final String SIGN_IN = "/sign-in/again";
    static final String SEND = "/again";
    private final AuthenticationEntryPoint asks = new LoginUrlAuthenticationEntryPoint("/sign-in");

    /** No token, or not the one of this session. */
    @Override
    public void handle(HttpServletRequest request, HttpServletResponse response, AccessDeniedException denied)
            throws IOException, ServletException {
        Optional<KeptForm> form = KeptForm.of(request);
        boolean signedIn = SecurityContextHolder.getContext().getAuthentication() != null;
        if (form.isPresent()) {
            lay(request, response, form.get(), signedIn ? SEND : SIGN_IN);
        } else {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
        }
    }

    /** Nobody is signed in. */
    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException nobody)
            throws IOException, ServletException {
        Optional<KeptForm> form = KeptForm.of(request);
        if (form.isPresent()) {
            lay(request, response, form.get(), SIGN_IN);
        } else if (request.getMethod().equals(HttpMethod.POST.name())) {
            // Not led to a page: whoever sent it would take that for an answer.
            request.getRequestDispatcher(SIGN_IN).forward(request, status(response));
        } else {
            asks.commence(request, response, nobody);
        }
    }

    private static HttpServletResponse status(HttpServletResponse response) {
        response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
        return response;
    }

    private static void lay(HttpServletRequest request, HttpServletResponse response, KeptForm form, String page)
            throws IOException, ServletException {
        request.setAttribute(KeptForm.OF_REQUEST, form);
        RequestDispatcher dispatcher = request.getRequestDispatcher(page);
        dispatcher.forward(request, page.equals(SIGN_IN) ? status(response) : response);
    }
}
