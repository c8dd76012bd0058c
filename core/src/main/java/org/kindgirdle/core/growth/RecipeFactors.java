package org.kindgirdle.core.growth;

import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;

/**
 * What wood, wound, medium, hormone and mother make of the speed and the odds of rooting, multiplied.
 *
 * @param hormoneFit how the strength fits
 * @param speed thermal days counted for each thermal day, above 0
 * @param odds factor on the mean odds of rooting, above 0
 */
public record RecipeFactors(HormoneFit hormoneFit, double speed, double odds) {

    /** @param hormonePpm IBA, 0 for none */
    public static RecipeFactors of(
            Difficulty difficulty,
            Wound wound,
            Wood wood,
            RootRun rootRun,
            Vigour vigour,
            Medium medium,
            double hormonePpm,
            boolean preformedRoots) {
        HormoneFit fit = HormoneFit.of(difficulty, wood, hormonePpm);
        double speed = wound.speed(wood, preformedRoots)
                * wood.speed()
                * rootRun.speed()
                * vigour.speed()
                * medium.speed()
                * fit.speed();
        double odds = wound.odds(wood, preformedRoots)
                * wood.odds()
                * rootRun.odds()
                * vigour.odds()
                * medium.odds()
                * fit.odds();
        return new RecipeFactors(fit, speed, odds);
    }
}
