package org.kindgirdle.core.growth;

import org.kindgirdle.core.climate.BallWarmth;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The temperatures between which a species makes roots, C.
 *
 * @param baseC below it nothing grows
 * @param optimumC growth is fastest
 * @param ceilingC above it nothing grows
 */
public record CardinalTemperatures(double baseC, double optimumC, double ceilingC) {

    /**
     * @throws OutOfRangeException if baseC is outside -20 to 40
     * @throws IllegalArgumentException if they are not in order
     */
    public CardinalTemperatures {
        Require.within("baseC", baseC, -20, 40);
        if (!(optimumC > baseC && ceilingC > optimumC && ceilingC <= 60)) {
            throw new IllegalArgumentException(
                    "cardinal temperatures must rise from base to optimum to ceiling, at most" + " 60 C; they are "
                            + baseC + ", " + optimumC + ", " + ceilingC);
        }
    }

    /**
     * The rate of growth at a temperature, 0 to 1 at the optimum. Source: the beta function of Yan and Hunt, Annals of
     * Botany 84 (1999) 607-614, with a base temperature.
     *
     * @param tC -100 to 100 C
     * @throws OutOfRangeException if tC is outside -100 to 100
     */
    public double rateAt(double tC) {
        Require.within("tC", tC, -100, 100);
        if (!(tC > baseC && tC < ceilingC)) {
            return 0;
        }
        double exponent = (optimumC - baseC) / (ceilingC - optimumC);
        return (ceilingC - tC) / (ceilingC - optimumC) * Math.pow((tC - baseC) / (optimumC - baseC), exponent);
    }

    /** Thermal days of one day: the mean of the rates of its 24 hours in the ball. */
    public double thermalDays(BallWarmth ball) {
        double sum = 0;
        for (int hour = 0; hour < 24; hour++) {
            sum += rateAt(ball.atHourC(hour));
        }
        return sum / 24;
    }
}
