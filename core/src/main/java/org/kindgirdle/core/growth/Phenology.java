package org.kindgirdle.core.growth;

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

    private static final Rule KEEPS_LEAF_C = Rule.of("phenology.keeps-leaf");
    private static final Rule WINTER_BELOW_C = Rule.of("phenology.winter-below");
    private static final Rule REST_DAYS = Rule.of("phenology.rest");

    private Phenology() {}

    /**
     * Leafless days [leaf fall, leaf-out) of a deciduous species; empty where it never is leafless. Where winters are too
     * mild for the thresholds, a coldest mean of 15 C or more keeps the leaf on; else it falls when the mean passes the
     * middle of the year's warmest and coldest, and the tree rests for 60 days at least.
     */
    public static Optional<DaysOfYear> leafless(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        if (species.habit() != Habit.DECIDUOUS) {
            return Optional.empty();
        }
        double base = species.cardinals().baseC();
        Optional<Integer> out = climate.warmsTo(base + rules.of(LEAF_OUT_ABOVE_BASE_C));
        if (out.isEmpty()) {
            return Optional.empty();
        }
        Optional<Integer> fall = climate.coolsTo(base + rules.of(LEAF_FALL_ABOVE_BASE_C));
        if (fall.isPresent() && !out.equals(fall)) {
            return Optional.of(new DaysOfYear(fall.get(), out.get()));
        }
        double coldest = climate.normalOn(climate.coldestDayOfYear()).meanC();
        double warmest = climate.normalOn(climate.warmestDayOfYear()).meanC();
        if (coldest >= rules.of(KEEPS_LEAF_C)) {
            return Optional.empty();
        }
        return climate.coolsTo((warmest + coldest) / 2).map(day -> {
            int rest = Math.max(rules.count(REST_DAYS), DaysOfYear.from(day, out.get()));
            return new DaysOfYear(day, DaysOfYear.later(day, rest));
        });
    }

    /** The first day after the warmest on which the mean no longer passes base + 2; empty where growth never stops. */
    public static Optional<Integer> growthStops(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        return climate.coolsTo(growsAboveC(rules, species));
    }

    /** Roots and shoots grow while the mean is above this, C. */
    public static double growsAboveC(HouseRules rules, SpeciesProfile species) {
        return species.cardinals().baseC() + rules.of(GROWING_ABOVE_BASE_C);
    }

    /** Whether a winter comes that plants of cold climates can rest in. */
    public static boolean bringsWinter(HouseRules rules, PlaceClimate climate) {
        return climate.normalOn(climate.coldestDayOfYear()).meanC() < rules.of(WINTER_BELOW_C);
    }

    /** The first day after the coldest on which the mean passes that; empty where growth never stops or never begins. */
    public static Optional<Integer> growthBegins(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        double above = growsAboveC(rules, species);
        return climate.normalOn(climate.coldestDayOfYear()).meanC() > above ? Optional.empty() : climate.warmsTo(above);
    }
}
