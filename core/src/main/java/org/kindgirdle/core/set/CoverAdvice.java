package org.kindgirdle.core.set;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Which cover suits a ball in the days that come: the one under which it gains most thermal days without cooking, and
 * foil where it would cook under all of them or where none gains more. It is one answer, so that two pieces of advice on
 * one layer never contradict each other.
 *
 * @param reason why
 * @param best the cover that suits
 * @param worthChanging whether the planned one is to give way to it
 * @param under what a ball comes to under each cover, in the order of {@link Cover}
 */
public record CoverAdvice(Reason reason, Cover best, boolean worthChanging, List<Under> under) {

    private static final Rule HOT_BALL_C = Rule.of("cover.hot-ball");
    private static final Rule WORTH = Rule.of("cover.worth");

    /** Thermal days that differ by less than this are the same. */
    private static final double SAME = 1e-6;

    /** Why this cover. */
    public enum Reason {
        /** the planned one cooks the ball */
        BALL_TOO_HOT,
        /** algae want the light kept off */
        ALGAE,
        /** another warms it more, by enough to be worth a change */
        WARMER,
        /** the planned one is as good, or nearly */
        AS_GOOD
    }

    /**
     * What a ball comes to under a cover.
     *
     * @param thermalDays that it gains in the days that come, 0 to 1e4
     * @param hottestC that it gets, -60 to 90 C
     */
    public record Under(Cover cover, double thermalDays, double hottestC) {

        private static final double MAX_THERMAL_DAYS = 1e4;

        /** @throws OutOfRangeException if thermalDays is outside 0 to 1e4 or hottestC is outside -60 to 90 */
        public Under {
            Require.within("thermalDays", thermalDays, 0, MAX_THERMAL_DAYS);
            Require.within("hottestC", hottestC, -60, 90);
        }
    }

    public CoverAdvice {
        under = List.copyOf(under);
    }

    /**
     * @param planned the cover that is to be judged
     * @param under each cover once
     * @param algae seen in the ball: then only what keeps the light off will do
     */
    public static CoverAdvice of(HouseRules rules, Cover planned, List<Under> under, boolean algae) {
        Under now = of(planned, under);
        Cover best = best(rules, under.stream().filter(one -> !algae || keepsLightOff(one.cover())));
        if (isTooHot(rules, now.hottestC())) {
            return new CoverAdvice(Reason.BALL_TOO_HOT, best, best != planned, under);
        }
        if (algae) {
            return new CoverAdvice(Reason.ALGAE, best, !keepsLightOff(planned), under);
        }
        boolean worth = of(best, under).thermalDays() >= rules.of(WORTH) * now.thermalDays()
                && of(best, under).thermalDays() > now.thermalDays() + SAME;
        return new CoverAdvice(worth ? Reason.WARMER : Reason.AS_GOOD, best, worth, under);
    }

    private static boolean keepsLightOff(Cover cover) {
        return cover == Cover.FOIL || cover == Cover.BLACK;
    }

    private static Cover best(HouseRules rules, Stream<Under> under) {
        List<Under> cool = under.filter(one -> !isTooHot(rules, one.hottestC())).toList();
        double most = cool.stream().mapToDouble(Under::thermalDays).max().orElse(0);
        return cool.stream()
                .filter(one -> one.thermalDays() >= most - SAME)
                .map(Under::cover)
                .min(Comparator.comparing((Cover one) -> one != Cover.FOIL))
                .orElse(Cover.FOIL);
    }

    private static Under of(Cover cover, List<Under> under) {
        return under.stream()
                .filter(one -> one.cover() == cover)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("nothing is known of a ball under " + cover));
    }

    /** What a ball comes to under a cover. */
    public Under under(Cover cover) {
        return of(cover, under);
    }

    /**
     * Whether a ball cooks: foil at once, whatever the season.
     *
     * @param ballC -100 to 100 C
     * @throws OutOfRangeException if ballC is outside -100 to 100
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
