package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** How strongly the mother grows. */
public enum Vigour {
    STRONG,
    NORMAL,
    WEAK;

    private final Rule speed;
    private final Rule odds;

    Vigour() {
        this.speed = Rule.of("vigour." + name() + ".speed");
        this.odds = Rule.of("vigour." + name() + ".odds");
    }

    /** What it does to the speed of rooting, as a factor. */
    public double speed(HouseRules rules) {
        return rules.of(speed);
    }

    /** What it does to the odds of rooting, as a factor. */
    public double odds(HouseRules rules) {
        return rules.of(odds);
    }
}
