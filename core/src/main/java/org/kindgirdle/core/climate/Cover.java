package org.kindgirdle.core.climate;

/** What lies over the wrap. The peak is the most, in C, that full sun warms a ball under it. */
public enum Cover {
    CLEAR(8),
    BLACK(10),
    FOIL(2),
    WHITE(3);

    private final double peakC;

    Cover(double peakC) {
        this.peakC = peakC;
    }

    public double peakC() {
        return peakC;
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
