package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** Where the mother's own roots are. */
public enum RootRun {
    GROUND,
    POT;

    private final Rule speed;
    private final Rule odds;

    RootRun() {
        this.speed = Rule.of("root-run." + name() + ".speed");
        this.odds = Rule.of("root-run." + name() + ".odds");
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
