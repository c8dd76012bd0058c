package org.kindgirdle.core.set;

/** How strongly the mother grows. */
public enum Vigour {
    STRONG(1.05, 1.2),
    NORMAL(1, 1),
    WEAK(.75, .5);

    private final double speed;
    private final double odds;

    Vigour(double speed, double odds) {
        this.speed = speed;
        this.odds = odds;
    }

    public double speed() {
        return speed;
    }

    public double odds() {
        return odds;
    }
}
