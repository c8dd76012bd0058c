package org.kindgirdle.core.harden;

/** What is seen on a young plant after severance. */
public enum PlantSign {
    /** stands as it should */
    TURGID,
    DROOP,
    CURL,
    LEAF_DROP,
    MOULD,
    PESTS,
    NEW_GROWTH,
    ROOTS_AT_EDGE
}
