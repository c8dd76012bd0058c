package org.kindgirdle.core.plan;

/** What a start date is worth. */
public enum WindowClass {
    GOOD,
    RISKY,
    /** stands the winter on the plant and is ready early in the next season */
    OVERWINTER,
    CLOSED
}
