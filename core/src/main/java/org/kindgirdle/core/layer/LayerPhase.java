package org.kindgirdle.core.layer;

/** Where a layer is in its life. */
public enum LayerPhase {
    ON_MOTHER,
    SEVERED,
    POTTED,
    RELEASED,
    LOST;

    /** Whether anything is still to be done with it. */
    public boolean isLive() {
        return this != RELEASED && this != LOST;
    }
}
