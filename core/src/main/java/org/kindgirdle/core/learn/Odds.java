package org.kindgirdle.core.learn;

import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.set.Difficulty;
import org.kindgirdle.core.units.Require;

/** What is believed of rooting and establishing before, and after, the nursery's own counts. Planning defaults. */
public final class Odds {

    /** Of a severed layer that is nursed as the software advises. */
    private static final Chances ESTABLISHING = new Chances(8.5, 1.5);

    /** A share is moved by the recipe's odds to no nearer than this to never and always. */
    private static final double NEVER_CERTAIN = .01;

    private Odds() {}

    /**
     * Rooting, by the difficulty of the species, its mean moved by the recipe's odds at constant weight, plus counts.
     *
     * @param recipeOdds the product of the recipe's factors of the odds, above 0 to 100
     */
    public static Chances rooting(Difficulty difficulty, double recipeOdds, Share seen) {
        Require.positive("recipeOdds", recipeOdds);
        Require.within("recipeOdds", recipeOdds, 0, 100);
        Chances prior = switch (difficulty) {
            case EASY -> new Chances(9, 1);
            case MODERATE -> new Chances(7, 3);
            case DIFFICULT -> new Chances(4, 6);
        };
        double weight = prior.alpha() + prior.beta();
        double odds = prior.alpha() / prior.beta() * recipeOdds;
        double mean = Math.max(NEVER_CERTAIN, Math.min(1 - NEVER_CERTAIN, odds / (1 + odds)));
        return new Chances(mean * weight, (1 - mean) * weight).plus(seen.successes(), seen.failures());
    }

    /** Establishing after severance, plus counts. */
    public static Chances establishing(Share seen) {
        return ESTABLISHING.plus(seen.successes(), seen.failures());
    }
}
