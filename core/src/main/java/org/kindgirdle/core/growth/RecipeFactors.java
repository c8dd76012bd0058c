package org.kindgirdle.core.growth;

import java.util.List;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
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
 * @param parts what both are the product of, in the order of {@link Part.Of}
 */
public record RecipeFactors(HormoneFit hormoneFit, double speed, double odds, List<Part> parts) {

    public RecipeFactors {
        parts = List.copyOf(parts);
    }

    /**
     * One of the factors.
     *
     * @param speed on the speed of rooting, above 0
     * @param odds on the odds of rooting, above 0
     */
    public record Part(Of of, double speed, double odds) {

        /** What a factor comes from. */
        public enum Of {
            METHOD,
            WOUND,
            WOOD,
            ROOT_RUN,
            VIGOUR,
            MEDIUM,
            HORMONE
        }
    }

    /** @param hormonePpm IBA, 0 for none, up to 1 000 000 */
    public static RecipeFactors of(
            HouseRules rules,
            Difficulty difficulty,
            Method method,
            Wound wound,
            Wood wood,
            RootRun rootRun,
            Vigour vigour,
            Medium medium,
            double hormonePpm,
            boolean preformedRoots) {
        HormoneFit fit = HormoneFit.of(rules, difficulty, wood, hormonePpm);
        List<Part> parts = List.of(
                new Part(Part.Of.METHOD, method.speed(rules), method.odds(rules)),
                new Part(
                        Part.Of.WOUND,
                        wound.speed(rules, wood, preformedRoots),
                        wound.odds(rules, wood, preformedRoots)),
                new Part(Part.Of.WOOD, wood.speed(rules), wood.odds(rules)),
                new Part(Part.Of.ROOT_RUN, rootRun.speed(rules), rootRun.odds(rules)),
                new Part(Part.Of.VIGOUR, vigour.speed(rules), vigour.odds(rules)),
                new Part(Part.Of.MEDIUM, medium.speed(rules), medium.odds(rules)),
                new Part(Part.Of.HORMONE, fit.speed(rules), fit.odds(rules)));
        double speed = 1;
        double odds = 1;
        for (Part part : parts) {
            speed *= part.speed();
            odds *= part.odds();
        }
        return new RecipeFactors(fit, speed, odds, parts);
    }
}
