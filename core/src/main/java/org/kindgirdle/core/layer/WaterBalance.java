package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;

/**
 * The water in a ball, day by day: from the last watering on each day takes its own loss, by its own air and the stage
 * that the roots had by then. What becomes known today changes only the days from today on, so that the date of the next
 * top-up never jumps back to the last watering.
 */
final class WaterBalance {

    /** A look that finds a ball neither dry nor wet finds at least this share of its water above the trigger. */
    private static final double FOUND_MOIST = .25;

    private final LayerContext context;
    private final HouseRules rules;
    private final RingAndBall ball;
    private final Recipe wrapped;
    private final List<Turn> turns = new ArrayList<>();

    /** From a day on another cover or stage counts, or a look says what is in the ball. */
    private record Turn(
            LocalDate on,
            Cover cover,
            RootStage stage,
            @Nullable Set<Condition> found) {}

    WaterBalance(LayerState state, LayerContext context, RingAndBall ball, List<LayerState.CoverFrom> covers) {
        this.context = context;
        this.rules = context.rules();
        this.ball = ball;
        LocalDate watered = state.wateredOn();
        this.wrapped = context.wrappedBy(state);
        Cover cover = wrapped.cover();
        RootStage stage = RootStage.NONE;
        List<Turn> later = new ArrayList<>();
        for (LayerState.CoverFrom change : covers) {
            if (!change.on().isAfter(watered)) {
                cover = change.cover();
            }
        }
        for (LayerState.LookOn look : state.looks()) {
            if (!look.on().isAfter(watered)) {
                stage = look.look().stage();
            }
        }
        turns.add(new Turn(watered, cover, stage, null));
        for (LayerState.CoverFrom change : covers) {
            if (change.on().isAfter(watered)) {
                later.add(new Turn(change.on(), change.cover(), stage, null));
            }
        }
        for (LayerState.WrapOn seen : state.wrapsSeen()) {
            if (seen.on().isAfter(watered)) {
                later.add(new Turn(
                        seen.on(), cover, stageBy(state, seen.on()), seen.seen().conditions()));
            }
        }
        for (LayerState.LookOn look : state.looks()) {
            if (look.on().isAfter(watered)) {
                later.add(new Turn(
                        look.on(), cover, look.look().stage(), look.look().conditions()));
            }
        }
        later.sort(Comparator.comparing(Turn::on));
        for (Turn turn : later) {
            Turn before = turns.get(turns.size() - 1);
            turns.add(
                    turn.found() == null
                            ? new Turn(turn.on(), turn.cover(), before.stage(), null)
                            : new Turn(turn.on(), before.cover(), turn.stage(), turn.found()));
        }
    }

    /** The day on which the usable half of the water is gone; not later than somebody should feel the ball. */
    LocalDate dueOn() {
        double water = ball.mediumMl() * wrapped.medium().waterGMl(rules);
        if (water == 0) {
            return turns.get(0).on().plusDays(TopUp.mostDays(rules));
        }
        double trigger = TopUp.usableShare(rules) * water;
        double lost = 0;
        LocalDate felt = turns.get(0).on();
        for (int i = 0; i < turns.size(); i++) {
            Turn turn = turns.get(i);
            if (turn.found() != null) {
                felt = turn.on();
                lost = found(turn.found(), lost, trigger, water);
            }
            LocalDate most = felt.plusDays(TopUp.mostDays(rules));
            boolean last = i + 1 == turns.size();
            LocalDate end = last ? most : turns.get(i + 1).on();
            double after = lost + lost(turn, turn.on(), end, water);
            if (last) {
                return lost >= trigger ? turn.on() : after <= trigger ? most : day(turn, lost, trigger, most, water);
            }
            lost = Math.min(trigger, after);
        }
        throw new IllegalStateException("a ball that was never wet");
    }

    /** What is gone of the water by the end of a day, g; no more than a fresh ball holds. */
    double lostG(LocalDate day) {
        double water = ball.mediumMl() * wrapped.medium().waterGMl(rules);
        double trigger = TopUp.usableShare(rules) * water;
        double lost = 0;
        for (int i = 0; i < turns.size() && !turns.get(i).on().isAfter(day); i++) {
            Turn turn = turns.get(i);
            if (turn.found() != null) {
                lost = found(turn.found(), lost, trigger, water);
            }
            LocalDate next = i + 1 < turns.size() ? turns.get(i + 1).on() : day;
            lost += lost(turn, turn.on(), next.isAfter(day) ? day : next, water);
        }
        return Math.min(water, lost);
    }

    /** The stage that was last seen by a day. */
    private static RootStage stageBy(LayerState state, LocalDate day) {
        RootStage stage = RootStage.NONE;
        for (LayerState.LookOn look : state.looks()) {
            stage = look.on().isAfter(day) ? stage : look.look().stage();
        }
        return stage;
    }

    private static double found(Set<Condition> conditions, double lost, double trigger, double water) {
        if (conditions.contains(Condition.DRY)) {
            return trigger;
        }
        if (conditions.contains(Condition.WET)) {
            return 0;
        }
        return Math.min(lost, Math.max(0, trigger - FOUND_MOIST * water));
    }

    /** The day by whose end more than the usable water is gone. */
    private LocalDate day(Turn turn, double lost, double trigger, LocalDate most, double water) {
        int low = 1;
        int high = (int) ChronoUnit.DAYS.between(turn.on(), most);
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (lost + lost(turn, turn.on(), turn.on().plusDays(middle), water) > trigger) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return turn.on().plusDays(low - 1L);
    }

    private double lost(Turn turn, LocalDate from, LocalDate to, double water) {
        double evaporates = TopUp.evaporationGKpaDay(
                rules,
                ball.ballLengthMm(),
                ball.ballDiameterMm(),
                wrapped.wrap(),
                context.exposure(),
                turn.cover().isReflecting());
        return evaporates * context.climate().drynessKpaDays(from, to, TopUp.leastVpdKpa(rules))
                + turn.stage().drinks(rules) * water * Math.max(0, ChronoUnit.DAYS.between(from, to));
    }
}
