package idlebough.app.account;

import idlebough.app.database.DatabaseFault;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.convert.ConversionException;
import org.springframework.core.serializer.support.SerializationFailedException;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/**
 * Sessions that are written only when there is something to write. Looking at a page moves the last access on by some
 * minutes at a time, and where even that cannot be stored (the disk is full) the page is shown all the same.
 */
final class CalmSessions implements SessionRepository<CalmSessions.Calm> {
    private static final Logger LOG = LoggerFactory.getLogger(CalmSessions.class);
    private static final Duration STEP = Duration.ofMinutes(5);
    private final SessionRepository<Session> kept;

    @SuppressWarnings("unchecked")
    CalmSessions(SessionRepository<? extends Session> kept) {
        this.kept = (SessionRepository<Session>) kept;
    }

    @Override
    public Calm createSession() {
        return new Calm(kept.createSession(), true);
    }

    @Override
    public void save(Calm session) {
        if (session.changed) {
            kept.save(session.kept);
        } else if (session.touched) {
            try {
                kept.save(session.kept);
            } catch (RuntimeException notNow) {
                if (DatabaseFault.behind(notNow).isEmpty()) {
                    throw notNow;
                }
                LOG.warn("The last access of a session could not be stored: {}", notNow.getMessage());
            }
        }
        session.changed = false;
        session.touched = false;
    }

    @Override
    public Calm findById(String id) {
        Session found = kept.findById(id);
        return found == null ? null : new Calm(found, false);
    }

    @Override
    public void deleteById(String id) {
        kept.deleteById(id);
    }

    /** A session and whether it is other than it is stored. */
    static final class Calm implements Session {
        private final Session kept;
        private boolean changed;
        private boolean touched;

        private Calm(Session kept, boolean fresh) {
            this.kept = kept;
            this.changed = fresh;
        }

        @Override
        public String getId() {
            return kept.getId();
        }

        @Override
        public String changeSessionId() {
            changed = true;
            return kept.changeSessionId();
        }

        @Override
        public <T> T getAttribute(String name) {
            try {
                return kept.getAttribute(name);
            } catch (ConversionException | SerializationFailedException unreadable) {
                // Written by another version of the program: whoever has it signs in anew.
                LOG.warn("A session could not be read: {}", unreadable.getMessage());
                return null;
            }
        }

        @Override
        public Set<String> getAttributeNames() {
            return kept.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            changed = true;
            kept.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            changed = true;
            kept.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return kept.getCreationTime();
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (kept.getLastAccessedTime().plus(STEP).isBefore(at)) {
                touched = true;
                kept.setLastAccessedTime(at);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return kept.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            changed = true;
            kept.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return kept.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return kept.isExpired();
        }
    }
}
