package org.kindgirdle.core.climate;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A day's minimum and maximum of the air, in C, measured, forecast or normal.
 *
 * @param minC from -70 to 60
 * @param maxC from the minimum to 60
 */
public record DayTemperatures(double minC, double maxC) {

    /** The hour at which the day is warmest. */
    private static final double WARMEST_HOUR = 14;

    private static final Rule ARID_DEW = Rule.of("climate.arid-dew");

    /** @throws OutOfRangeException if minimum is outside -70 to 60 or maximum is outside minC to 60 */
    public DayTemperatures {
        Require.within("minimum", minC, -70, 60);
        Require.within("maximum", maxC, minC, 60);
    }

    /** The mean of minimum and maximum, C. */
    public double meanC() {
        return (minC + maxC) / 2;
    }

    /**
     * The same mean with a share of the swing round it, 0 to 1.
     *
     * @throws OutOfRangeException if share of the swing is outside 0 to 1
     */
    public DayTemperatures swinging(double share) {
        Require.within("share of the swing", share, 0, 1);
        double half = share * (maxC - minC) / 2;
        return new DayTemperatures(meanC() - half, meanC() + half);
    }

    /** The air at an hour of the day, 0 to 23: a cosine with its top at 14. */
    public double atHourC(int hour) {
        return meanC() + (maxC - minC) / 2 * Math.cos(2 * Math.PI * (hour - WARMEST_HOUR) / 24);
    }

    /**
     * The air's vapour pressure deficit, kPa, when its dew point lies {@code dewDepressionC} below the minimum (0, or
     * 2 on an arid site). Source: FAO-56, equations 11, 12 and 48.
     *
     * @throws OutOfRangeException if dew depression is outside 0 to 10
     */
    public double vpdKpa(double dewDepressionC) {
        Require.within("dew depression", dewDepressionC, 0, 10);
        return (saturationKpa(maxC) + saturationKpa(minC)) / 2 - saturationKpa(minC - dewDepressionC);
    }

    /** How far the dew point lies below the minimum on an arid site, C. */
    public static double aridDewDepressionC(HouseRules rules) {
        return rules.of(ARID_DEW);
    }

    private static double saturationKpa(double tC) {
        return .6108 * Math.exp(17.27 * tC / (tC + 237.3));
    }
}
