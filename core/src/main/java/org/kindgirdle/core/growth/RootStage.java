package org.kindgirdle.core.growth;

/**
 * How far the roots have come, with the fraction of the full rooting time at which each stage begins and the maturity
 * that it lends to the roots.
 */
public enum RootStage {
    NONE(0),
    CALLUS(.30),
    INITIALS(.55),
    ROOTED(.80),
    FILLED(1.00),
    MATURE(1.30);

    private final double beginsAt;

    RootStage(double beginsAt) {
        this.beginsAt = beginsAt;
    }

    /** Share of the time to a full ball at which it begins. */
    public double beginsAt() {
        return beginsAt;
    }

    /** Share at which the next stage begins; infinite for the last. */
    public double endsAt() {
        return this == MATURE ? Double.POSITIVE_INFINITY : values()[ordinal() + 1].beginsAt;
    }

    public boolean isAtLeast(RootStage other) {
        return ordinal() >= other.ordinal();
    }

    /** The stage of a layer that has had this share of its time, 0 and up. */
    public static RootStage at(double share) {
        RootStage reached = NONE;
        for (RootStage stage : values()) {
            if (share >= stage.beginsAt) {
                reached = stage;
            }
        }
        return reached;
    }
}
