package org.kindgirdle.core.look;

import org.kindgirdle.core.house.Rule;

/** The figures of the house on which the next step turns. */
final class Thresholds {

    static final Rule NEAR_DAYS = Rule.of("next.near-frost");
    static final Rule COLD_DAYS = Rule.of("next.cold");
    static final Rule AMPLE_DAYS = Rule.of("next.ample");
    static final Rule FRUIT_DAYS = Rule.of("next.fruit");
    static final Rule AGAIN_P = Rule.of("next.again");
    static final Rule OVERDUE_P = Rule.of("next.overdue");
    static final Rule NEVER_P = Rule.of("next.never");
    static final Rule FALLEN_SHARE = Rule.of("next.fallen");
    static final Rule NEVER_READY_P = Rule.of("next.never-p");
    static final Rule UNLIKELY_P = Rule.of("next.unlikely");
    static final Rule LOOK_P = Rule.of("next.first-look");
    static final Rule MAX_RERINGS = Rule.of("next.most-rerings");
    static final Rule MAX_RESCORES = Rule.of("next.most-rescores");
    static final Rule STALLED_LOOKS = Rule.of("next.stalled");
    static final Rule EVEN_COVERAGE = Rule.of("next.even");
    static final Rule WIDEST_GAP = Rule.of("next.gap");
    static final Rule RESCORE_DAYS = Rule.of("next.rescore-days");

    private Thresholds() {}
}
