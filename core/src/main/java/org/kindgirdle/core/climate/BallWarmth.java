package org.kindgirdle.core.climate;

/**
 * The temperature inside a ball through one day: the air's, and what the sun adds through the cover while it is up.
 *
 * @param air the day's air
 * @param sun the day's sun
 * @param exposure how much of it reaches the ball
 * @param cover what lies over the wrap
 */
public record BallWarmth(DayTemperatures air, Sun sun, Exposure exposure, Cover cover) {

    /** Radiation, MJ a square metre a day, from which on the full peak is reached. */
    private static final double FULL_SUN_MJ = 40;

    private static final double SOLAR_HEIGHT_HOUR = 13;

    /** The ball at an hour of the day, 0 to 23, in C. */
    public double atHourC(int hour) {
        double length = sun.dayLengthH();
        double x = length > 0 ? (hour - (SOLAR_HEIGHT_HOUR - length / 2)) / length : 0;
        double peak = exposure.sunShare() * cover.peakC();
        double warming =
                x > 0 && x < 1 ? peak * Math.min(1, sun.radiationMjM2() / FULL_SUN_MJ) * Math.sin(Math.PI * x) : 0;
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
