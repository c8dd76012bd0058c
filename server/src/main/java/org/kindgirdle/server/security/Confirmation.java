package org.kindgirdle.server.security;

import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Before what can shut others out or replace everything, an owner types the password once more: a desk that was left
 * signed in is not enough for it.
 */
@Component
public class Confirmation {

    private static final String CONFIRMED_AT = "kg.confirmedAt";
    private static final Duration HOLDS = Duration.ofMinutes(10);

    private final Clock system;

    Confirmation(Clock system) {
        this.system = system;
    }

    /** It was the password of whoever is signed in: the session remembers it for some minutes. */
    void confirmed(HttpSession session) {
        session.setAttribute(CONFIRMED_AT, system.millis());
    }

    /** @throws ProblemException 403 with {@code confirm: true} if the password has to be typed first */
    public void require() {
        HttpSession session = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here
                ? here.getRequest().getSession(false)
                : null;
        boolean isFresh = session != null
                && session.getAttribute(CONFIRMED_AT) instanceof Long at
                && Instant.ofEpochMilli(at).plus(HOLDS).isAfter(system.instant());
        if (!isFresh) {
            throw ProblemException.forbidden(Refusals.say("signIn.confirm"), Map.of("confirm", true));
        }
    }
}
