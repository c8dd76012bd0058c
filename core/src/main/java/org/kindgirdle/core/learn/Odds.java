package org.kindgirdle.core.learn;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** What is believed of rooting and establishing before, and after, the nursery's own counts. Planning defaults. */
public final class Odds {

    private static final Rule ESTABLISHED = Rule.of("prior.established");
    private static final Rule NOT_ESTABLISHED = Rule.of("prior.not-established");
    private static final Rule NEVER_CERTAIN = Rule.of("prior.certain");

    private Odds() {}

    /**
     * A share with what it rests on.
     *
     * @param records own layers that were counted; 0 where it is what was believed before
     */
    public record Estimate(Chances chances, int records) {

        private static Estimate of(Chances prior, Share seen) {
            return new Estimate(prior.plus(seen.successes(), seen.failures()), seen.n());
        }
    }

    /**
     * Rooting, by the difficulty of the species, its mean moved by the recipe's odds at constant weight, plus counts.
     *
     * @param recipeOdds the product of the recipe's factors of the odds, above 0 to 100
     * @throws OutOfRangeException if recipeOdds is outside 0 to 100
     */
    public static Estimate rooting(HouseRules rules, Difficulty difficulty, double recipeOdds, Share seen) {
        Require.positive("recipeOdds", recipeOdds);
        Require.within("recipeOdds", recipeOdds, 0, 100);
        Chances prior = new Chances(difficulty.priorRooted(rules), difficulty.priorFailed(rules));
        double weight = prior.alpha() + prior.beta();
        double never = rules.of(NEVER_CERTAIN);
        double odds = prior.alpha() / prior.beta() * recipeOdds;
        double mean = Math.max(never, Math.min(1 - never, odds / (1 + odds)));
        return Estimate.of(new Chances(mean * weight, (1 - mean) * weight), seen);
    }

    /** Establishing after severance, plus counts. */
    public static Estimate establishing(HouseRules rules, Share seen) {
        return Estimate.of(new Chances(rules.of(ESTABLISHED), rules.of(NOT_ESTABLISHED)), seen);
    }
}
