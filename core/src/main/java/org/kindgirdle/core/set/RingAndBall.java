package org.kindgirdle.core.set;

import org.kindgirdle.core.units.Require;

/**
 * The cuts and the ball for a branch, all lengths in mm.
 *
 * @param diameterMm the branch under the ring
 * @param ringMm width of the band of bark that comes off
 * @param ballLengthMm the ring, 30 mm above the upper cut and 20 mm below the lower
 * @param ballDiameterMm the branch with the wall of medium round it
 * @param mediumMl squeezed medium in the ball
 * @param filmCm2 film to wrap it, with its overlaps
 */
public record RingAndBall(
        double diameterMm, double ringMm, double ballLengthMm, double ballDiameterMm, double mediumMl, double filmCm2) {

    /** Ball above the upper cut, mm. */
    public static final double ABOVE_MM = 30;

    /** Ball below the lower cut, mm. */
    public static final double BELOW_MM = 20;

    /** Below this diameter, mm, the blade can go through the branch. */
    public static final double THIN_MM = 6;

    /** The branches for which the sums hold, mm. */
    public static final double MIN_DIAMETER_MM = 1;

    public static final double MAX_DIAMETER_MM = 200;

    /**
     * @param diameterMm from 1 to 200
     * @param bridgesReadily whether the species heals over a ring easily
     * @param bridgedBefore whether this limb did, or is ringed again: a wider ring then
     */
    public static RingAndBall of(double diameterMm, boolean bridgesReadily, boolean bridgedBefore) {
        double d = Require.within("diameter, mm,", diameterMm, MIN_DIAMETER_MM, MAX_DIAMETER_MM);
        double ring = clamp(1.5 * d, 20, 60);
        if (bridgesReadily || bridgedBefore) {
            ring = Math.min(75, 1.25 * ring);
        }
        double length = ring + ABOVE_MM + BELOW_MM;
        double diameter = d + 2 * clamp(20 + d, 25, 60);
        double medium = (Math.PI / 6 * diameter * diameter * length - Math.PI / 4 * d * d * length) / 1000;
        double film = (Math.PI * diameter + 50) * (length + 120) / 100;
        return new RingAndBall(d, ring, length, diameter, medium, film);
    }

    /** Whether the blade can go through, so that the screen warns. */
    public boolean isThin() {
        return diameterMm < THIN_MM;
    }

    private static double clamp(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }
}
