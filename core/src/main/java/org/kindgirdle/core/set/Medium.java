package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** What a ball is filled with. */
public enum Medium {
    MOSS,
    COIR,
    PEAT,
    COIR_PERLITE,
    COIR_HUSK,
    COIR_SAND,
    MANURE_EARTH,
    HUSK_FIBRE,
    POTTING_MIX,
    HEAVY_SOIL;

    private final Rule speed;
    private final Rule odds;
    private final Rule wetDensity;
    private final Rule water;

    Medium() {
        this.speed = Rule.of("medium." + name() + ".speed");
        this.odds = Rule.of("medium." + name() + ".odds");
        this.wetDensity = Rule.of("medium." + name() + ".wet-density");
        this.water = Rule.of("medium." + name() + ".water");
    }

    /** What it does to the speed of rooting, as a factor. */
    public double speed(HouseRules rules) {
        return rules.of(speed);
    }

    /** What it does to the odds of rooting, as a factor. */
    public double odds(HouseRules rules) {
        return rules.of(odds);
    }

    /** Its mass as it sits squeezed in the ball, kg/L. */
    public double wetDensityKgL(HouseRules rules) {
        return rules.of(wetDensity);
    }

    /** The water that it then holds, g/mL. */
    public double waterGMl(HouseRules rules) {
        return rules.of(water);
    }
}
