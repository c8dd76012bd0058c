package org.kindgirdle.core.climate;

import java.util.List;
import java.util.stream.IntStream;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Mean daily minimum and maximum of each month, January first, in C. A day between two mid-months is linear between
 * them, across the turn of the year as well.
 *
 * @param minC twelve means of the daily minimum, each from -70 to 60
 * @param maxC twelve means of the daily maximum, none below its minimum
 */
public record MonthlyNormals(List<Double> minC, List<Double> maxC) {

    private static final double[] MID_MONTH = {15.5, 45, 74.5, 105, 135.5, 166, 196.5, 227.5, 258, 288.5, 319, 349.5};
    private static final double DAYS_OF_YEAR = 365;

    /**
     * @throws OutOfRangeException if a minimum is outside -70 to 60, or a maximum below its minimum or above 60
     * @throws IllegalArgumentException if there are not twelve of each
     */
    public MonthlyNormals {
        minC = List.copyOf(minC);
        maxC = List.copyOf(maxC);
        if (minC.size() != 12 || maxC.size() != 12) {
            throw new IllegalArgumentException("monthly normals need twelve minima and twelve maxima; there are "
                    + minC.size() + " and " + maxC.size());
        }
        for (int month = 0; month < 12; month++) {
            Require.within("minimum of month " + (month + 1), minC.get(month), -70, 60);
            Require.within("maximum of month " + (month + 1), maxC.get(month), minC.get(month), 60);
        }
    }

    /** The mean minimum in C of a day of the year, 1 to 366. */
    public double minC(int dayOfYear) {
        return interpolate(minC, dayOfYear);
    }

    /** The mean maximum in C of a day of the year, 1 to 366. */
    public double maxC(int dayOfYear) {
        return interpolate(maxC, dayOfYear);
    }

    /** A copy with every minimum and maximum shifted, in C. */
    public MonthlyNormals plus(double minShiftC, double maxShiftC) {
        return new MonthlyNormals(
                minC.stream().map(value -> value + minShiftC).toList(),
                maxC.stream().map(value -> value + maxShiftC).toList());
    }

    /** A copy with the same means and a share of the swing round them, 0 to 1. */
    public MonthlyNormals swinging(double share) {
        List<DayTemperatures> months = IntStream.range(0, 12)
                .mapToObj(month -> new DayTemperatures(minC.get(month), maxC.get(month)).swinging(share))
                .toList();
        return new MonthlyNormals(
                months.stream().map(DayTemperatures::minC).toList(),
                months.stream().map(DayTemperatures::maxC).toList());
    }

    private static double interpolate(List<Double> months, int dayOfYear) {
        Require.within("day of the year", dayOfYear, 1, 366);
        double noon = Math.min(dayOfYear - 0.5, DAYS_OF_YEAR);
        int next = 0;
        while (next < 12 && MID_MONTH[next] <= noon) {
            next++;
        }
        int before = (next + 11) % 12;
        double start = next == 0 ? MID_MONTH[11] - DAYS_OF_YEAR : MID_MONTH[before];
        double end = next == 12 ? MID_MONTH[0] + DAYS_OF_YEAR : MID_MONTH[next];
        double share = (noon - start) / (end - start);
        double from = months.get(before);
        return from + share * (months.get(next % 12) - from);
    }
}
