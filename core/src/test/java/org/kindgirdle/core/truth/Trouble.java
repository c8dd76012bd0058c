package org.kindgirdle.core.truth;

/** What can be wrong with a ball on its limb. */
public enum Trouble {
    DRY,
    SOGGY,
    ROTTEN,
    BRIDGED,
    TORN,
    EMPTIED,
    ANTS,
    GREEN,
    TURNED,
    PINCHED,
    WILTED,
    TOP_DEAD,
    BROKEN_OFF
}
