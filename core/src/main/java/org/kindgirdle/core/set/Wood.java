package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * The age of the wood under the ring: this year's green growth, one or two years, three or four, or older; with what
 * it does to rooting and what it bears.
 */
public enum Wood {
    SOFT,
    ONE_TWO,
    THREE_FOUR,
    OLDER;

    private final Rule speed;
    private final Rule odds;
    private final Rule allowable;
    private final Rule elasticity;

    Wood() {
        this.speed = Rule.of("wood." + name() + ".speed");
        this.odds = Rule.of("wood." + name() + ".odds");
        this.allowable = Rule.of("wood." + name() + ".allowable");
        this.elasticity = Rule.of("wood." + name() + ".elasticity");
    }

    /** What it does to the speed of rooting, as a factor. */
    public double speed(HouseRules rules) {
        return rules.of(speed);
    }

    /** What it does to the odds of rooting, as a factor. */
    public double odds(HouseRules rules) {
        return rules.of(odds);
    }

    /** The bending stress that it may be given, MPa. */
    public double allowableMpa(HouseRules rules) {
        return rules.of(allowable);
    }

    /** Its modulus of elasticity, GPa. */
    public double elasticityGpa(HouseRules rules) {
        return rules.of(elasticity);
    }
}
