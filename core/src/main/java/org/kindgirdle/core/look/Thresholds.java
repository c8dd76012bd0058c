package org.kindgirdle.core.look;

import org.kindgirdle.core.house.Rule;

/** The figures of the house on which the next step turns. */
final class Thresholds {

    static final Rule NEAR_DAYS = Rule.of("next.near-frost");
    static final Rule AMPLE_DAYS = Rule.of("next.ample");
    static final Rule FRUIT_DAYS = Rule.of("next.fruit");
    static final Rule AGAIN_P = Rule.of("next.again");
    static final Rule OVERDUE_P = Rule.of("next.overdue");
    static final Rule LOOK_P = Rule.of("next.first-look");
    static final Rule MOST_RERINGS = Rule.of("next.most-rerings");
    static final Rule MOST_RESCORES = Rule.of("next.most-rescores");
    static final Rule STALLED_LOOKS = Rule.of("next.stalled");
    static final Rule EVEN_COVERAGE = Rule.of("next.even");

    private Thresholds() {}
}
