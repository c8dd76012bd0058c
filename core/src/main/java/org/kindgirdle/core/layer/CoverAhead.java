package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.Arrays;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.set.CoverAdvice;

/**
 * Which cover suits a ball at a place in the days from a day on.
 *
 * @param from first day looked at
 * @param to last
 * @param advice what follows
 * @param tooHotUnderBest whether even the cover that suits best leaves the ball hotter than young roots bear
 */
public record CoverAhead(LocalDate from, LocalDate to, CoverAdvice advice, boolean tooHotUnderBest) {

    private static final Rule AHEAD_DAYS = Rule.of("cover.ahead");

    /**
     * By measured days, the forecast and the normals, as far as each goes.
     *
     * @param planned the cover that is to be judged
     * @param from first day
     * @param algae seen in the ball
     */
    public static CoverAhead of(LayerContext context, Cover planned, LocalDate from, boolean algae) {
        LocalDate to = from.plusDays(context.rules().count(AHEAD_DAYS));
        CoverAdvice advice = CoverAdvice.of(
                context.rules(),
                planned,
                Arrays.stream(Cover.values())
                        .map(cover -> under(context.sums().apply(cover), cover, from, to))
                        .toList(),
                algae);
        double best = advice.under(advice.best()).hottestC();
        return new CoverAhead(from, to, advice, CoverAdvice.isTooHot(context.rules(), best));
    }

    private static CoverAdvice.Under under(ThermalSums sums, Cover cover, LocalDate from, LocalDate to) {
        return new CoverAdvice.Under(cover, sums.between(from, to), sums.hottestC(from, to));
    }

    /** Whether the planned cover may stay. */
    public boolean suits() {
        return !advice.worthChanging();
    }
}
