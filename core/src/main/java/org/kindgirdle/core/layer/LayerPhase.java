package org.kindgirdle.core.layer;

/** Where a layer is in its life. */
public enum LayerPhase {
    ON_MOTHER,
    SEVERED,
    POTTED,
    RELEASED,
    LOST,
    /** taken back: it was never set */
    WITHDRAWN;

    /** Whether anything is still to be done with it. */
    public boolean isLive() {
        return this == ON_MOTHER || this == SEVERED || this == POTTED;
    }
}
