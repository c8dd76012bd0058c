package org.kindgirdle.server.problem;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/** Something that may be longer than a record: the room that takes it says what it is, and how long it may be. */
public interface LongBody {

    /**
     * How much of it is taken.
     *
     * @param bytes at most
     * @param advice what to do about one that is longer, as in "..., or send less at a time"
     */
    record Allowance(long bytes, String advice) {}

    /** Empty for a request that brings something else. */
    Optional<Allowance> of(HttpServletRequest request);
}
