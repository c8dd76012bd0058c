package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.plan.Effort;

/**
 * What became of a layer so far, for what the nursery learns from it.
 *
 * @param rooted whether it came off its mother alive; null while that is open
 * @param established whether it was released, of what came off; null while that is open
 * @param toReady between which thermal days of its last ring the ball became full; null if no look says anything, and
 *     for what does not root on its mother
 * @param fullOn the day of the look that found it full first; null if none did
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
        Boolean rooted = severed ? Boolean.TRUE : lost ? Boolean.FALSE : null;
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
        return new Outcome(
                rooted,
                established,
                toReady(state, context),
                state.looks().stream()
                        .filter(look -> isFull(look.look()))
                        .map(LayerState.LookOn::on)
                        .findFirst()
                        .orElse(null),
                severed ? state.plant().severedOn() : null,
                state.endedOn(),
                minutes);
    }

    private static boolean isFull(LayerRecord.Looked look) {
        return look.stage().isAtLeast(RootStage.FILLED);
    }

    /** The last look before it was full, and the first at which it was; where they contradict, the newest counts. */
    private static @Nullable Interval toReady(LayerState state, LayerContext context) {
        if (state.looks().isEmpty() || !context.recipe().method().staysOnMother()) {
            return null;
        }
        HeatTrack heat = new HeatTrack(
                state, context, context.factors(state.set().wood()).speed());
        List<Double> notYet = new ArrayList<>();
        double high = Double.POSITIVE_INFINITY;
        for (LayerState.LookOn look : state.looks()) {
            double thermalDays = heat.throughDay(look.on());
            if (isFull(look.look())) {
                high = Math.min(high, thermalDays);
            } else {
                notYet.add(thermalDays);
                if (thermalDays >= high) {
                    high = Double.POSITIVE_INFINITY;
                }
            }
        }
        double full = high;
        double low = notYet.stream()
                .filter(thermalDays -> thermalDays < full)
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(0);
        return high > low && (low > 0 || high < Double.POSITIVE_INFINITY) ? new Interval(low, high) : null;
    }
}
