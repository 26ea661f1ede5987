package idlebough.app.account;

import java.util.List;
import org.springframework.security.core.userdetails.User;

/** The principal: an account that has proved itself. */
public final class SignedIn extends User {
    private static final long serialVersionUID = 1L;
    private final String accountId;

    SignedIn(Account account) {
        super(account.signIn(), account.passwordHash(), List.of());
        this.accountId = account.id();
    }

    public String accountId() {
        return accountId;
    }
}
