package org.kindgirdle.server.problem;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import java.util.Set;
import org.hibernate.exception.JDBCConnectionException;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;

/**
 * What goes wrong through nobody's fault who asks, and is over some time: the database is away, somebody else holds what
 * is wanted, the disk is full. It is said in words, and a command's id makes it safe to send it again.
 */
final class Hardship {

    static final int AGAIN_SECONDS = 5;

    private static final String AWAY = Refusals.say("hardship.away.title");

    /** Of the server: lock wait timeout, deadlock, record changed since it was read (with snapshot isolation). */
    private static final Set<Integer> LOCKS = Set.of(1205, 1213, 1020);

    /** Of the server: error 28 from its storage, table full, disk full, write and sync errors. */
    private static final Set<Integer> DISK = Set.of(1021, 1030, 1114, 1026, 3);

    private Hardship() {}

    /** Null if it is something else. */
    static @Nullable ProblemDetail of(@Nullable Throwable failure) {
        for (Throwable one = failure; one != null; one = one.getCause()) {
            SQLException sql = one instanceof SQLException thrown ? thrown : null;
            int code = sql == null ? 0 : sql.getErrorCode();
            if (one instanceof PessimisticLockingFailureException || LOCKS.contains(code)) {
                return detail(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        Refusals.say("hardship.lock.title"),
                        Refusals.say("hardship.lock"));
            }
            if (DISK.contains(code) || one instanceof IOException io && isDisk(io)) {
                return detail(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        Refusals.say("hardship.disk.title"),
                        Refusals.say("hardship.disk"));
            }
            if (one instanceof SQLTransientConnectionException
                    || one instanceof SQLNonTransientConnectionException
                    || one instanceof SQLRecoverableException
                    || sql != null && isCutOff(sql)
                    || one instanceof JDBCConnectionException
                    || one instanceof DataAccessResourceFailureException) {
                return away();
            }
        }
        return null;
    }

    /** A commit may have gone through before the line broke; the command's id makes it safe to send again. */
    static ProblemDetail away() {
        return detail(HttpStatus.SERVICE_UNAVAILABLE, AWAY, Refusals.say("hardship.away"));
    }

    /** The line broke while something was under way: a connection exception by its class, or a pool that has given it up. */
    private static boolean isCutOff(SQLException failure) {
        String state = failure.getSQLState();
        return state != null && state.startsWith("08") || "Connection is closed".equals(failure.getMessage());
    }

    /** Whether it is the database that is away. */
    static boolean isAway(ProblemDetail known) {
        return AWAY.equals(known.getTitle());
    }

    private static boolean isDisk(IOException failure) {
        String said = String.valueOf(failure.getMessage());
        return failure instanceof AccessDeniedException
                || said.contains("No space left")
                || said.contains("Disk quota")
                || said.contains("Read-only file system")
                || failure instanceof FileSystemException file
                        && String.valueOf(file.getReason()).contains("No space");
    }

    private static ProblemDetail detail(HttpStatus status, String title, String text) {
        return ProblemAdvice.detail(status, title, text, List.of());
    }

    static ResponseEntity<Object> answer(ProblemDetail detail) {
        return ResponseEntity.status(detail.getStatus())
                .header(HttpHeaders.RETRY_AFTER, Integer.toString(AGAIN_SECONDS))
                .body(detail);
    }
}
