package idlebough.app.account;

import idlebough.app.store.Account;
import idlebough.app.store.AccountMapper;
import idlebough.app.store.Ids;
import idlebough.app.store.Purge;
import idlebough.core.measure.UnitSystem;
import java.security.SecureRandom;
import java.time.Clock;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Makes accounts and finds them. */
@Service
public class AccountService {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private final AccountMapper accounts;
    private final PasswordEncoder encoder;
    private final Purge purge;
    private final Clock clock;

    AccountService(AccountMapper accounts, PasswordEncoder encoder, Purge purge, Clock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.purge = purge;
        this.clock = clock;
    }

    /** @return null when the sign-in name is taken */
    @Transactional
    public Account signUp(String signIn, String name, String password, UnitSystem units, String locale) {
        Account account = new Account(
                Ids.next(), SignInName.of(signIn), name.strip(), encoder.encode(password), units, locale, 0);
        try {
            accounts.insert(account, clock.instant());
        } catch (DuplicateKeyException taken) {
            return null;
        }
        return account;
    }

    /** The account and every orchard that it owns, for good. */
    void leave(Account account) {
        purge.account(account.id());
    }

    boolean proves(Account account, String password) {
        return encoder.matches(password, account.passwordHash());
    }

    /** @return the account as it is now */
    @Transactional
    Account change(Account account, String password) {
        accounts.changePassword(account.id(), encoder.encode(password));
        return accounts.byId(account.id());
    }

    public Account find(String signIn) {
        return accounts.bySignIn(SignInName.of(signIn));
    }

    /** Sixteen letters and figures that are not mistaken for each other. */
    public static String random() {
        SecureRandom random = new SecureRandom();
        StringBuilder password = new StringBuilder();
        for (int i = 0; i < 16; i++) {
            password.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return password.toString();
    }
}
