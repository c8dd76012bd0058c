package org.kindgirdle.core.look;

import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.units.Require;

/**
 * How a ball dries and when it wants water.
 *
 * @param waterG water in a freshly filled ball, g; half of it is usable
 * @param lossGDay what it loses a day, g
 * @param rawDays days until the usable half is gone
 * @param intervalDays whole days between top-ups, 3 to 60
 */
public record TopUp(double waterG, double lossGDay, double rawDays, int intervalDays) {

    private static final double USABLE = .5;
    private static final double LEAST_VPD_KPA = .3;
    private static final int LEAST_DAYS = 3;
    private static final int MOST_DAYS = 60;
    private static final double[] SUN = {1, 1.25, 1.6};
    private static final double[] SUN_REFLECTED = {1, 1.1, 1.25};
    private static final double[] DRUNK_A_DAY = {0, 0, .005, .015, .03, .05};

    /**
     * @param lengthMm and {@code diameterMm} of the ball
     * @param reflected whether foil or white covers it
     */
    public static TopUp of(
            double mediumMl,
            double lengthMm,
            double diameterMm,
            Medium medium,
            Wrap wrap,
            Exposure exposure,
            boolean reflected,
            double vpdKpa,
            RootStage stage) {
        Require.within("VPD, kPa,", vpdKpa, 0, 15);
        double water = Require.positive("medium, mL,", mediumMl) * medium.waterGMl();
        double areaDm2 = (Math.PI * diameterMm * lengthMm + Math.PI * diameterMm * diameterMm / 2) / 10_000;
        double sun = (reflected ? SUN_REFLECTED : SUN)[exposure.ordinal()];
        double loss = wrap.lossGDm2Kpa() * areaDm2 * Math.max(LEAST_VPD_KPA, vpdKpa) * sun
                + DRUNK_A_DAY[stage.ordinal()] * water;
        double raw = USABLE * water / loss;
        int interval = (int) Math.max(LEAST_DAYS, Math.min(MOST_DAYS, Math.floor(raw)));
        return new TopUp(water, loss, raw, interval);
    }

    /** Whether this wrap dries too fast for its place. */
    public boolean isUnsuitable() {
        return rawDays < LEAST_DAYS;
    }

    /** Water to add after so many days, g: what was lost, never more than a fresh ball holds. */
    public double waterToAddG(long days) {
        return Math.min(waterG, lossGDay * Math.max(0, days));
    }
}
