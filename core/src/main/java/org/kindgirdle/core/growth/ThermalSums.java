package org.kindgirdle.core.growth;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.BallWarmth;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.PlaceClimate;

/**
 * Thermal days of a place, species, exposure and cover, as a prefix sum over days: built once for a weather, shared by
 * every layer there, searched in the logarithm of its length. The recipe's speed is not in it.
 */
public final class ThermalSums {

    /** How far ahead of a ring a date is looked for, days (four years); beyond it there is none. */
    public static final int HORIZON_DAYS = 1461;

    /** A leafless day makes no new sugar and counts as this share of its warmth. */
    private static final double LEAFLESS_SHARE = .25;

    private final LocalDate origin;
    private final double[] sums;

    /**
     * @param from the first day that a layer here can have been set on
     * @param to a day up to which rings may be made; the sums reach the horizon beyond it
     * @param leafless days of the year without leaves; null if it keeps them
     */
    public ThermalSums(
            PlaceClimate climate,
            CardinalTemperatures cardinals,
            Exposure exposure,
            Cover cover,
            @Nullable DaysOfYear leafless,
            LocalDate from,
            LocalDate to) {
        this.origin = from;
        int days = (int) ChronoUnit.DAYS.between(from, to) + HORIZON_DAYS + 1;
        this.sums = new double[days + 1];
        for (int i = 0; i < days; i++) {
            LocalDate day = from.plusDays(i);
            BallWarmth ball = new BallWarmth(climate.on(day), climate.sunOn(day), exposure, cover);
            double share = leafless != null && leafless.includes(day) ? LEAFLESS_SHARE : 1;
            sums[i + 1] = sums[i] + share * cardinals.thermalDays(ball);
        }
    }

    /** Thermal days of the half-open span [from, to); 0 if it is empty. */
    public double between(LocalDate from, LocalDate to) {
        return to.isAfter(from) ? sums[index(to)] - sums[index(from)] : 0;
    }

    /**
     * The first day by whose end so many thermal days have passed since the start of {@code from}; empty beyond the
     * horizon.
     */
    public Optional<LocalDate> firstDayReaching(LocalDate from, double thermalDays) {
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
