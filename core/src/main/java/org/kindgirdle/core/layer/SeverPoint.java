package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;

/**
 * What speaks for cutting a layer off its mother on a day, and what against it.
 *
 * @param speaksFor false if it speaks for leaving it on
 * @param figure days, a share from 0 to 1, or 0 where it has none: see the kind
 */
public record SeverPoint(PointKind kind, boolean speaksFor, double figure) {

    private static final Rule ESTABLISH_DAYS = Rule.of("next.establish");
    private static final Rule DRIES_WITHIN_DAYS = Rule.of("next.dries-within");
    private static final Rule EVEN_COVERAGE = Rule.of("next.even");
    private static final Rule NEARLY_DAYS = Rule.of("sever.nearly");

    /** What can be said. */
    public enum PointKind {
        /** roots stand at the wrap all round */
        FULL,
        /** they begin to circle */
        CIRCLING,
        /** figure: probability of a full ball */
        NOT_FULL,
        /** figure: share of the sectors with roots */
        ONE_SIDED,
        NO_FROST_HERE,
        /** figure: days to frost */
        ROOM_TO_ESTABLISH,
        /** figure: days to frost */
        TOO_NEAR_FROST,
        COVER_AT_HAND,
        STANDS_THE_WINTER,
        DIES_IN_WINTER,
        /** figure: days until the ball is dry, 0 when it is */
        BALL_DRIES,
        /** the ball is dry, open, slipping or rotting */
        BALL_FAILS,
        OFF_THE_MOTHER,
        FRUIT_TO_KEEP,
        NO_LEAVES,
        NOT_GROWING,
        SCHOOL_WAITS
    }

    /**
     * Of a layer on its mother; those that speak for it first.
     *
     * @throws IllegalArgumentException if it is off its mother
     */
    public static List<SeverPoint> of(LayerProjection layer, LayerContext context, LocalDate today) {
        LayerProjection.RootForecast forecast = layer.forecast();
        if (forecast == null) {
            throw new IllegalArgumentException("the layer is off its mother");
        }
        HouseRules rules = context.rules();
        LayerState state = layer.state();
        List<SeverPoint> points = new ArrayList<>();
        boolean full = state.stage().isAtLeast(RootStage.FILLED);
        if (full) {
            points.add(yes(state.stage() == RootStage.MATURE ? PointKind.CIRCLING : PointKind.FULL));
        } else {
            points.add(new SeverPoint(PointKind.NOT_FULL, false, forecast.readyP()));
        }
        if (state.conditions().contains(Condition.DETACHED)) {
            points.add(yes(PointKind.OFF_THE_MOTHER));
        }
        if (state.conditions().stream().anyMatch(SeverPoint::fails)) {
            points.add(yes(PointKind.BALL_FAILS));
        }
        Sectors sectors = state.sectors();
        double coverage = sectors == null ? 1 : sectors.coverage();
        if (full && coverage < rules.of(EVEN_COVERAGE)) {
            points.add(new SeverPoint(PointKind.ONE_SIDED, false, coverage));
        }
        frost(points, context, state, today);
        long dries = Math.max(0, ChronoUnit.DAYS.between(today, forecast.topUpOn()));
        if (context.recipe().method().hasMedium() && dries <= rules.count(DRIES_WITHIN_DAYS)) {
            points.add(new SeverPoint(PointKind.BALL_DRIES, true, dries));
        }
        if (context.isLeafless(today)) {
            points.add(yes(PointKind.NO_LEAVES));
        } else {
            if (!context.seasons().isGrowing(today)) {
                points.add(new SeverPoint(PointKind.NOT_GROWING, false, 0));
            }
            // nobody waits for another winter
            if (state.set().school() != School.IN_LEAF && !context.hasWintered(state, today)) {
                points.add(new SeverPoint(PointKind.SCHOOL_WAITS, false, 0));
            }
        }
        if (state.set().fruitToKeep()) {
            points.add(new SeverPoint(PointKind.FRUIT_TO_KEEP, false, 0));
        }
        points.sort(Comparator.comparing((SeverPoint one) -> !one.speaksFor()));
        return points;
    }

    private static void frost(List<SeverPoint> points, LayerContext context, LayerState state, LocalDate today) {
        FrostCalendar frosts = context.climate().frosts().orElse(null);
        if (frosts == null) {
            points.add(yes(PointKind.NO_FROST_HERE));
            return;
        }
        int days = frosts.daysToFrost(today);
        if (days >= context.rules().count(ESTABLISH_DAYS)) {
            points.add(new SeverPoint(PointKind.ROOM_TO_ESTABLISH, true, days));
            return;
        }
        points.add(new SeverPoint(PointKind.TOO_NEAR_FROST, false, days));
        if (context.coverAtHand()) {
            points.add(yes(PointKind.COVER_AT_HAND));
        }
        boolean hardy = context.isHardy(state.stage());
        points.add(new SeverPoint(hardy ? PointKind.STANDS_THE_WINTER : PointKind.DIES_IN_WINTER, !hardy, 0));
    }

    /**
     * Whether a layer belongs before the eyes of whoever decides on cuts: it is to be cut, is held back from it, or is
     * likely to be full within the days that the house calls nearly ready.
     */
    public static boolean isToBeDecidedOn(LayerProjection layer, LayerContext context, LocalDate today) {
        LayerProjection.RootForecast forecast = layer.forecast();
        if (forecast == null || layer.verdict() == null) {
            return false;
        }
        NextStep step = layer.verdict().step();
        boolean held = switch (step) {
            case HOLD_DORMANT, HOLD_FRUIT, HOLD_SPRING, CARRY_OVER, PROTECT -> true;
            default -> false;
        };
        LocalDate likely = forecast.q50();
        boolean nearly = layer.state().stage() == RootStage.ROOTED
                && likely != null
                && !likely.isAfter(today.plusDays(context.rules().count(NEARLY_DAYS)));
        return step.isSevering()
                || held
                || nearly
                || layer.state().cutPlannedOn() != null
                || layer.state().stage().isAtLeast(RootStage.FILLED);
    }

    private static boolean fails(Condition condition) {
        return switch (condition) {
            case DRY, WRAP_OPEN, MEDIUM_LOST, SLIPPED, ROT -> true;
            default -> false;
        };
    }

    private static SeverPoint yes(PointKind kind) {
        return new SeverPoint(kind, true, 0);
    }
}
