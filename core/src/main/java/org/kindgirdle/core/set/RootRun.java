package org.kindgirdle.core.set;

/** Where the mother's own roots are. */
public enum RootRun {
    GROUND(1, 1),
    POT(.75, .7);

    private final double speed;
    private final double odds;

    RootRun(double speed, double odds) {
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
