package idlebough.app.account;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Signs what a browser keeps for us (HMAC-SHA256, RFC 2104), each use under a key of its own. */
@Component
class Seal {
    private static final String MAC = "HmacSHA256";
    private final String secret;

    /** The database's password is the one secret that every instance of the application has. */
    Seal(@Value("${spring.datasource.password}") String secret) {
        this.secret = secret;
    }

    String sign(String use, String text) {
        try {
            Mac mac = Mac.getInstance(MAC);
            mac.init(new SecretKeySpec((use + " " + secret).getBytes(StandardCharsets.UTF_8), MAC));
            return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException never) {
            throw new IllegalStateException("Every Java has " + MAC, never);
        }
    }

    boolean signed(String use, String text, String signature) {
        return MessageDigest.isEqual(
                sign(use, text).getBytes(StandardCharsets.US_ASCII), signature.getBytes(StandardCharsets.UTF_8));
    }
}
