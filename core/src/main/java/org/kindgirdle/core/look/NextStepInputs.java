package org.kindgirdle.core.look;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.Require;

/**
 * Everything that the next step depends on.
 *
 * @param conditions what is wrong now: found at the last look and not yet mended
 * @param looked whether it was looked at since the last ring
 * @param stage at the last look since the last ring, NONE before any
 * @param coverage share of sectors with roots, 0 to 1
 * @param stalledLooks looks in growth since the stage last rose
 * @param attempts how often it was ringed again
 * @param rescores how often empty sectors were scarred again
 * @param readyP probability of ready by now, before any look since the last ring
 * @param windowP probability of ready by the deadline if ringed again today
 * @param growing seven-day mean above the species' base + 2
 * @param leafless leaf fall recorded or expected
 * @param daysToFrost to the early first frost; 0 until the last one is past; null on a frost-free place
 * @param establishDays days a severed layer needs before frost
 * @param hardy top and young roots stand this place's winter
 * @param cover frost-free cover is at hand
 * @param fruitToKeep there is fruit that is to ripen first
 * @param specimen taken for its shape and even roots
 * @param ballDries within a week
 * @param school when this one is to be severed
 * @param rules the figures of the house that the rules turn on
 */
public record NextStepInputs(
        Set<Condition> conditions,
        boolean looked,
        RootStage stage,
        double coverage,
        int stalledLooks,
        int attempts,
        int rescores,
        double readyP,
        double windowP,
        boolean growing,
        boolean leafless,
        @Nullable Integer daysToFrost,
        int establishDays,
        boolean hardy,
        boolean cover,
        boolean fruitToKeep,
        boolean specimen,
        boolean ballDries,
        School school,
        HouseRules rules) {

    public NextStepInputs {
        conditions = Set.copyOf(conditions);
        Require.within("coverage", coverage, 0, 1);
        Require.within("probability of ready", readyP, 0, 1);
        Require.within("probability by the deadline", windowP, 0, 1);
        Require.within("stalled looks", stalledLooks, 0, 10_000);
        Require.within("attempts", attempts, 0, 10_000);
        Require.within("re-scores", rescores, 0, 10_000);
        Require.within("establish days", establishDays, 0, 366);
        if (daysToFrost != null) {
            Require.within("days to frost", daysToFrost, 0, 366);
        }
    }

    boolean has(Condition condition) {
        return conditions.contains(condition);
    }

    boolean isFilled() {
        return stage.isAtLeast(RootStage.FILLED);
    }

    /** No frost comes, or not for so many days. */
    boolean isFrostAtLeast(int days) {
        return daysToFrost == null || daysToFrost >= days;
    }

    boolean isFrostAmple() {
        return isFrostAtLeast(rules.count(Thresholds.AMPLE_DAYS));
    }

    /** Whether a value is at least what the house has set. */
    boolean reaches(double value, Rule threshold) {
        return value >= rules.of(threshold);
    }

    boolean isOverdue() {
        return reaches(readyP, Thresholds.OVERDUE_P);
    }

    /** There is room to sever and establish before frost. */
    boolean room() {
        return isFrostAtLeast(establishDays);
    }

    boolean near() {
        return !growing || !isFrostAtLeast(rules.count(Thresholds.NEAR_DAYS));
    }

    boolean trouble() {
        return has(Condition.DRY) || has(Condition.WRAP_OPEN) || has(Condition.MEDIUM_LOST) || has(Condition.SLIPPED);
    }

    boolean isStalledTwice() {
        return reaches(stalledLooks, Thresholds.STALLED_LOOKS);
    }
}
