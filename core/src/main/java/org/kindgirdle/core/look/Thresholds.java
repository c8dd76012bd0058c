package org.kindgirdle.core.look;

/** The figures on which the rules of the next step turn. */
final class Thresholds {

    /** Frost is near below this many days. */
    static final int NEAR_DAYS = 30;

    /** Days to frost that leave time for a gamble or for new roots in a scarred sector. */
    static final int AMPLE_DAYS = 60;

    /** Days that fruit is given beyond those to establish. */
    static final int FRUIT_DAYS = 14;

    /** A ring is tried again if the odds of a full ball by the deadline are at least this. */
    static final double AGAIN_P = .4;

    /** A layer that should have been ready with this probability is overdue. */
    static final double OVERDUE_P = .95;

    /** A layer never looked at is looked at when it is ready with this probability. */
    static final double LOOK_P = .5;

    static final int MOST_RERINGS = 2;

    static final int MOST_RESCORES = 2;

    /** So many looks in growth without progress are a standstill. */
    static final int STALLED_LOOKS = 2;

    private Thresholds() {}
}
