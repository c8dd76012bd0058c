package org.kindgirdle.core.set;

/** How hard a species is to root, with the Beta prior of rooted and failed layers that stands for it. */
public enum Difficulty {
    EASY(9, 1),
    MODERATE(7, 3),
    DIFFICULT(4, 6);

    private final double priorRooted;
    private final double priorFailed;

    Difficulty(double priorRooted, double priorFailed) {
        this.priorRooted = priorRooted;
        this.priorFailed = priorFailed;
    }

    public double priorRooted() {
        return priorRooted;
    }

    public double priorFailed() {
        return priorFailed;
    }
}
