package idlebough.app.account;

import idlebough.app.database.Database;
import idlebough.app.database.DatabaseTrouble;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Optional;

/** Sets a new password from the command line, where no application runs: there is no mail to send one by. */
public final class NewPassword {
    private NewPassword() {}

    /** @return the new password; empty when nobody signs in by that name */
    public static Optional<String> set(Database database, String name) {
        String password = AccountService.random();
        try (Connection connection = DriverManager.getConnection(database.url(), database.user(), database.password());
                PreparedStatement update = connection.prepareStatement(
                        "update account set password_hash = ?, entry = entry + 1, version = version + 1 where sign_in = ?")) {
            update.setString(1, new SecurityConfig().passwordEncoder().encode(password));
            update.setString(2, SignInName.of(name));
            return update.executeUpdate() == 1 ? Optional.of(password) : Optional.empty();
        } catch (SQLException failed) {
            throw new DatabaseTrouble("The password could not be set: " + failed.getMessage(), failed);
        }
    }
}
