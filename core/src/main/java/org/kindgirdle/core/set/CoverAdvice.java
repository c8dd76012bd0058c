package org.kindgirdle.core.set;

import java.util.Set;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.Require;

/**
 * Which covers suit a place in the weeks that come, with the reason.
 *
 * @param reason why
 * @param covers that suit, any of them
 */
public record CoverAdvice(Reason reason, Set<Cover> covers) {

    private static final Rule HOT_DAY_C = Rule.of("cover.hot-day");
    private static final Rule HOT_BALL_C = Rule.of("cover.hot-ball");

    /** Why these covers. */
    public enum Reason {
        BALL_TOO_HOT,
        ALGAE,
        SUN_OR_HEAT,
        LATE_IN_THE_SEASON,
        NO_NEED
    }

    public CoverAdvice {
        covers = Set.copyOf(covers);
    }

    /**
     * The first that applies: a ball too hot, algae, sun or heat, late in the season, no need.
     *
     * @param hottestBallC forecast under the present or planned cover, -60 to 90 C
     * @param hottestDayC forecast highest air temperature, -60 to 60 C
     * @param lateInSeason too cool for roots without the sun's help
     * @param algae seen in the ball
     */
    public static CoverAdvice of(
            HouseRules rules,
            Exposure exposure,
            double hottestBallC,
            double hottestDayC,
            boolean lateInSeason,
            boolean algae) {
        Require.within("hottestBallC", hottestBallC, -60, 90);
        Require.within("hottestDayC", hottestDayC, -60, 60);
        if (isTooHot(rules, hottestBallC)) {
            return new CoverAdvice(Reason.BALL_TOO_HOT, Set.of(Cover.FOIL));
        }
        if (algae) {
            return new CoverAdvice(Reason.ALGAE, Set.of(Cover.BLACK, Cover.FOIL));
        }
        if (!lateInSeason && exposure != Exposure.SHADE || hottestDayC > rules.of(HOT_DAY_C)) {
            return new CoverAdvice(Reason.SUN_OR_HEAT, Set.of(Cover.FOIL, Cover.WHITE));
        }
        if (lateInSeason) {
            return new CoverAdvice(Reason.LATE_IN_THE_SEASON, Set.of(Cover.CLEAR, Cover.BLACK));
        }
        return new CoverAdvice(Reason.NO_NEED, Set.of(Cover.values()));
    }

    /**
     * Whether a ball cooks: foil at once, whatever the season.
     *
     * @param ballC -100 to 100 C
     */
    public static boolean isTooHot(HouseRules rules, double ballC) {
        Require.within("ballC", ballC, -100, 100);
        return ballC > hotBallC(rules);
    }

    /** Hotter than this, C, a ball cooks. */
    public static double hotBallC(HouseRules rules) {
        return rules.of(HOT_BALL_C);
    }
}
