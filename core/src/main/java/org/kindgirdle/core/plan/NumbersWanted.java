package org.kindgirdle.core.plan;

import org.hipparchus.special.Gamma;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** How many layers give so many plants, when the share that comes through is itself uncertain (beta-binomial). */
public final class NumbersWanted {

    /** More layers than this are no plan for a nursery; the search ends there. */
    public static final int MAX_LAYERS = 1_000_000;

    private static final int MAX_WANTED = 100_000;

    private NumbersWanted() {}

    /**
     * The smallest number of layers of which at least so many come through with at least this probability.
     *
     * @param wanted 1 to 100 000
     * @param confidence above 0, below 1
     * @throws IllegalArgumentException if not even {@link #MAX_LAYERS} would do
     */
    public static int layers(Chances chances, int wanted, double confidence) {
        Require.within("wanted", wanted, 1, MAX_WANTED);
        if (!(confidence > 0 && confidence < 1)) {
            throw new IllegalArgumentException("confidence is " + confidence + "; it must lie between 0 and 1");
        }
        int enough = wanted;
        while (atLeast(chances, enough, wanted) < confidence) {
            if (enough == MAX_LAYERS) {
                throw new IllegalArgumentException("not even " + MAX_LAYERS + " layers give " + wanted
                        + " plants with confidence " + confidence + ": ask for fewer, or for less certainty");
            }
            enough = (int) Math.min(MAX_LAYERS, 2L * enough);
        }
        int tooFew = enough == wanted ? wanted - 1 : enough / 2;
        while (enough - tooFew > 1) {
            int middle = tooFew + (enough - tooFew) / 2;
            if (atLeast(chances, middle, wanted) >= confidence) {
                enough = middle;
            } else {
                tooFew = middle;
            }
        }
        return enough;
    }

    /**
     * Probability that at least so many of n layers come through.
     *
     * @param layers 0 to 1 000 000
     * @param plants any number; 1 if it is 0 or less, 0 if it is above n
     * @throws OutOfRangeException if layers is outside 0 to 1 000 000
     */
    public static double atLeast(Chances chances, int layers, int plants) {
        Require.within("layers", layers, 0, MAX_LAYERS);
        if (plants <= 0) {
            return 1;
        }
        if (plants > layers) {
            return 0;
        }
        // the shorter of both sums; either is exact to about 1e-12
        return plants <= layers - plants + 1
                ? Math.max(0, 1 - sum(chances.alpha(), chances.beta(), layers, plants - 1))
                : Math.min(1, sum(chances.beta(), chances.alpha(), layers, layers - plants));
    }

    /** P(X <= last) for X beta-binomial; each term follows from the one before it by its ratio. */
    private static double sum(double alpha, double beta, int n, int last) {
        double term = logBeta(alpha, n + beta) - logBeta(alpha, beta);
        double sum = Math.exp(term);
        for (int j = 0; j < last; j++) {
            term += Math.log((double) (n - j) / (j + 1) * ((j + alpha) / (n - j - 1 + beta)));
            sum += Math.exp(term);
        }
        return sum;
    }

    private static double logBeta(double a, double b) {
        return Gamma.logGamma(a) + Gamma.logGamma(b) - Gamma.logGamma(a + b);
    }
}
