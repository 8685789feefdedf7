package rosinedpeg.web.platform;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/**
 * Sessions of which it is told to the minute when they were used last: a page that is looked at shall not have to wait until PostgreSQL
 * has written to its disk.
 *
 * @param <S> the sessions as they are kept
 */
class SessionsToTheMinute<S extends Session> implements SessionRepository<SessionsToTheMinute.ToTheMinute<S>> {

    private static final Duration EXACT = Duration.ofMinutes(1);

    private final SessionRepository<S> kept;

    SessionsToTheMinute(SessionRepository<S> kept) {
        this.kept = kept;
    }

    @Override
    public ToTheMinute<S> createSession() {
        return new ToTheMinute<>(kept.createSession());
    }

    @Override
    public void save(ToTheMinute<S> session) {
        kept.save(session.kept);
    }

    @Override
    public @Nullable ToTheMinute<S> findById(String id) {
        S found = kept.findById(id);
        return found == null ? null : new ToTheMinute<>(found);
    }

    @Override
    public void deleteById(String id) {
        kept.deleteById(id);
    }

    /** One of them. */
    static class ToTheMinute<S extends Session> implements Session {

        private final S kept;

        ToTheMinute(S kept) {
            this.kept = kept;
        }

        @Override
        public void setLastAccessedTime(Instant used) {
            // Also backwards: a clock that was set back would keep a session from ever being used.
            if (Duration.between(kept.getLastAccessedTime(), used).abs().compareTo(EXACT) >= 0) {
                kept.setLastAccessedTime(used);
            }
        }

        @Override
        public String getId() {
            return kept.getId();
        }

        @Override
        public String changeSessionId() {
            return kept.changeSessionId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return kept.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return kept.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            kept.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            kept.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return kept.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return kept.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
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
