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
        Optional<Integer> out = climate.warmsTo(base + LEAF_OUT_ABOVE_BASE_C);
        Optional<Integer> fall = climate.coolsTo(base + LEAF_FALL_ABOVE_BASE_C);
        return out.isPresent() && fall.isPresent() && !out.equals(fall)
                ? Optional.of(new DaysOfYear(fall.get(), out.get()))
                : Optional.empty();
    }

    /** The first day after the warmest on which the mean no longer passes base + 2; empty where growth never stops. */
    public static Optional<Integer> growthStops(PlaceClimate climate, SpeciesProfile species) {
        return climate.coolsTo(species.cardinals().baseC() + GROWING_ABOVE_BASE_C);
    }
}
