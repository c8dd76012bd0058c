package org.kindgirdle.server.security;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** The log of security events, by the system clock. */
@Service
public class SecurityLog {

    private final SecurityEventRepository events;
    private final CurrentPerson person;
    private final Clock system;

    SecurityLog(SecurityEventRepository events, CurrentPerson person, Clock system) {
        this.events = events;
        this.person = person;
        this.system = system;
    }

    /** Of whoever is signed in. It stands with what was done, or not at all. */
    @Transactional
    public void record(SecurityEventKind kind, String detail) {
        record(kind, person.find().map(SignedIn::name).orElse(""), detail);
    }

    /** In a transaction of its own: what was refused is written down though nothing else is. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void record(SecurityEventKind kind, String name, String detail) {
        events.save(new SecurityEvent(system.instant().truncatedTo(ChronoUnit.MICROS), kind, name, address(), detail));
    }

    @Transactional(readOnly = true)
    List<SecurityEvent> before(long id, int limit) {
        return events.findByIdLessThanOrderByIdDesc(id, Limit.of(limit));
    }

    private static String address() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here
                ? here.getRequest().getRemoteAddr()
                : "";
    }
}
