package org.kindgirdle.core.growth;

import java.util.Optional;
import org.kindgirdle.core.climate.PlaceClimate;

/**
 * When a species is expected to leaf out, to drop its leaves and to stop growing at a place, as days of the year, from
 * the mean normals.
 */
public final class Phenology {

    /** Leaves come when the mean passes the base by this much, C. */
    private static final double LEAF_OUT_ABOVE_BASE_C = 5;

    /** Leaves fall when the mean drops to the base and this much, C. */
    private static final double LEAF_FALL_ABOVE_BASE_C = 3;

    /** Roots and shoots grow while the mean is above the base by more than this, C. */
    public static final double GROWING_ABOVE_BASE_C = 2;

    private Phenology() {}

    /** Leafless days [leaf fall, leaf-out) of a deciduous species; empty where it never is leafless. */
    public static Optional<DaysOfYear> leafless(PlaceClimate climate, SpeciesProfile species) {
        if (species.habit() != Habit.DECIDUOUS) {
            return Optional.empty();
        }
        double base = species.cardinals().baseC();
        Optional<Integer> out = firstDay(climate, climate.coldestDayOfYear(), base + LEAF_OUT_ABOVE_BASE_C, true);
        Optional<Integer> fall = firstDay(climate, climate.warmestDayOfYear(), base + LEAF_FALL_ABOVE_BASE_C, false);
        return out.isPresent() && fall.isPresent() && !out.equals(fall)
                ? Optional.of(new DaysOfYear(fall.get(), out.get()))
                : Optional.empty();
    }

    /** The first day after the warmest on which the mean no longer passes base + 2; empty where growth never stops. */
    public static Optional<Integer> growthStops(PlaceClimate climate, SpeciesProfile species) {
        return firstDay(climate, climate.warmestDayOfYear(), species.cardinals().baseC() + GROWING_ABOVE_BASE_C, false);
    }

    /** The first day after the coldest on which the mean normal reaches so many C; the coldest itself if always above. */
    public static Optional<Integer> warmsTo(PlaceClimate climate, double meanC) {
        return firstDay(climate, climate.coldestDayOfYear(), meanC, true);
    }

    private static Optional<Integer> firstDay(PlaceClimate climate, int start, double meanC, boolean rising) {
        for (int i = 0; i < 365; i++) {
            int day = (start - 1 + i) % 365 + 1;
            double mean = climate.normalOn(day).meanC();
            if (rising ? mean >= meanC : mean <= meanC) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }
}
