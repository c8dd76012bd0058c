package org.kindgirdle.core.climate;

/** How much direct sun a ball gets. The share scales the sun's warming of the ball. */
public enum Exposure {
    SHADE(0),
    PART(.5),
    FULL(1);

    private final double sunShare;

    Exposure(double sunShare) {
        this.sunShare = sunShare;
    }

    public double sunShare() {
        return sunShare;
    }
}
