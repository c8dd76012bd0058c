package org.kindgirdle.server.problem;

import java.util.List;
import java.util.Map;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.http.HttpStatus;

/** A refusal that the client is to understand: what happened, what to do, and the violations. */
public final class ProblemException extends RuntimeException {

    /** Seconds, in the body and as the header of that name. */
    static final String RETRY_AFTER = "retryAfterSeconds";

    private final HttpStatus status;
    private final String title;
    private final transient List<Violation> violations;
    private final transient Map<String, Object> more;

    private ProblemException(
            HttpStatus status, String title, String detail, List<Violation> violations, Map<String, Object> more) {
        super(detail);
        this.status = status;
        this.title = title;
        this.violations = List.copyOf(violations);
        this.more = Map.copyOf(more);
    }

    public static ProblemException invalid(List<Violation> violations) {
        return new ProblemException(
                HttpStatus.BAD_REQUEST, Refusals.say("invalid.title"), Refusals.say("invalid"), violations, Map.of());
    }

    public static ProblemException invalid(String field, Object value, String allowed, String message) {
        return invalid(List.of(new Violation(field, value, allowed, message)));
    }

    public static ProblemException notFound(String what, Object key) {
        return new ProblemException(
                HttpStatus.NOT_FOUND,
                Refusals.say("notFound.title"),
                Refusals.say("notFound", "what", what, "key", key),
                List.of(),
                Map.of());
    }

    public static ProblemException conflict(String title, String detail, Map<String, Object> more) {
        return new ProblemException(HttpStatus.CONFLICT, title, detail, List.of(), more);
    }

    /** An edit made on a version that somebody else has changed since. */
    public static ProblemException stale(Object yours, Object current) {
        return conflict(Refusals.say("stale.title"), Refusals.say("stale"), Map.of("yours", yours, "current", current));
    }

    public static ProblemException forbidden(String detail) {
        return new ProblemException(
                HttpStatus.FORBIDDEN, Refusals.say("notAllowed.title"), detail, List.of(), Map.of());
    }

    /** @param more what a program is told besides */
    public static ProblemException forbidden(String detail, Map<String, Object> more) {
        return new ProblemException(HttpStatus.FORBIDDEN, Refusals.say("notAllowed.title"), detail, List.of(), more);
    }

    public static ProblemException unauthorized(String detail) {
        return new ProblemException(
                HttpStatus.UNAUTHORIZED, Refusals.say("notSignedIn.title"), detail, List.of(), Map.of());
    }

    /** @param seconds after which it may be tried again */
    public static ProblemException tooMany(String detail, int seconds) {
        return new ProblemException(
                HttpStatus.TOO_MANY_REQUESTS,
                Refusals.say("tooMany.title"),
                detail,
                List.of(),
                Map.of(RETRY_AFTER, seconds));
    }

    /** It can't be done just now. @param seconds after which it may be tried again */
    public static ProblemException busy(String detail, int seconds) {
        return new ProblemException(
                HttpStatus.SERVICE_UNAVAILABLE,
                Refusals.say("tooMuch.title"),
                detail,
                List.of(),
                Map.of(RETRY_AFTER, seconds));
    }

    /** There is no room for it, or no right to write it where it belongs. */
    public static ProblemException noRoom(String detail) {
        return new ProblemException(
                HttpStatus.INSUFFICIENT_STORAGE, Refusals.say("noRoom.title"), detail, List.of(), Map.of());
    }

    HttpStatus status() {
        return status;
    }

    String title() {
        return title;
    }

    public List<Violation> violations() {
        return violations;
    }

    Map<String, Object> more() {
        return more;
    }
}
