package idlebough.app.store;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * A change to one orchard, in one transaction that locks the orchard first. What it reads afterwards nobody else changes,
 * so it locks no more than the rows that it writes (READ COMMITTED); should two still stand in each other's way, the one
 * that is thrown out is done again from its beginning.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@Transactional(isolation = Isolation.READ_COMMITTED)
@Retryable(predicate = FromTheBeginning.class, maxRetries = 4, delay = 20, jitter = 15)
public @interface InOneGo {}
