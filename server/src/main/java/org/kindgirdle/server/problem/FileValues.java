package org.kindgirdle.server.problem;

/** What is wrong with a value that was read from a file, in the words in which a request would be refused. */
public final class FileValues {

    private FileValues() {}

    /** @param under the field whose value was read by itself */
    public static Violation violation(String under, Exception refused) {
        Violation inner = ProblemAdvice.unreadable(refused);
        return new Violation(ProblemAdvice.join(under, inner.field()), inner.value(), inner.allowed(), inner.message());
    }

    /** @param refused the way in which reading failed */
    public static Violation violation(Exception refused) {
        return ProblemAdvice.unreadable(refused);
    }
}
