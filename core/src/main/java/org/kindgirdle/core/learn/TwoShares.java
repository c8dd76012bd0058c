package org.kindgirdle.core.learn;

import org.hipparchus.special.Gamma;

/** Two arms of a trial against each other. */
public record TwoShares(Share a, Share b) {

    /** Tables as likely as the observed one up to this factor count as equally likely: rounding must not decide. */
    private static final double SAME_LIKELIHOOD = 1 + 1e-7;

    /**
     * Fisher's exact test, two-sided: the probability, given the margins, of all tables that are no likelier than the
     * one observed (Fisher 1935, J. R. Stat. Soc. 98:39-82).
     *
     * @return 0 to 1; 1 where one arm is empty
     */
    public double fisherP() {
        int successes = a.successes() + b.successes();
        int lowest = Math.max(0, successes - b.n());
        int highest = Math.min(a.n(), successes);
        double observed = logLikelihood(a.successes());
        double limit = observed + Math.log(SAME_LIKELIHOOD);
        double p = 0;
        for (int k = lowest; k <= highest; k++) {
            double one = logLikelihood(k);
            if (one <= limit) {
                p += Math.exp(one);
            }
        }
        return Math.min(1, p);
    }

    /** Log of the hypergeometric probability of k successes in arm a. */
    private double logLikelihood(int k) {
        int successes = a.successes() + b.successes();
        return logChoose(a.n(), k) + logChoose(b.n(), successes - k) - logChoose(a.n() + b.n(), successes);
    }

    private static double logChoose(int n, int k) {
        return Gamma.logGamma(n + 1.0) - Gamma.logGamma(k + 1.0) - Gamma.logGamma(n - k + 1.0);
    }

    /** The share of a less that of b; NaN where an arm is empty. */
    public double difference() {
        return a.value() - b.value();
    }

    /**
     * Lower end of the 95 % interval of the difference, by Newcombe's hybrid of both Wilson intervals (Newcombe 1998,
     * Stat. Med. 17:873-890, method 10).
     */
    public double differenceLow() {
        return difference() - Math.hypot(a.value() - a.low(), b.high() - b.value());
    }

    /** Upper end of the same interval. */
    public double differenceHigh() {
        return difference() + Math.hypot(a.high() - a.value(), b.value() - b.low());
    }
}
