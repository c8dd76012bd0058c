package org.kindgirdle.core.growth;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.hipparchus.special.Erf;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.Require;

/**
 * The thermal days from ring to full ball: a lognormal distribution cut to the interval (low, high] that the looks
 * leave open. Its mass is worked out once: a whole nursery asks for it several times a layer.
 */
public final class TimeToReady {

    /** Mass of the cut lognormal below which its tail is no longer trusted and one point stands for it. */
    private static final double LEAST_MASS = 1e-9;

    /** What is added to a lower bound when the point stands alone above it. */
    private static final double ABOVE_LOW = 1.05;

    private static final double MOST_THERMAL_DAYS = 1e9;

    private static final double SQRT2 = Math.sqrt(2);

    private final double d50;
    private final double sigma;
    private final double low;
    private final double high;
    private final boolean looksAgree;
    private final double zLow;

    /** What lies beyond the lower bound, in the tail nearer to it. */
    private final double beyondLow;

    private final double mass;

    private TimeToReady(double d50, double sigma, double low, double high, boolean looksAgree) {
        this.d50 = Require.positive("d50", d50);
        this.sigma = Require.positive("sigma", sigma);
        if (!(low >= 0 && high > low)) {
            throw new IllegalArgumentException("the interval (" + low + ", " + high + "] is empty");
        }
        this.low = low;
        this.high = high;
        this.looksAgree = looksAgree;
        this.zLow = z(low);
        this.beyondLow = zLow > 0 ? above(zLow) : above(-zLow);
        this.mass = upTo(z(high));
    }

    /** Median of the uncut lognormal, thermal days. */
    public double d50() {
        return d50;
    }

    /** Standard deviation of its logarithm. */
    public double sigma() {
        return sigma;
    }

    /** Thermal days, 0 if nothing bounds it from below. */
    public double low() {
        return low;
    }

    /** Thermal days, infinite if nothing bounds it from above. */
    public double high() {
        return high;
    }

    /** False if a look contradicted those before it; the newest then counts. */
    public boolean looksAgree() {
        return looksAgree;
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
        if (mass < LEAST_MASS) {
            return point();
        }
        double z = zLow > 0 ? -normalQuantile(beyondLow - p * mass) : normalQuantile(beyondLow + p * mass);
        return Math.max(low, Math.min(high, d50 * Math.exp(sigma * z)));
    }

    /**
     * Probability that it is ready when it has had so many thermal days.
     *
     * @param thermalDays 0 to 1e9
     */
    public double readyBy(double thermalDays) {
        Require.within("thermalDays", thermalDays, 0, MOST_THERMAL_DAYS);
        if (mass < LEAST_MASS) {
            return thermalDays >= point() ? 1 : 0;
        }
        if (thermalDays <= low) {
            return 0;
        }
        return thermalDays >= high ? 1 : Math.min(1, upTo(z(thermalDays)) / mass);
    }

    /**
     * What is to be found after so many thermal days: a stage begins at its share of the time to a full ball, so it is
     * reached by those that would be full at the thermal days divided by that share.
     *
     * @param thermalDays 0 to 1e9
     * @return the probability of each stage, all of them, adding up to 1
     */
    public Map<RootStage, Double> stages(HouseRules rules, double thermalDays) {
        Map<RootStage, Double> odds = new EnumMap<>(RootStage.class);
        double reached = 1;
        for (RootStage stage : RootStage.values()) {
            double end = stage.endsAt(rules);
            double next = end == Double.POSITIVE_INFINITY ? 0 : readyBy(Math.min(MOST_THERMAL_DAYS, thermalDays / end));
            odds.put(stage, Math.max(0, reached - next));
            reached = Math.min(reached, next);
        }
        return odds;
    }

    private double point() {
        if (low == 0) {
            return high;
        }
        return high == Double.POSITIVE_INFINITY ? ABOVE_LOW * low : Math.sqrt(low * high);
    }

    private double z(double thermalDays) {
        return Math.log(thermalDays / d50) / sigma;
    }

    /** The standard normal's mass from the lower bound on, from the tail nearer to it so that digits are not lost. */
    private double upTo(double z) {
        return zLow > 0 ? beyondLow - above(z) : above(-z) - beyondLow;
    }

    private static double above(double z) {
        return z == Double.POSITIVE_INFINITY ? 0 : z == Double.NEGATIVE_INFINITY ? 1 : Erf.erfc(z / SQRT2) / 2;
    }

    private static double normalQuantile(double p) {
        return -SQRT2 * Erf.erfcInv(2 * p);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof TimeToReady that
                && Double.compare(d50, that.d50) == 0
                && Double.compare(sigma, that.sigma) == 0
                && Double.compare(low, that.low) == 0
                && Double.compare(high, that.high) == 0
                && looksAgree == that.looksAgree;
    }

    @Override
    public int hashCode() {
        return Objects.hash(d50, sigma, low, high, looksAgree);
    }

    @Override
    public String toString() {
        return "lognormal(" + d50 + ", " + sigma + ") in (" + low + ", " + high + "]";
    }
}
