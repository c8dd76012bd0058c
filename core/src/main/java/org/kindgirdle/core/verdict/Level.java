package org.kindgirdle.core.verdict;

/** How grave a remark on a plan is, the gravest first. */
public enum Level {
    /** may not be done until the fact changes */
    BLOCK,
    /** may be done with a reason */
    WARN,
    /** to be known while it is done */
    CAUTION,
    FINE
}
