package org.kindgirdle.server.problem;

import java.util.List;
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
                "Too large",
                "Nothing was written. A body may have up to " + most + " bytes; " + advice + ".",
                "up to " + most + " bytes");
    }

    static CutShort aForm() {
        return new CutShort(
                HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                "Not as a form",
                "Nothing was written. Send JSON, or the file itself, with its own content type; forms are not taken.",
                "application/json, or the type of the file");
    }

    /** Hardly anything arrives, or nothing any more. */
    static CutShort tooSlow() {
        return new CutShort(
                HttpStatus.REQUEST_TIMEOUT,
                "Too slow",
                "What you send does not arrive, or hardly. Nothing was written: send it again when the network is better.",
                "a body that arrives within some seconds");
    }

    /** The connection ended before the body did: there is nobody to tell. */
    static CutShort brokenOff() {
        return new CutShort(
                HttpStatus.BAD_REQUEST, "Broken off", "Nothing was written. Send it again.", "a whole body");
    }

    ProblemDetail detail() {
        return ProblemAdvice.detail(
                status, title, String.valueOf(getMessage()), List.of(new Violation("", null, allowed, title)));
    }
}
