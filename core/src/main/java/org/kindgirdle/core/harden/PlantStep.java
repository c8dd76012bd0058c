package org.kindgirdle.core.harden;

/** What to do next with a severed layer. */
public enum PlantStep {
    POT_UP,
    /** out of the moss tray into a light mix */
    POT_ON,
    STAY,
    STAY_DORMANT,
    STEP_UP,
    STEP_BACK,
    OPEN_AND_LOOK,
    RELEASE,
    HOLD_UNDER_COVER
}
