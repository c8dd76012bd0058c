package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.plan.Effort;

/**
 * What became of a layer so far, for what the nursery learns from it.
 *
 * @param rooted whether its ball became full or it came off its mother alive; null while that is open
 * @param established whether it was released, of what came off; null while that is open
 * @param toReady between which thermal days of its last ring the ball became full; null if no look says anything, and
 *     for what does not root on its mother
 * @param fullOn the day of the look that found it full first, and none after it otherwise; null if none did
 * @param severedOn null if it was not
 * @param endedOn the day it was released or lost; null while it lives
 * @param minutes of work on it so far, by the house's figures
 */
public record Outcome(
        @Nullable Boolean rooted,
        @Nullable Boolean established,
        @Nullable Interval toReady,
        @Nullable LocalDate fullOn,
        @Nullable LocalDate severedOn,
        @Nullable LocalDate endedOn,
        double minutes) {

    /** Of a layer as its journal has it. Weather that comes to be known later moves its thermal days. */
    public static Outcome of(LayerState state, LayerContext context) {
        boolean severed = state.plant() != null;
        boolean lost = state.phase() == LayerPhase.LOST;
        // a ball that is full has rooted, though it is still on its mother
        boolean full = state.stage().isAtLeast(RootStage.FILLED);
        Boolean rooted = severed || full && !lost ? Boolean.TRUE : lost ? Boolean.FALSE : null;
        Boolean established =
                !severed ? null : state.phase() == LayerPhase.RELEASED ? Boolean.TRUE : lost ? Boolean.FALSE : null;
        double minutes = Effort.of(
                        context.rules(),
                        1,
                        context.recipe().isReadyBag(),
                        state.looksEver(),
                        state.topUps(),
                        severed ? 1 : 0)
                .minutes();
        Around around = Around.of(state.looks());
        return new Outcome(
                rooted,
                established,
                toReady(around, state, context),
                around.full() == null ? null : around.full().on(),
                severed ? state.plant().severedOn() : null,
                state.endedOn(),
                minutes);
    }

    /** The looks on both sides of the day on which the ball became full; where looks contradict, the newest counts. */
    private record Around(LayerState.@Nullable LookOn before, LayerState.@Nullable LookOn full) {

        static Around of(List<LayerState.LookOn> looks) {
            LayerState.LookOn before = null;
            LayerState.LookOn full = null;
            for (LayerState.LookOn look : looks) {
                if (!look.look().stage().isAtLeast(RootStage.FILLED)) {
                    before = look;
                    full = null;
                } else if (full == null) {
                    full = look;
                }
            }
            return new Around(before, full);
        }
    }

    private static @Nullable Interval toReady(Around around, LayerState state, LayerContext context) {
        if (!context.recipe().method().staysOnMother()) {
            return null;
        }
        HeatTrack heat = new HeatTrack(state, context);
        double low =
                around.before() == null ? 0 : heat.throughDay(around.before().on());
        double high = around.full() == null
                ? Double.POSITIVE_INFINITY
                : heat.throughDay(around.full().on());
        // two looks on one cold day say nothing, nor does a first one before any warmth
        return high > low && (low > 0 || high < Double.POSITIVE_INFINITY) ? new Interval(low, high) : null;
    }
}
