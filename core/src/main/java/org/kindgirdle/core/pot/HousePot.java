package org.kindgirdle.core.pot;

import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A pot that the nursery keeps.
 *
 * @param name the house's own
 * @param diameterMm inner, at the rim, 20 to 2000 mm
 * @param depthMm inner, 20 to 2000 mm
 * @param volumeMl that it holds, 10 to 1 000 000 mL
 * @param massG empty, 0 to 200 000 g
 */
public record HousePot(String name, double diameterMm, double depthMm, double volumeMl, double massG) {

    /**
     * @throws OutOfRangeException if diameterMm is outside 20 to 2000, depthMm is outside 20 to 2000, volumeMl is
     *     outside 10 to 1 000 000 or massG is outside 0 to 200 000
     */
    public HousePot {
        Require.within("diameterMm", diameterMm, 20, 2000);
        Require.within("depthMm", depthMm, 20, 2000);
        Require.within("volumeMl", volumeMl, 10, 1_000_000);
        Require.within("massG", massG, 0, 200_000);
    }
}
