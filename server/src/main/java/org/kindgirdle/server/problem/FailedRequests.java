package org.kindgirdle.server.problem;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.kindgirdle.server.sentences.Refusals;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What failed before any controller was reached. */
@Hidden
@RestController
class FailedRequests implements ErrorController {

    private static final Logger LOG = LoggerFactory.getLogger(FailedRequests.class);

    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> failed(HttpServletRequest request) {
        Object failure = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        ProblemDetail detail;
        if (failure instanceof Throwable thrown) {
            LOG.error("Unexpected failure outside the controllers", thrown);
            detail = ProblemAdvice.detail(
                    HttpStatus.INTERNAL_SERVER_ERROR,
                    Refusals.say("hardship.bug.title"),
                    Refusals.say("hardship.failed"),
                    List.of());
        } else {
            HttpStatus status = code instanceof Integer number ? HttpStatus.resolve(number) : null;
            HttpStatus shown = status == null ? HttpStatus.NOT_FOUND : status;
            if (shown == HttpStatus.REQUEST_TIMEOUT) {
                // where nothing arrives any more the container drops what was answered, and asks here
                return ResponseEntity.status(shown)
                        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                        .body(CutShort.tooSlow().detail());
            }
            detail =
                    ProblemAdvice.detail(shown, shown.getReasonPhrase(), Refusals.say("address.unanswered"), List.of());
        }
        return ResponseEntity.status(detail.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(detail);
    }
}
