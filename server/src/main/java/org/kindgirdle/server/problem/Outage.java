package org.kindgirdle.server.problem;

import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import org.hibernate.exception.JDBCConnectionException;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** The database does not answer: nobody's fault who asks, and over when it is back. */
final class Outage {

    private Outage() {}

    static boolean is(@Nullable Throwable failure) {
        for (Throwable one = failure; one != null; one = one.getCause()) {
            if (one instanceof SQLTransientConnectionException
                    || one instanceof SQLNonTransientConnectionException
                    || one instanceof SQLRecoverableException
                    || one instanceof JDBCConnectionException
                    || one instanceof DataAccessResourceFailureException) {
                return true;
            }
        }
        return false;
    }

    /** A commit may have gone through before the line broke; the command's id makes it safe to send again. */
    static ProblemDetail detail() {
        return ProblemAdvice.detail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database can't be reached",
                "What you typed is still here. Try again in a moment: it is not written twice.",
                List.of());
    }
}
