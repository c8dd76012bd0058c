package org.kindgirdle.core.growth;

import java.time.LocalDate;
import java.util.Optional;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * When a species is expected to leaf out, to drop its leaves and to stop growing at a place, as days of the year, from
 * the mean normals.
 */
public final class Phenology {

    private static final Rule LEAF_OUT_ABOVE_BASE_C = Rule.of("phenology.leaf-out-above-base");
    private static final Rule LEAF_FALL_ABOVE_BASE_C = Rule.of("phenology.leaf-fall-above-base");
    private static final Rule GROWING_ABOVE_BASE_C = Rule.of("phenology.growing-above-base");

    private Phenology() {}

    /** Leafless days [leaf fall, leaf-out) of a deciduous species; empty where it never is leafless. */
    public static Optional<DaysOfYear> leafless(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        if (species.habit() != Habit.DECIDUOUS) {
            return Optional.empty();
        }
        double base = species.cardinals().baseC();
        Optional<Integer> out = climate.warmsTo(base + rules.of(LEAF_OUT_ABOVE_BASE_C));
        Optional<Integer> fall = climate.coolsTo(base + rules.of(LEAF_FALL_ABOVE_BASE_C));
        return out.isPresent() && fall.isPresent() && !out.equals(fall)
                ? Optional.of(new DaysOfYear(fall.get(), out.get()))
                : Optional.empty();
    }

    /** The first day after the warmest on which the mean no longer passes base + 2; empty where growth never stops. */
    public static Optional<Integer> growthStops(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        return climate.coolsTo(growsAboveC(rules, species));
    }

    /** Roots and shoots grow while the mean is above this, C. */
    public static double growsAboveC(HouseRules rules, SpeciesProfile species) {
        return species.cardinals().baseC() + rules.of(GROWING_ABOVE_BASE_C);
    }

    /** Whether the species grows at a place on a day: by the mean of the seven days that end with it. */
    public static boolean isGrowing(HouseRules rules, PlaceClimate climate, SpeciesProfile species, LocalDate day) {
        return climate.sevenDayMeanC(day) > growsAboveC(rules, species);
    }
}
