package org.kindgirdle.core.learn;

import java.util.List;
import org.hipparchus.special.Erf;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
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

    private static final Rule TIME_SPREAD = Rule.of("prior.time-spread");
    private static final Rule SIGMA = Rule.of("prior.sigma");
    private static final Rule SIGMA_SPREAD = Rule.of("prior.sigma-spread");

    /** Newton steps end when neither coordinate moves by more than this, far below what a date could show. */
    private static final double CONVERGED = 1e-8;

    /** A step held back below this share of itself is at the top: what is left is rounding. */
    private static final double LEAST_SHARE = 1e-3;

    private static final int MAX_STEPS = 200;

    /** Mass of an interval is never taken to be less: far out, the logarithm would not be finite. */
    private static final double LEAST_MASS = 1e-300;

    private static final double SQRT2 = Math.sqrt(2);
    private static final double DENSITY_AT_0 = 1 / Math.sqrt(2 * Math.PI);

    /** Median, thermal days. */
    public double medianThermalDays() {
        return Math.exp(mu);
    }

    /** What dates are worked out from with it. */
    public RootingTime asRootingTime() {
        return new RootingTime(medianThermalDays(), sigma, records);
    }

    /**
     * Learns from intervals; their order does not matter.
     *
     * @param d50 of the profile, thermal days, above 0
     * @throws OutOfRangeException if d50 is not above 0
     */
    public static LearnedTime from(HouseRules rules, double d50, List<Interval> intervals) {
        Require.positive("d50", d50);
        return new Search(rules, Math.log(d50), intervals).climb();
    }

    /** The posterior over (mu, ln sigma), and the way up it: Newton's steps, held back where they would overshoot. */
    private static final class Search {

        private final double priorMu;
        private final double priorMuSpread;
        private final double priorEta;
        private final double priorEtaSpread;
        private final double[] logLow;
        private final double[] logHigh;

        Search(HouseRules rules, double priorMu, List<Interval> intervals) {
            this.priorMu = priorMu;
            this.priorMuSpread = rules.of(TIME_SPREAD);
            this.priorEta = Math.log(rules.of(SIGMA));
            this.priorEtaSpread = rules.of(SIGMA_SPREAD);
            this.logLow =
                    intervals.stream().mapToDouble(one -> Math.log(one.low())).toArray();
            this.logHigh =
                    intervals.stream().mapToDouble(one -> Math.log(one.high())).toArray();
        }

        LearnedTime climb() {
            double mu = priorMu;
            double eta = priorEta;
            Slope here = new Slope(mu, eta);
            for (int step = 0; step < MAX_STEPS; step++) {
                double curveMu = Math.min(-1, here.curveMu);
                double curveEta = Math.min(-1, here.curveEta);
                double cross = here.cross;
                double determinant = curveMu * curveEta - cross * cross;
                if (determinant <= 0) {
                    // not a hilltop's curvature: climb along each axis alone
                    cross = 0;
                    determinant = curveMu * curveEta;
                }
                double moveMu = -(curveEta * here.gradientMu - cross * here.gradientEta) / determinant;
                double moveEta = -(curveMu * here.gradientEta - cross * here.gradientMu) / determinant;
                double share = 1;
                Slope there = new Slope(mu + moveMu, eta + moveEta);
                while (there.height < here.height && share > LEAST_SHARE) {
                    share /= 2;
                    there = new Slope(mu + share * moveMu, eta + share * moveEta);
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

        /** Logarithm of the posterior, up to a constant, with its gradient and curvature in mu and ln sigma. */
        private final class Slope {

            private double height;
            private double gradientMu;
            private double gradientEta;
            private double curveMu;
            private double curveEta;
            private double cross;

            Slope(double mu, double eta) {
                double sigma = Math.exp(eta);
                double offMu = (mu - priorMu) / priorMuSpread;
                double offEta = (eta - priorEta) / priorEtaSpread;
                height = -(offMu * offMu + offEta * offEta) / 2;
                gradientMu = -offMu / priorMuSpread;
                gradientEta = -offEta / priorEtaSpread;
                curveMu = -1 / (priorMuSpread * priorMuSpread);
                curveEta = -1 / (priorEtaSpread * priorEtaSpread);
                for (int i = 0; i < logLow.length; i++) {
                    add((logLow[i] - mu) / sigma, (logHigh[i] - mu) / sigma, sigma);
                }
            }

            /** ln(Phi(b) - Phi(a)): its derivatives are differences of powers of z times the density at both ends. */
            private void add(double a, double b, double sigma) {
                double mass = Math.max(LEAST_MASS, between(a, b));
                double[] low = moments(a);
                double[] high = moments(b);
                double d0 = (high[0] - low[0]) / mass;
                double d1 = (high[1] - low[1]) / mass;
                double d2 = (high[2] - low[2]) / mass;
                double d3 = (high[3] - low[3]) / mass;
                height += Math.log(mass);
                gradientMu -= d0 / sigma;
                gradientEta -= d1;
                curveMu -= (d1 + d0 * d0) / (sigma * sigma);
                curveEta += d1 - d3 - d1 * d1;
                cross += (d0 - d2 - d0 * d1) / sigma;
            }

            /** The standard normal density at z times 1, z, z squared and z cubed; nothing at an infinite end. */
            private static double[] moments(double z) {
                double density = Double.isInfinite(z) ? 0 : Math.exp(-z * z / 2) * DENSITY_AT_0;
                if (density == 0) {
                    return new double[4];
                }
                return new double[] {density, z * density, z * z * density, z * z * z * density};
            }
        }

        private static double between(double from, double to) {
            return from > 0 ? above(from) - above(to) : above(-to) - above(-from);
        }

        private static double above(double z) {
            return z == Double.POSITIVE_INFINITY ? 0 : z == Double.NEGATIVE_INFINITY ? 1 : Erf.erfc(z / SQRT2) / 2;
        }
    }
}
