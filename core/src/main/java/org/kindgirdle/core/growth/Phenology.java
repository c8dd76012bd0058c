package org.kindgirdle.core.growth;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
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

    /** Leafless days as they are expected by the normals, with nothing seen. */
    public static Optional<DaysOfYear> leafless(HouseRules rules, PlaceClimate climate, SpeciesProfile species) {
        return leafless(rules, climate, species, SeenLeaf.NONE);
    }

    /**
     * Leafless days [leaf fall, leaf-out) of a deciduous species; empty where it never is leafless. What was seen
     * overrules what is expected. Where winters are too mild for the thresholds, a coldest mean of 15 C or more keeps the
     * leaf on, unless it was seen to fall or to come; else it falls when the mean passes the middle of the year's warmest
     * and coldest. Where leaf-out was not seen, the tree rests for 60 days at least.
     */
    public static Optional<DaysOfYear> leafless(
            HouseRules rules, PlaceClimate climate, SpeciesProfile species, SeenLeaf seen) {
        if (species.habit() != Habit.DECIDUOUS) {
            return Optional.empty();
        }
        double base = species.cardinals().baseC();
        Optional<Integer> warms = climate.warmsTo(base + rules.of(LEAF_OUT_ABOVE_BASE_C));
        Optional<Integer> cools = climate.coolsTo(base + rules.of(LEAF_FALL_ABOVE_BASE_C));
        boolean bothMet = warms.isPresent() && cools.isPresent() && !warms.equals(cools);
        boolean wasSeen = !seen.equals(SeenLeaf.NONE);
        double coldest = climate.normalOn(climate.coldestDayOfYear()).meanC();
        if (!wasSeen && !bothMet && (warms.isEmpty() || coldest >= rules.of(KEEPS_LEAF_C))) {
            return Optional.empty();
        }
        Optional<Integer> fall = Optional.ofNullable(seen.fall())
                .or(() -> bothMet ? cools : unmetFall(rules, climate, coldest, seen.out()));
        // where it is always warm enough, no day tells a tree that was bare to come out
        Optional<Integer> tells =
                seen.fall() != null && coldest >= base + rules.of(LEAF_OUT_ABOVE_BASE_C) ? Optional.empty() : warms;
        return fall.map(day -> new DaysOfYear(day, out(rules, seen, tells, bothMet && seen.fall() == null, day)));
    }

    /**
     * Leaf fall where no day is cold enough to expect it: the first day after the warmest on which the mean has fallen
     * below the middle of the warmest and the coldest. One that keeps its leaf there, and was seen to leaf out all the
     * same, was bare for as long as it rests.
     */
    private static Optional<Integer> unmetFall(
            HouseRules rules, PlaceClimate climate, double coldestC, @Nullable Integer seenOut) {
        if (seenOut != null && coldestC >= rules.of(KEEPS_LEAF_C)) {
            return Optional.of(DaysOfYear.later(seenOut, -rules.count(REST_DAYS)));
        }
        double warmest = climate.normalOn(climate.warmestDayOfYear()).meanC();
        return climate.coolsTo((warmest + coldestC) / 2);
    }

    /**
     * @param warms the day on which it is warm enough; empty where no day is the first that is
     * @param asExpected whether leaf fall is the expected one, so that the expected leaf-out goes with it as it is
     */
    private static int out(HouseRules rules, SeenLeaf seen, Optional<Integer> warms, boolean asExpected, int fall) {
        if (seen.out() != null) {
            return seen.out();
        }
        if (asExpected) {
            return warms.orElseThrow();
        }
        int rest = rules.count(REST_DAYS);
        int ahead = warms.map(day -> DaysOfYear.from(fall, day)).orElse(rest);
        // a day that has just gone by belongs to the spring before
        return DaysOfYear.later(fall, ahead > DaysOfYear.YEAR - rest ? rest : Math.max(rest, ahead));
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
