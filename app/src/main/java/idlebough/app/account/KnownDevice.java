package idlebough.app.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Arrays;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** Knows a browser again on which a name has signed in before: a signed cookie that allows nothing but to try. */
@Component
class KnownDevice {
    private static final String COOKIE = "bough-device";
    private static final Duration KEPT = Duration.ofDays(365);
    private static final String USE = "known device";
    private final Seal seal;
    private final boolean secure;

    KnownDevice(Seal seal, @Value("${bough.secure-cookies:false}") boolean secure) {
        this.seal = seal;
        this.secure = secure;
    }

    /** From where a request comes, for what is counted. */
    Throttle.Try made(HttpServletRequest request, String name) {
        return new Throttle.Try(name, device(request, name), address(request.getRemoteAddr()));
    }

    /** Its id; empty when it is not known for this name. */
    private String device(HttpServletRequest request, String name) {
        Cookie[] cookies = request.getCookies();
        return (cookies == null ? Stream.<Cookie>empty() : Arrays.stream(cookies))
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .map(cookie -> cookie.getValue().split("\\.", 2))
                .filter(part -> part.length == 2 && seal.signed(USE, part[0] + " " + name, part[1]))
                .map(part -> part[0])
                .findFirst()
                .orElse("");
    }

    /** Behind a proxy on this machine every request comes from it, which tells nothing. */
    private static String address(String remote) {
        try {
            return InetAddress.getByName(remote).isLoopbackAddress() ? "" : remote;
        } catch (UnknownHostException none) {
            return "";
        }
    }

    void remember(HttpServletRequest request, HttpServletResponse response, String name) {
        if (device(request, name).isEmpty()) {
            String id = UUID.randomUUID().toString();
            response.addHeader(
                    HttpHeaders.SET_COOKIE,
                    ResponseCookie.from(COOKIE, id + "." + seal.sign(USE, id + " " + name))
                            .httpOnly(true)
                            .secure(secure)
                            .sameSite("Lax")
                            .path("/sign-in")
                            .maxAge(KEPT)
                            .build()
                            .toString());
        }
    }
}
