package idlebough.app.account;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.UUID;
import java.util.stream.Stream;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** Knows a browser again on which a name has signed in before: a signed cookie that allows nothing but to try. */
@Component
class KnownDevice {
    private static final String COOKIE = "bough-device";
    private static final Duration KEPT = Duration.ofDays(365);
    private static final String MAC = "HmacSHA256";
    private final SecretKeySpec key;
    private final boolean secure;

    /** The database's password is the one secret that every instance of the application has. */
    KnownDevice(
            @Value("${spring.datasource.password}") String secret,
            @Value("${bough.secure-cookies:false}") boolean secure) {
        key = new SecretKeySpec(("known device " + secret).getBytes(StandardCharsets.UTF_8), MAC);
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
                .filter(part -> part.length == 2
                        && MessageDigest.isEqual(
                                sign(part[0], name).getBytes(StandardCharsets.US_ASCII),
                                part[1].getBytes(StandardCharsets.US_ASCII)))
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
                    ResponseCookie.from(COOKIE, id + "." + sign(id, name))
                            .httpOnly(true)
                            .secure(secure)
                            .sameSite("Lax")
                            .path("/sign-in")
                            .maxAge(KEPT)
                            .build()
                            .toString());
        }
    }

    private String sign(String id, String name) {
        try {
            Mac mac = Mac.getInstance(MAC);
            mac.init(key);
            return HexFormat.of().formatHex(mac.doFinal((id + " " + name).getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException("Every Java has " + MAC, missing);
        }
    }
}
