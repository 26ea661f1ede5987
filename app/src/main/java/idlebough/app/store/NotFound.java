package idlebough.app.store;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** There is none, or none for this account: the answer is the same. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public final class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1L;
}
