package org.kindgirdle.core.set;

/** What holds the ends of a wrap to its limb. */
public enum Tie {
    /** a tape that gives as the limb swells */
    STRETCH,
    ZIP,
    STRING,
    WIRE
}
