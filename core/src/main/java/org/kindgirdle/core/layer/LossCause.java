package org.kindgirdle.core.layer;

/** Why a layer was lost, on the mother or after severance. */
public enum LossCause {
    TOO_LATE,
    BRIDGED,
    DRIED,
    ROTTED,
    ANIMALS,
    BROKE,
    SLIPPED,
    TOP_DIED,
    NO_ROOTS,
    WILTED_AFTER,
    COLLAR_ROT,
    OVERWATERED,
    WINTER,
    LABEL_LOST,
    /** the bark above the ring blackened by too strong a hormone */
    HORMONE_BURN,
    /** none of these: said in words */
    OTHER
}
