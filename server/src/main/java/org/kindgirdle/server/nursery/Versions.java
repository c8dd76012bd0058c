package org.kindgirdle.server.nursery;

import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;

/** What every edit of master data is checked for. */
public final class Versions {

    private Versions() {}

    /** An edit that was made on an old version is refused with both sides. */
    public static void check(long yours, long current, Object edit, Object now) {
        if (yours != current) {
            throw ProblemException.stale(edit, now);
        }
    }

    /** The refusal of a name or code that another one has. */
    public static ProblemException taken(String field, String value, String what) {
        return ProblemException.invalid(
                field,
                value,
                Refusals.say("taken.allowed", "what", what),
                Refusals.say("taken", "what", what, "field", field, "value", value));
    }
}
