package org.kindgirdle.core.climate;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** What lies over the wrap. */
public enum Cover {
    CLEAR,
    BLACK,
    FOIL,
    WHITE;

    private final Rule peak;

    Cover() {
        this.peak = Rule.of("cover." + name() + ".peak");
    }

    /** The most, in C, that full sun warms a ball under it. */
    public double peakC(HouseRules rules) {
        return rules.of(peak);
    }

    /** Foil and white throw the sun back, so that the ball loses less water to it. */
    public boolean isReflecting() {
        return this == FOIL || this == WHITE;
    }

    /** Whether roots can be seen without opening anything. */
    public boolean isSeenThrough() {
        return this == CLEAR;
    }
}
