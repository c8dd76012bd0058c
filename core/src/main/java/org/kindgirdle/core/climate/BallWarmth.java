package org.kindgirdle.core.climate;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The temperature inside a ball through one day: the air's, and what the sun adds through the cover while it is up.
 *
 * @param air the day's air
 * @param sun the day's sun
 * @param peakC what full sun adds at most, 0 to 30 C
 */
public record BallWarmth(DayTemperatures air, Sun sun, double peakC) {

    /** Radiation, MJ a square metre a day, from which on the full peak is reached: about the most on earth. */
    private static final double FULL_SUN_MJ = 40;

    /** The middle of the sun's warming: the ball lags behind the sun. Part of the model's shape, not a house figure. */
    private static final double MIDDLE_HOUR = 13;

    private static final double MAX_PEAK_C = 30;

    /** @throws OutOfRangeException if peakC is outside 0 to 30 */
    public BallWarmth {
        Require.within("peakC", peakC, 0, MAX_PEAK_C);
    }

    /**
     * Of a ball in its place.
     *
     * @param exposure how much of the sun reaches the ball
     * @param cover what lies over the wrap
     */
    public static BallWarmth of(HouseRules rules, DayTemperatures air, Sun sun, Exposure exposure, Cover cover) {
        return new BallWarmth(air, sun, exposure.sunShare(rules) * cover.peakC(rules));
    }

    /** The ball at an hour of the day, 0 to 23, in C. */
    public double atHourC(int hour) {
        double length = sun.dayLengthH();
        double x = length > 0 ? (hour - (MIDDLE_HOUR - length / 2)) / length : 0;
        double warming =
                x > 0 && x < 1 ? peakC * Math.min(1, sun.radiationMjM2() / FULL_SUN_MJ) * Math.sin(Math.PI * x) : 0;
        return air.atHourC(hour) + warming;
    }

    /** The warmest hour of the day, in C. */
    public double maxC() {
        double max = Double.NEGATIVE_INFINITY;
        for (int hour = 0; hour < 24; hour++) {
            max = Math.max(max, atHourC(hour));
        }
        return max;
    }
}
