package org.kindgirdle.core.look;

/** What may be wrong with a layer when it is looked at. */
public enum Condition {
    DRY,
    WET,
    ROT,
    BRIDGED,
    WRAP_OPEN,
    MEDIUM_LOST,
    PESTS,
    ALGAE,
    SLIPPED,
    CONSTRICTED,
    TOP_WILTED,
    TOP_DEAD,
    DETACHED
}
