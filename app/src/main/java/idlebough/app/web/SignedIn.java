package idlebough.app.web;

import idlebough.app.store.Account;
import java.util.List;
import org.springframework.security.core.userdetails.User;

/** The principal: an account that has proved itself. */
public final class SignedIn extends User {
    private static final long serialVersionUID = 1L;
    private final String accountId;
    private final int entry;

    public SignedIn(Account account) {
        super(account.signIn(), account.passwordHash(), List.of());
        accountId = account.id();
        entry = account.entry();
    }

    /** Whether the password is still the one with which it began. */
    boolean isStillWelcome(Account account) {
        return account != null && account.entry() == entry;
    }

    public String accountId() {
        return accountId;
    }
}
