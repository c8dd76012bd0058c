package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Verdict;

/**
 * A layer as of a day: what the screens show and the rounds are planned from.
 *
 * @param state what the journal says
 * @param ball cuts and ball, with the ring as it was cut
 * @param load on the limb
 * @param factors of the recipe on this limb and mother
 * @param forecast of the roots; null after severance
 * @param verdict the next step on the mother; null after severance
 * @param hardening the next step of the young plant; null before severance and when finished
 * @param alsoDo beside the step
 * @param jobs all that is to be done, by last day
 */
public record LayerProjection(
        LayerState state,
        RingAndBall ball,
        BranchLoad load,
        RecipeFactors factors,
        @Nullable RootForecast forecast,
        @Nullable Verdict<NextStep, NextStepRules> verdict,
        @Nullable HardenVerdict hardening,
        Set<AlsoDo> alsoDo,
        List<Job> jobs) {

    /** A job may be put off by at most so many days from the day on which that is said. */
    public static final int MAX_DEFERRED_DAYS = 28;

    public LayerProjection {
        alsoDo = Set.copyOf(alsoDo);
        jobs = List.copyOf(jobs);
    }

    /** The verdict that is in force: of the next step on the mother, or of the young plant; null when finished. */
    public @Nullable Verdict<?, ?> decision() {
        return verdict != null ? verdict : hardening == null ? null : hardening.verdict();
    }

    /** The job with the earliest last day; null if there is none. */
    public @Nullable Job nextJob() {
        return jobs.isEmpty() ? null : jobs.get(0);
    }

    /**
     * The roots' time.
     *
     * @param thermalDays G by the end of the day
     * @param time what the dates rest on: the profile or own records
     * @param ready what the looks leave of the time to ready
     * @param readyP probability that the ball is full now
     * @param q10 first day with a tenth of the probability, null beyond the horizon; q50 and q90 alike
     * @param topUp how the ball dries
     * @param topUpOn when it wants water
     * @param waterToAddG what it has lost by now
     * @param deadline the coming day by which it should be full, by its school; null where no frost comes
     * @param inTimeP probability that it is, by what its looks leave; 1 where there is no such day
     */
    public record RootForecast(
            double thermalDays,
            RootingTime time,
            TimeToReady ready,
            double readyP,
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90,
            TopUp topUp,
            LocalDate topUpOn,
            double waterToAddG,
            @Nullable LocalDate deadline,
            double inTimeP) {}
}
