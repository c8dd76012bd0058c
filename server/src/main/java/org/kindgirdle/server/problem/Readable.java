package org.kindgirdle.server.problem;

/** What is wrong with a value that was read from a file, in the words in which a request would be refused. */
public final class Readable {

    private Readable() {}

    /** @param refused the way in which reading failed */
    public static Violation violation(Exception refused) {
        return ProblemAdvice.unreadable(refused);
    }
}
