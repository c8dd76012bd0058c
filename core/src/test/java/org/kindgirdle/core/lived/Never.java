package org.kindgirdle.core.lived;

/** What must never happen. */
enum Never {
    NO_STEP_OR_NO_CARE,
    CONTRADICTION,
    DATE_PAST_ITS_CONDITION,
    DATE_JUMPS,
    STEP_FLIPS,
    ASKED_AGAIN,
    HOLD_WITHOUT_END,
    CUT_IN_HARD_FROST,
    OUT_INTO_FROST,
    RELEASED_INTO_FROST,
    JOB_IN_THE_PAST,
    WATER_IN_FROST
}
