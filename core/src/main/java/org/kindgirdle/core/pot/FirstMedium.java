package org.kindgirdle.core.pot;

/** What a severed layer is put in. */
public enum FirstMedium {
    /** bark, perlite, coir: the default */
    LIGHT_MIX,
    /** pure moss in a tray of water, moved on when it is full: dearer, surest */
    MOSS_STAGE,
    /** straight into the ground */
    GROUND,
    GARDEN_SOIL,
    HEAVY_COMPOST,
    /** raw, unmixed */
    PEAT_AND_BARK;

    /** Well-rooted layers have died in it. */
    public boolean isHeavy() {
        return this == GARDEN_SOIL || this == HEAVY_COMPOST || this == PEAT_AND_BARK;
    }
}
