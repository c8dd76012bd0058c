package org.kindgirdle.core.growth;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.BallWarmth;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Thermal days of a place, species, exposure and cover, as a prefix sum over days: built once for a weather, shared by
 * every layer there, searched in the logarithm of its length. The recipe's speed is not in it.
 */
public final class ThermalSums {

    /** How far ahead of a ring a date is looked for, days (four years); beyond it there is none. */
    public static final int HORIZON_DAYS = 1461;

    private static final Rule LEAFLESS_SHARE = Rule.of("phenology.leafless-share");

    private static final int DAYS_OF_YEAR = 366;
    private static final double MAX_THERMAL_DAYS = 1e9;

    private final LocalDate origin;
    private final double[] days;
    private final double[] sums;
    private final float[] hottestC;

    /**
     * @param from the first day that a layer here can have been set on
     * @param to a day up to which rings may be made; the sums reach the horizon beyond it
     * @param leafless days of the year without leaves; null if it keeps them
     */
    public ThermalSums(
            HouseRules rules,
            PlaceClimate climate,
            CardinalTemperatures cardinals,
            Exposure exposure,
            Cover cover,
            @Nullable DaysOfYear leafless,
            LocalDate from,
            LocalDate to) {
        this(rules, climate, cardinals, exposure, cover, leafless, from, to, null);
    }

    /**
     * The same, with what was worked out already for weather as it was known before: a new day changes few of them.
     *
     * @param earlier of the same place by the same rules, cardinal temperatures, exposure, cover and leafless days; null
     *     for none
     */
    public ThermalSums(
            HouseRules rules,
            PlaceClimate climate,
            CardinalTemperatures cardinals,
            Exposure exposure,
            Cover cover,
            @Nullable DaysOfYear leafless,
            LocalDate from,
            LocalDate to,
            @Nullable Earlier earlier) {
        this.origin = from;
        int length = (int) ChronoUnit.DAYS.between(from, to) + HORIZON_DAYS + 1;
        this.days = new double[length];
        this.sums = new double[length + 1];
        this.hottestC = new float[length];
        boolean follows = earlier != null && earlier.sums.origin.equals(from) && earlier.sums.days.length == length;
        // a day that is as normals have it is the same every year: it is worked out once
        double[] normalDays = new double[DAYS_OF_YEAR + 1];
        float[] normalHottestC = new float[DAYS_OF_YEAR + 1];
        Arrays.fill(normalDays, Double.NaN);
        for (int i = 0; i < length; i++) {
            LocalDate day = from.plusDays(i);
            if (follows && earlier.climate.on(day).equals(climate.on(day))) {
                days[i] = earlier.sums.days[i];
                hottestC[i] = earlier.sums.hottestC[i];
                sums[i + 1] = sums[i] + days[i];
                continue;
            }
            int dayOfYear = day.getDayOfYear();
            boolean isNormal = climate.isNormal(day);
            if (isNormal && !Double.isNaN(normalDays[dayOfYear])) {
                days[i] = normalDays[dayOfYear];
                sums[i + 1] = sums[i] + days[i];
                hottestC[i] = normalHottestC[dayOfYear];
                continue;
            }
            BallWarmth ball = BallWarmth.of(rules, climate.on(day), climate.sunOn(day), exposure, cover);
            double share = leafless != null && leafless.includes(day) ? rules.of(LEAFLESS_SHARE) : 1;
            double thermalDays = share * cardinals.thermalDays(ball);
            days[i] = thermalDays;
            sums[i + 1] = sums[i] + thermalDays;
            hottestC[i] = (float) ball.maxC();
            if (isNormal) {
                normalDays[dayOfYear] = thermalDays;
                normalHottestC[dayOfYear] = hottestC[i];
            }
        }
    }

    /** Sums with the climate that they were made from, which they do not keep themselves. */
    public record Earlier(ThermalSums sums, PlaceClimate climate) {}

    /** The hottest that a ball gets in the half-open span [from, to), C; not empty. */
    public double hottestC(LocalDate from, LocalDate to) {
        float hottest = Float.NEGATIVE_INFINITY;
        for (int i = index(from); i < index(to); i++) {
            hottest = Math.max(hottest, hottestC[i]);
        }
        return hottest;
    }

    /** Thermal days of the half-open span [from, to); 0 if it is empty. */
    public double between(LocalDate from, LocalDate to) {
        return to.isAfter(from) ? sums[index(to)] - sums[index(from)] : 0;
    }

    /**
     * The first day by whose end so many thermal days have passed since the start of {@code from}; empty beyond the
     * horizon.
     *
     * @param thermalDays 0 to 1e9
     * @throws OutOfRangeException if thermalDays is outside 0 to 1e9
     */
    public Optional<LocalDate> firstDayReaching(LocalDate from, double thermalDays) {
        Require.within("thermalDays", thermalDays, 0, MAX_THERMAL_DAYS);
        int start = index(from);
        double wanted = sums[start] + thermalDays;
        int low = start + 1;
        int high = Math.min(start + HORIZON_DAYS, sums.length - 1);
        if (sums[high] < wanted) {
            return Optional.empty();
        }
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (sums[middle] >= wanted) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return Optional.of(origin.plusDays(low - 1L));
    }

    private int index(LocalDate day) {
        long index = ChronoUnit.DAYS.between(origin, day);
        if (index < 0 || index >= sums.length) {
            throw new IllegalArgumentException("the thermal sums run from " + origin + " to "
                    + origin.plusDays(sums.length - 1L) + "; " + day + " lies outside");
        }
        return (int) index;
    }
}
