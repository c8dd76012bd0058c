package org.kindgirdle.server.security;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions that are not written for a read: when one was used is noted by {@link SessionUse}, and one that did not
 * change otherwise is left alone.
 *
 * @param <S> the sessions of the repository that keeps them
 */
final class QuietSessions<S extends Session> implements FindByIndexNameSessionRepository<QuietSessions.Quiet<S>> {

    private final FindByIndexNameSessionRepository<S> kept;
    private final SessionUse use;

    private QuietSessions(FindByIndexNameSessionRepository<S> kept, SessionUse use) {
        this.kept = kept;
        this.use = use;
    }

    static <S extends Session> QuietSessions<S> of(FindByIndexNameSessionRepository<S> kept, SessionUse use) {
        return new QuietSessions<>(kept, use);
    }

    @Override
    public Quiet<S> createSession() {
        return new Quiet<>(kept.createSession(), use);
    }

    @Override
    public void save(Quiet<S> session) {
        kept.save(session.session);
    }

    @Override
    @SuppressWarnings("unchecked")
    public @Nullable Quiet<S> findById(String id) {
        Map<String, Object> known = SessionsOfRequest.known();
        if (known != null
                && known.get(id) instanceof Quiet<?> here
                && here.getId().equals(id)) {
            return (Quiet<S>) here;
        }
        S session = kept.findById(id);
        if (session == null) {
            return null;
        }
        Quiet<S> quiet = new Quiet<>(session, use);
        if (known != null) {
            known.put(id, quiet);
        }
        return quiet;
    }

    @Override
    public void deleteById(String id) {
        kept.deleteById(id);
        Map<String, Object> known = SessionsOfRequest.known();
        if (known != null) {
            known.remove(id);
        }
    }

    @Override
    public Map<String, Quiet<S>> findByIndexNameAndIndexValue(String name, String value) {
        return kept.findByIndexNameAndIndexValue(name, value).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, one -> new Quiet<>(one.getValue(), use)));
    }

    /** One session, as the repository has it, but for the moments in which it was used. */
    static final class Quiet<S extends Session> implements Session {

        private final S session;
        private final SessionUse use;

        private Quiet(S session, SessionUse use) {
            this.session = session;
            this.use = use;
        }

        @Override
        public void setLastAccessedTime(Instant moment) {
            use.note(session.getId(), moment);
        }

        @Override
        public String getId() {
            return session.getId();
        }

        @Override
        public String changeSessionId() {
            return session.changeSessionId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return session.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return session.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            session.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            session.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return session.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return use.last(session.getId(), session.getLastAccessedTime());
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            session.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return session.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return session.isExpired();
        }
    }
}
