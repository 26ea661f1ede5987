package idlebough.app.web;

import java.util.List;
import org.springframework.security.core.userdetails.User;

/** The principal: an account that has proved itself. */
public final class SignedIn extends User {
    private static final long serialVersionUID = 1L;
    private final String accountId;

    public SignedIn(String accountId, String signIn, String passwordHash) {
        super(signIn, passwordHash, List.of());
        this.accountId = accountId;
    }

    public String accountId() {
        return accountId;
    }
}
