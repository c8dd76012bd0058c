package org.kindgirdle.core.layer;

import java.time.LocalDate;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.set.CoverAdvice;

/**
 * Which covers suit a place in the weeks from a day on.
 *
 * @param from first day looked at
 * @param to last
 * @param hottestBallC under the cover that is planned
 * @param hottestDayC of the air
 * @param advice what follows
 */
public record CoverAhead(LocalDate from, LocalDate to, double hottestBallC, double hottestDayC, CoverAdvice advice) {

    private static final Rule AHEAD_DAYS = Rule.of("cover.ahead");
    private static final Rule LATE_DAYS = Rule.of("cover.late");

    /**
     * By measured days, the forecast and the normals, as far as each goes.
     *
     * @param planned the cover that is to be judged
     * @param from first day
     * @param algae seen in the ball
     */
    public static CoverAhead of(LayerContext context, Cover planned, LocalDate from, boolean algae) {
        HouseRules rules = context.rules();
        LocalDate to = from.plusDays(rules.count(AHEAD_DAYS));
        double hottestBall = context.sums().apply(planned).hottestC(from, to);
        double hottestDay = from.datesUntil(to.plusDays(1))
                .mapToDouble(day -> context.climate().on(day).maxC())
                .max()
                .orElseThrow();
        boolean late = isGrowing(context, from) && !isGrowing(context, from.plusDays(rules.count(LATE_DAYS)));
        return new CoverAhead(
                from,
                to,
                hottestBall,
                hottestDay,
                CoverAdvice.of(rules, context.exposure(), hottestBall, hottestDay, late, algae));
    }

    private static boolean isGrowing(LayerContext context, LocalDate day) {
        return context.seasons().isGrowing(day);
    }

    /** Whether the planned cover is one of those that suit. */
    public boolean suits(Cover planned) {
        return advice.covers().contains(planned);
    }
}
