package org.kindgirdle.core.look;

import org.kindgirdle.core.units.Require;

/**
 * The nursery's own figures for the next step.
 *
 * @param establishDays days a severed layer needs before frost, to winter under cover
 * @param youngRootKillC what young roots in a ball bear, C
 * @param matureRootKillC what mature roots in a ball bear, C
 */
public record HouseRules(int establishDays, double youngRootKillC, double matureRootKillC) {

    /** The planning defaults that the application begins with. */
    public static final HouseRules SHIPPED = new HouseRules(42, -5, -8);

    public HouseRules {
        Require.within("establishDays", establishDays, 7, 200);
        Require.within("youngRootKillC", youngRootKillC, -30, 5);
        Require.within("matureRootKillC", matureRootKillC, -30, 5);
    }
}
