package org.kindgirdle.core.climate;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** How much direct sun a ball gets. */
public enum Exposure {
    SHADE,
    PART,
    FULL;

    private final Rule sun;

    Exposure() {
        this.sun = Rule.of("exposure." + name() + ".sun");
    }

    /** The share of the sun's warming that reaches the ball, 0 to 1. */
    public double sunShare(HouseRules rules) {
        return rules.of(sun);
    }
}
