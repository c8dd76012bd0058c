package org.kindgirdle.core.look;

/** When a rooted layer is cut off: with its leaves on, after leaf fall, or in the next spring. */
public enum School {
    IN_LEAF,
    DORMANT,
    SPRING
}
