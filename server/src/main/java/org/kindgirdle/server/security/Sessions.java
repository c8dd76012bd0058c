package org.kindgirdle.server.security;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in. */
@Component
class Sessions {

    static final String ADDRESS = "kg.address";
    static final String BROWSER = "kg.browser";

    private static final int HANDLE = 16;

    private final ObjectProvider<FindByIndexNameSessionRepository<? extends Session>> repository;

    /** @param repository none where nothing is served, as when projections are made anew */
    Sessions(ObjectProvider<FindByIndexNameSessionRepository<? extends Session>> repository) {
        this.repository = repository;
    }

    private FindByIndexNameSessionRepository<? extends Session> sessions() {
        return repository.getObject();
    }

    /**
     * One of somebody's sessions.
     *
     * @param id by which it is ended; it lets nobody in
     * @param current whether it is the one that asks
     */
    record SessionOf(String id, boolean current, Instant since, Instant lastUsed, String address, String browser) {}

    List<SessionOf> of(String name, String currentId) {
        return sessions().findByPrincipalName(name).values().stream()
                .map(one -> new SessionOf(
                        handle(one.getId()),
                        one.getId().equals(currentId),
                        one.getCreationTime(),
                        one.getLastAccessedTime(),
                        Objects.requireNonNullElse(one.getAttribute(ADDRESS), ""),
                        Objects.requireNonNullElse(one.getAttribute(BROWSER), "")))
                .sorted(Comparator.comparing(SessionOf::lastUsed).reversed())
                .toList();
    }

    /** @throws ProblemException 404 if that person has no such session */
    void end(String name, String handle) {
        String id = sessions().findByPrincipalName(name).keySet().stream()
                .filter(one -> handle(one).equals(handle))
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("session", handle));
        sessions().deleteById(id);
    }

    void endAll(String name) {
        endAllBut(name, "");
    }

    void endAllBut(String name, String id) {
        sessions().findByPrincipalName(name).keySet().stream()
                .filter(one -> !one.equals(id))
                .forEach(sessions()::deleteById);
    }

    private static String handle(String id) {
        return Secrets.hash(id).substring(0, HANDLE);
    }
}
