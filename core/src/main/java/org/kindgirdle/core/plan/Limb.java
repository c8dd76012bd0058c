package org.kindgirdle.core.plan;

import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A limb that might be layered.
 *
 * @param diameterMm where the ring would go, 1 to 200 mm
 * @param leanDeg from upright, 0 to 180
 * @param leavesBeyond leaves or buds beyond the ring, 0 to 5000
 * @param toBePruned whether it would come off anyway
 */
public record Limb(double diameterMm, Wood wood, double leanDeg, Vigour vigour, int leavesBeyond, boolean toBePruned) {

    /**
     * @throws OutOfRangeException if diameterMm is outside 1 to 200, leanDeg is outside 0 to 180 or leavesBeyond is
     *     outside 0 to 5000
     */
    public Limb {
        Require.within("diameterMm", diameterMm, 1, 200);
        Require.within("leanDeg", leanDeg, 0, 180);
        Require.within("leavesBeyond", leavesBeyond, 0, 5000);
    }
}
