package org.kindgirdle.core.look;

/** What to do beside the next step. */
public enum AlsoDo {
    /** let a wet ball drain; no top-up */
    VENT,
    /** and no release while they last */
    TREAT_PESTS,
    /** black or foil against algae */
    COVER,
    LOOSEN_TIE,
    /** foil today: the ball will be too hot */
    COVER_NOW,
    /** a larger container while still attached */
    UPSIZE,
    PROP,
    /** a top that wilts over a full ball: it is cut when it stands again */
    RELIEVE,
    /** a parched full ball sheds water: for an hour, before the cut */
    SOAK
}
