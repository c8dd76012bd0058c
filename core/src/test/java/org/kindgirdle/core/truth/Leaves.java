package org.kindgirdle.core.truth;

/** Whether a plant is in leaf: it drops its leaves when a spell is cool, and comes out after rest and warmth. */
public final class Leaves {

    private static final double FALLS_ABOVE_REST_C = 3.5;
    private static final double ALWAYS_FALLS_BELOW_C = 14;
    private static final int LEAST_IN_LEAF_DAYS = 110;
    private static final int LEAST_REST_DAYS = 50;
    private static final double OUT_DEGREE_DAYS = 75;

    private final Kind kind;
    private double spellC;
    private boolean inLeaf;
    private int since;
    private double warmth;

    /** @param warmC the mean of the days before */
    public Leaves(Kind kind, double warmC) {
        this.kind = kind;
        this.spellC = warmC;
        this.inLeaf = !kind.dropsLeaf() || warmC > kind.restsBelowC() + FALLS_ABOVE_REST_C;
        this.since = 40;
    }

    public boolean inLeaf() {
        return inLeaf;
    }

    /** A day goes by. */
    public void pass(Air air) {
        if (!kind.dropsLeaf()) {
            return;
        }
        double before = spellC;
        spellC += (air.meanC() - spellC) / 14;
        since++;
        if (inLeaf) {
            boolean cools = spellC < before;
            if (cools
                    && since > LEAST_IN_LEAF_DAYS
                    && spellC < Math.min(ALWAYS_FALLS_BELOW_C, kind.restsBelowC() + FALLS_ABOVE_REST_C)) {
                inLeaf = false;
                since = 0;
                warmth = 0;
            }
            return;
        }
        if (since > LEAST_REST_DAYS) {
            warmth += Math.max(0, air.meanC() - kind.restsBelowC());
        }
        if (warmth > OUT_DEGREE_DAYS) {
            inLeaf = true;
            since = 0;
        }
    }
}
