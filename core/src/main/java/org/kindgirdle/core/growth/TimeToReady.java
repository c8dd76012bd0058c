package org.kindgirdle.core.growth;

import java.util.List;
import org.hipparchus.special.Erf;
import org.kindgirdle.core.units.Require;

/**
 * The thermal days from ring to full ball: a lognormal distribution cut to the interval (low, high] that the looks
 * leave open.
 *
 * @param d50 median of the uncut lognormal, thermal days
 * @param sigma standard deviation of its logarithm
 * @param low thermal days, 0 if nothing bounds it from below
 * @param high thermal days, infinite if nothing bounds it from above
 * @param looksAgree false if a look contradicted those before it; the newest then counts
 */
public record TimeToReady(double d50, double sigma, double low, double high, boolean looksAgree) {

    /** Mass of the cut lognormal below which its tail is no longer trusted and one point stands for it. */
    private static final double LEAST_MASS = 1e-9;

    /** What is added to a lower bound when the point stands alone above it. */
    private static final double ABOVE_LOW = 1.05;

    private static final double SQRT2 = Math.sqrt(2);

    public TimeToReady {
        Require.positive("d50", d50);
        Require.positive("sigma", sigma);
        if (!(low >= 0 && high > low)) {
            throw new IllegalArgumentException("the interval (" + low + ", " + high + "] is empty");
        }
    }

    /** Before any look. */
    public static TimeToReady prior(double d50, double sigma) {
        return new TimeToReady(d50, sigma, 0, Double.POSITIVE_INFINITY, true);
    }

    /** After looks in the order in which they were made. */
    public static TimeToReady after(double d50, double sigma, List<StageSeen> looks) {
        double low = 0;
        double high = Double.POSITIVE_INFINITY;
        boolean agree = true;
        for (StageSeen look : looks) {
            double lower = Math.max(low, look.low());
            double upper = Math.min(high, look.high());
            if (lower < upper) {
                low = lower;
                high = upper;
            } else if (look.low() < look.high()) {
                agree = false;
                low = look.low();
                high = look.high();
            }
        }
        return new TimeToReady(d50, sigma, low, high, agree);
    }

    /** Thermal days by which it is ready with probability p, 0 < p < 1. */
    public double quantile(double p) {
        if (!(p > 0 && p < 1)) {
            throw new IllegalArgumentException("probability is " + p + "; it must lie between 0 and 1");
        }
        if (mass() < LEAST_MASS) {
            return point();
        }
        double z = isUpperTail()
                ? -normalQuantile(above(z(low)) - p * mass())
                : normalQuantile(above(-z(low)) + p * mass());
        return Math.max(low, Math.min(high, d50 * Math.exp(sigma * z)));
    }

    /** Probability that it is ready when it has had so many thermal days. */
    public double readyBy(double thermalDays) {
        if (mass() < LEAST_MASS) {
            return thermalDays >= point() ? 1 : 0;
        }
        if (thermalDays <= low) {
            return 0;
        }
        return thermalDays >= high ? 1 : Math.min(1, between(z(low), z(thermalDays)) / mass());
    }

    private double mass() {
        return between(z(low), z(high));
    }

    private double point() {
        if (low == 0) {
            return high;
        }
        return high == Double.POSITIVE_INFINITY ? ABOVE_LOW * low : Math.sqrt(low * high);
    }

    private boolean isUpperTail() {
        return z(low) > 0;
    }

    private double z(double thermalDays) {
        return Math.log(thermalDays / d50) / sigma;
    }

    /** The standard normal's mass between two points, from the tail nearer to them so that digits are not lost. */
    private static double between(double from, double to) {
        return from > 0 ? above(from) - above(to) : above(-to) - above(-from);
    }

    private static double above(double z) {
        return z == Double.POSITIVE_INFINITY ? 0 : z == Double.NEGATIVE_INFINITY ? 1 : Erf.erfc(z / SQRT2) / 2;
    }

    private static double normalQuantile(double p) {
        return -SQRT2 * Erf.erfcInv(2 * p);
    }
}
