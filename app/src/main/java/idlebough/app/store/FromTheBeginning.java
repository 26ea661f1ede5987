package idlebough.app.store;

import java.lang.reflect.Method;
import java.sql.SQLException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.retry.MethodRetryPredicate;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is done again: the outermost piece of work, when another stood in its way; never a part of one. */
final class FromTheBeginning implements MethodRetryPredicate {
    /** MariaDB: record has changed since last read (innodb_snapshot_isolation). */
    private static final int CHANGED = 1020;

    @Override
    public boolean shouldRetry(Method method, Throwable thrown) {
        return !TransactionSynchronizationManager.isActualTransactionActive() && inTheWay(thrown);
    }

    private static boolean inTheWay(Throwable thrown) {
        for (Throwable cause = thrown; cause != null; cause = cause.getCause()) {
            if (cause instanceof PessimisticLockingFailureException
                    || cause instanceof SQLException sql && sql.getErrorCode() == CHANGED) {
                return true;
            }
        }
        return false;
    }
}
