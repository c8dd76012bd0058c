package org.kindgirdle.core.plan;

import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A share that is not known for certain, as a Beta distribution: so many successes and failures seen, or believed.
 *
 * @param alpha above 0 to 1e7
 * @param beta above 0 to 1e7
 */
public record Chances(double alpha, double beta) {

    private static final double MAX = 1e7;

    /** @throws OutOfRangeException if alpha is outside 0 to 1e7 or beta is outside 0 to 1e7 */
    public Chances {
        Require.positive("alpha", alpha);
        Require.within("alpha", alpha, 0, MAX);
        Require.positive("beta", beta);
        Require.within("beta", beta, 0, MAX);
    }

    /** The expected share, 0 to 1. */
    public double mean() {
        return alpha / (alpha + beta);
    }

    /**
     * These chances after more was seen.
     *
     * @throws OutOfRangeException if successes is outside 0 to 1e7 or failures is outside 0 to 1e7
     */
    public Chances plus(int successes, int failures) {
        Require.within("successes", successes, 0, MAX);
        Require.within("failures", failures, 0, MAX);
        return new Chances(alpha + successes, beta + failures);
    }

    /**
     * Both must come true, one after the other: the Beta with the mean and the variance of the product of two
     * independent shares (moment matching, {@code nu = m(1-m)/var - 1}).
     */
    public Chances then(Chances next) {
        double mean = mean() * next.mean();
        double variance = secondMoment() * next.secondMoment() - mean * mean;
        double nu = mean * (1 - mean) / variance - 1;
        return new Chances(mean * nu, (1 - mean) * nu);
    }

    private double secondMoment() {
        double sum = alpha + beta;
        return alpha * (alpha + 1) / (sum * (sum + 1));
    }
}
