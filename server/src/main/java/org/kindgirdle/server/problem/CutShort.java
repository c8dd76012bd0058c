package org.kindgirdle.server.problem;

import java.util.List;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/**
 * Thrown through whoever reads a body that is not read to its end: it goes on for too long, or does not go on. Inside the
 * controllers {@link ProblemAdvice} answers it, before them {@link BodyLimit}.
 */
final class CutShort extends RuntimeException {

    private final HttpStatus status;
    private final String title;
    private final String allowed;

    private CutShort(HttpStatus status, String title, String detail, String allowed) {
        super(detail);
        this.status = status;
        this.title = title;
        this.allowed = allowed;
    }

    static CutShort tooLarge(long most, String advice) {
        return new CutShort(
                HttpStatus.CONTENT_TOO_LARGE,
                Refusals.say("body.tooLong.title"),
                Refusals.say("body.tooLong", "most", most, "advice", advice),
                Refusals.say("body.tooLong.allowed", "most", most));
    }

    static CutShort aForm() {
        return new CutShort(
                HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                Refusals.say("body.form.title"),
                Refusals.say("body.form"),
                Refusals.say("body.form.allowed"));
    }

    /** Hardly anything arrives, or nothing any more. */
    static CutShort tooSlow() {
        return new CutShort(
                HttpStatus.REQUEST_TIMEOUT,
                Refusals.say("body.slow.title"),
                Refusals.say("body.slow"),
                Refusals.say("body.slow.allowed"));
    }

    /** The connection ended before the body did: there is nobody to tell. */
    static CutShort brokenOff() {
        return new CutShort(
                HttpStatus.BAD_REQUEST,
                Refusals.say("body.brokenOff.title"),
                Refusals.say("body.brokenOff"),
                Refusals.say("body.brokenOff.allowed"));
    }

    ProblemDetail detail() {
        return ProblemAdvice.detail(
                status, title, String.valueOf(getMessage()), List.of(new Violation("", null, allowed, title)));
    }
}
