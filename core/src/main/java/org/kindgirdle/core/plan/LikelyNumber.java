package org.kindgirdle.core.plan;

import java.util.List;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * How many plants layers that are under way are likely to give by a day. The shares that root and establish are the same
 * unknown ones for all of them (two Beta distributions); given these, each layer comes through or not on its own, so
 * that the number is Poisson-binomial, mixed over the two shares on a grid of their quantiles.
 *
 * @param expected the mean
 * @param low a tenth lies below it
 * @param high a tenth lies above it
 * @param reachedP the probability of as many as are wanted
 */
public record LikelyNumber(double expected, int low, int high, double reachedP) {

    /** Quantiles of each share: with 16 the mean agrees to 1e-3 and the interval to a plant. */
    private static final int GRID = 16;

    /** Up to so many layers each is reckoned; for more the sum is normal to a plant. */
    private static final int EACH = 250;

    private static final double TAIL = .1;
    private static final int MAX = 100_000;

    /**
     * A layer on its way.
     *
     * @param rooted whether its roots fill the ball, or it is off the mother already
     * @param inTimeP probability that it is there by the day, if it comes through, 0 to 1
     * @param looksSay how many times likelier what its looks found is of a layer that roots than of one that never does;
     *     1 where nobody has looked, 0 to 1e12
     */
    public record UnderWay(boolean rooted, double inTimeP, double looksSay) {

        private static final double MAX_LIKELIER = 1e12;

        /** @throws OutOfRangeException if inTimeP is outside 0 to 1 or looksSay is outside 0 to 1e12 */
        public UnderWay {
            Require.within("inTimeP", inTimeP, 0, 1);
            Require.within("looksSay", looksSay, 0, MAX_LIKELIER);
        }

        /** One at which nobody has looked, or that need not be looked at any more. */
        public UnderWay(boolean rooted, double inTimeP) {
            this(rooted, inTimeP, 1);
        }

        /** The chance that it roots where so many of its like do. */
        double rootsWhere(double share) {
            return rooted ? 1 : share == 0 ? 0 : share * looksSay / (share * looksSay + 1 - share);
        }
    }

    /**
     * @param there plants that are there already, 0 to 100 000
     * @param underWay at most 100 000
     * @param rooting share that roots
     * @param establishing share of the rooted that lives
     * @param wanted 0 to 100 000
     * @throws OutOfRangeException if the number there is outside 0 to 100 000, underWay is outside 0 to 100 000 or
     *     wanted is outside 0 to 100 000
     */
    public static LikelyNumber of(
            int there, List<UnderWay> underWay, Chances rooting, Chances establishing, int wanted) {
        Require.within("there", there, 0, MAX);
        Require.within("underWay", underWay.size(), 0, MAX);
        Require.within("wanted", wanted, 0, MAX);
        int n = underWay.size();
        double[] mixed = new double[n + 1];
        double[] roots = quantiles(rooting);
        double[] lives = quantiles(establishing);
        for (double root : roots) {
            for (double live : lives) {
                double[] each = underWay.stream()
                        .mapToDouble(one -> one.inTimeP() * live * one.rootsWhere(root))
                        .toArray();
                double[] given = n <= EACH ? exact(each) : normal(each);
                for (int k = 0; k <= n; k++) {
                    mixed[k] += given[k] / (GRID * GRID);
                }
            }
        }
        double expected = 0;
        double reached = 0;
        for (int k = 0; k <= n; k++) {
            expected += k * mixed[k];
            reached += there + k >= wanted ? mixed[k] : 0;
        }
        return new LikelyNumber(
                there + expected,
                there + quantile(mixed, TAIL),
                there + quantile(mixed, 1 - TAIL),
                Math.min(1, reached));
    }

    private static double[] quantiles(Chances chances) {
        BetaDistribution beta = new BetaDistribution(chances.alpha(), chances.beta());
        double[] all = new double[GRID];
        for (int i = 0; i < GRID; i++) {
            all[i] = Math.min(1, Math.max(0, beta.inverseCumulativeProbability((i + .5) / GRID)));
        }
        return all;
    }

    /** Poisson-binomial, one layer after the other. */
    private static double[] exact(double[] each) {
        double[] p = new double[each.length + 1];
        p[0] = 1;
        for (int layer = 0; layer < each.length; layer++) {
            for (int k = layer + 1; k > 0; k--) {
                p[k] = p[k] * (1 - each[layer]) + p[k - 1] * each[layer];
            }
            p[0] *= 1 - each[layer];
        }
        return p;
    }

    private static double[] normal(double[] each) {
        double mean = 0;
        double variance = 0;
        for (double p : each) {
            mean += p;
            variance += p * (1 - p);
        }
        double[] p = new double[each.length + 1];
        if (variance == 0) {
            p[(int) Math.round(mean)] = 1;
            return p;
        }
        NormalDistribution sum = new NormalDistribution(mean, Math.sqrt(variance));
        double before = 0;
        for (int k = 0; k < each.length; k++) {
            double upTo = sum.cumulativeProbability(k + .5);
            p[k] = upTo - before;
            before = upTo;
        }
        p[each.length] = 1 - before;
        return p;
    }

    private static int quantile(double[] p, double share) {
        double sum = 0;
        for (int k = 0; k < p.length; k++) {
            sum += p[k];
            if (sum >= share) {
                return k;
            }
        }
        return p.length - 1;
    }
}
