package org.kindgirdle.core.set;

/**
 * The age of the wood under the ring: this year's green growth, one or two years, three or four, or older; with what
 * it does to rooting and what it bears.
 */
public enum Wood {
    SOFT(1.1, .8, 6, .8),
    ONE_TWO(1, 1, 20, 4),
    THREE_FOUR(.75, .6, 28, 6),
    OLDER(.55, .4, 32, 7);

    private final double speed;
    private final double odds;
    private final double allowableMpa;
    private final double elasticityGpa;

    Wood(double speed, double odds, double allowableMpa, double elasticityGpa) {
        this.speed = speed;
        this.odds = odds;
        this.allowableMpa = allowableMpa;
        this.elasticityGpa = elasticityGpa;
    }

    public double speed() {
        return speed;
    }

    public double odds() {
        return odds;
    }

    /** The bending stress that it may be given, MPa. */
    public double allowableMpa() {
        return allowableMpa;
    }

    /** Its modulus of elasticity, GPa. */
    public double elasticityGpa() {
        return elasticityGpa;
    }
}
