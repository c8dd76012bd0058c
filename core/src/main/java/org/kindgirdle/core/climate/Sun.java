package org.kindgirdle.core.climate;

import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The sun above a latitude on a day of the year: radiation at the top of the atmosphere and the length of the day.
 * Source: Allen et al., Crop evapotranspiration, FAO Irrigation and Drainage Paper 56 (1998), equations 21 to 25, 34.
 *
 * @param radiationMjM2 MJ a square metre a day
 * @param dayLengthH hours from sunrise to sunset
 */
public record Sun(double radiationMjM2, double dayLengthH) {

    /** The solar constant, MJ a square metre a minute. */
    private static final double SOLAR_CONSTANT = 0.0820;

    /**
     * @param latitude degrees, south negative, from -90 to 90
     * @throws OutOfRangeException if latitude is outside -90 to 90 or day of the year is outside 1 to 366
     */
    public static Sun over(double latitude, int dayOfYear) {
        double phi = Math.toRadians(Require.within("latitude", latitude, -90, 90));
        double year = 2 * Math.PI * Require.within("day of the year", dayOfYear, 1, 366) / 365;
        double distance = 1 + 0.033 * Math.cos(year);
        double declination = 0.409 * Math.sin(year - 1.39);
        // beyond the polar circles the sun may not rise, or not set: the cosine is cut to its range
        double sunset = Math.acos(Math.max(-1, Math.min(1, -Math.tan(phi) * Math.tan(declination))));
        double radiation = 24
                * 60
                / Math.PI
                * SOLAR_CONSTANT
                * distance
                * (sunset * Math.sin(phi) * Math.sin(declination)
                        + Math.cos(phi) * Math.cos(declination) * Math.sin(sunset));
        return new Sun(Math.max(0, radiation), 24 / Math.PI * sunset);
    }
}
