package org.kindgirdle.core.set;

import java.util.Set;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.units.Require;

/**
 * Which covers suit a place in the weeks that come, with the reason.
 *
 * @param reason why
 * @param covers that suit, any of them
 */
public record CoverAdvice(Reason reason, Set<Cover> covers) {

    /** Days that pass this, C, want a cover that throws the sun back. */
    public static final double HOT_DAY_C = 30;

    /** A ball hotter than this, C, cooks: foil at once, whatever the season. */
    public static final double HOT_BALL_C = 38;

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
            Exposure exposure, double hottestBallC, double hottestDayC, boolean lateInSeason, boolean algae) {
        Require.within("hottestBallC", hottestBallC, -60, 90);
        Require.within("hottestDayC", hottestDayC, -60, 60);
        if (hottestBallC > HOT_BALL_C) {
            return new CoverAdvice(Reason.BALL_TOO_HOT, Set.of(Cover.FOIL));
        }
        if (algae) {
            return new CoverAdvice(Reason.ALGAE, Set.of(Cover.BLACK, Cover.FOIL));
        }
        if (!lateInSeason && exposure != Exposure.SHADE || hottestDayC > HOT_DAY_C) {
            return new CoverAdvice(Reason.SUN_OR_HEAT, Set.of(Cover.FOIL, Cover.WHITE));
        }
        if (lateInSeason) {
            return new CoverAdvice(Reason.LATE_IN_THE_SEASON, Set.of(Cover.CLEAR, Cover.BLACK));
        }
        return new CoverAdvice(Reason.NO_NEED, Set.of(Cover.values()));
    }
}
