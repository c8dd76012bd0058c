package org.kindgirdle.core.learn;

import java.util.List;
import org.hipparchus.special.Erf;
import org.kindgirdle.core.units.Require;

/**
 * The time to a full ball as a nursery's own records have it: maximum a posteriori of a lognormal from intervals,
 * {@code mu ~ N(ln d50, 0.35)}, {@code ln sigma ~ N(ln 0.25, 0.4)}. With no record it is the profile, with many it is
 * what they say.
 *
 * @param mu logarithm of the median
 * @param sigma spread of the logarithm
 * @param records how many intervals it rests on
 */
public record LearnedTime(double mu, double sigma, int records) {

    private static final double PRIOR_MU_SPREAD = .35;
    private static final double PRIOR_SIGMA = .25;
    private static final double PRIOR_LOG_SIGMA_SPREAD = .4;

    /** Newton steps end when neither coordinate moves by more than this, far below what a date could show. */
    private static final double CONVERGED = 1e-8;

    /** A step held back below this share of itself is at the top: what is left is rounding. */
    private static final double LEAST_SHARE = 1e-3;

    private static final int MOST_STEPS = 200;

    /** Differences for the gradient and curvature, in units of mu and of ln sigma. */
    private static final double STEP = 1e-4;

    /** Mass of an interval is never taken to be less: far out, the logarithm would not be finite. */
    private static final double LEAST_MASS = 1e-300;

    private static final double SQRT2 = Math.sqrt(2);

    /** Median, thermal days. */
    public double medianThermalDays() {
        return Math.exp(mu);
    }

    /**
     * Learns from intervals; their order does not matter.
     *
     * @param d50 of the profile, thermal days, above 0
     */
    public static LearnedTime from(double d50, List<Interval> intervals) {
        Require.positive("d50", d50);
        return new Search(Math.log(d50), intervals).climb();
    }

    /** The posterior over (mu, ln sigma), and the way up it: Newton's steps, held back where they would overshoot. */
    private static final class Search {

        private final double priorMu;
        private final double[] logLow;
        private final double[] logHigh;

        Search(double priorMu, List<Interval> intervals) {
            this.priorMu = priorMu;
            this.logLow =
                    intervals.stream().mapToDouble(one -> Math.log(one.low())).toArray();
            this.logHigh =
                    intervals.stream().mapToDouble(one -> Math.log(one.high())).toArray();
        }

        LearnedTime climb() {
            double mu = priorMu;
            double eta = Math.log(PRIOR_SIGMA);
            double here = at(mu, eta);
            for (int step = 0; step < MOST_STEPS; step++) {
                double up = at(mu + STEP, eta);
                double down = at(mu - STEP, eta);
                double right = at(mu, eta + STEP);
                double left = at(mu, eta - STEP);
                double gradientMu = (up - down) / (2 * STEP);
                double gradientEta = (right - left) / (2 * STEP);
                double curveMu = Math.min(-1, (up - 2 * here + down) / (STEP * STEP));
                double curveEta = Math.min(-1, (right - 2 * here + left) / (STEP * STEP));
                double cross = (at(mu + STEP, eta + STEP)
                                - at(mu + STEP, eta - STEP)
                                - at(mu - STEP, eta + STEP)
                                + at(mu - STEP, eta - STEP))
                        / (4 * STEP * STEP);
                double determinant = curveMu * curveEta - cross * cross;
                if (determinant <= 0) {
                    // not a hilltop's curvature: climb along each axis alone
                    cross = 0;
                    determinant = curveMu * curveEta;
                }
                double moveMu = -(curveEta * gradientMu - cross * gradientEta) / determinant;
                double moveEta = -(curveMu * gradientEta - cross * gradientMu) / determinant;
                double share = 1;
                double there = at(mu + moveMu, eta + moveEta);
                while (there < here && share > LEAST_SHARE) {
                    share /= 2;
                    there = at(mu + share * moveMu, eta + share * moveEta);
                }
                mu += share * moveMu;
                eta += share * moveEta;
                here = there;
                if (Math.abs(share * moveMu) < CONVERGED && Math.abs(share * moveEta) < CONVERGED) {
                    break;
                }
            }
            return new LearnedTime(mu, Math.exp(eta), logLow.length);
        }

        /** Logarithm of the posterior, up to a constant. */
        private double at(double mu, double eta) {
            double sigma = Math.exp(eta);
            double offMu = (mu - priorMu) / PRIOR_MU_SPREAD;
            double offEta = (eta - Math.log(PRIOR_SIGMA)) / PRIOR_LOG_SIGMA_SPREAD;
            double sum = -(offMu * offMu + offEta * offEta) / 2;
            for (int i = 0; i < logLow.length; i++) {
                sum += Math.log(Math.max(LEAST_MASS, between((logLow[i] - mu) / sigma, (logHigh[i] - mu) / sigma)));
            }
            return sum;
        }

        private static double between(double from, double to) {
            return from > 0 ? above(from) - above(to) : above(-to) - above(-from);
        }

        private static double above(double z) {
            return z == Double.POSITIVE_INFINITY ? 0 : z == Double.NEGATIVE_INFINITY ? 1 : Erf.erfc(z / SQRT2) / 2;
        }
    }
}
