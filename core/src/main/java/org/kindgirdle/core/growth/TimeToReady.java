package org.kindgirdle.core.growth;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.hipparchus.special.Erf;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The thermal days from ring to full ball, and the chance that a layer roots at all. Before any look the time is
 * lognormal; looks, which may err, leave a posterior over its logarithm on a grid.
 */
public final class TimeToReady {

    /** Points of the grid, from so many spreads below the mean to as many above it. */
    static final int POINTS = 129;

    private static final double REACH = 5;

    /** Where looks contradict each other beyond what a double holds, each keeps this chance of a mere mistake. */
    private static final double MISTAKE = 1e-9;

    /** Of a place on the grid, in steps. */
    private static final double ROUNDING = 1e-9;

    private static final double LEAST_EVIDENCE = 1e-250;
    private static final double MAX_THERMAL_DAYS = 1e9;
    private static final double SQRT2 = Math.sqrt(2);

    private final double d50;
    private final double spread;
    private final double rootsBefore;
    private final List<Double> figures;
    private final List<StageSeen> looks;
    private final double roots;

    /** Mass below each point and half of its own; null before any look. */
    private final double @Nullable [] cdf;

    private TimeToReady(
            double d50,
            double spread,
            double rootsBefore,
            List<Double> figures,
            List<StageSeen> looks,
            double roots,
            double @Nullable [] cdf) {
        this.d50 = Require.positive("d50", d50);
        this.spread = Require.positive("spread", spread);
        this.rootsBefore = Require.within("chance that it roots", rootsBefore, 0, 1);
        this.figures = List.copyOf(figures);
        this.looks = List.copyOf(looks);
        this.roots = roots;
        this.cdf = cdf;
    }

    /** Median before any look, thermal days. */
    public double d50() {
        return d50;
    }

    /** Standard deviation of its logarithm before any look. */
    public double spread() {
        return spread;
    }

    /** The chance that it roots at all, after its looks. */
    public double roots() {
        return roots;
    }

    /** The chance that it roots at all, before any look. */
    public double rootsBefore() {
        return rootsBefore;
    }

    /** What was seen, in the order in which it was. */
    public List<StageSeen> looks() {
        return looks;
    }

    /** Before any look, of a layer that will root. */
    public static TimeToReady prior(double d50, double spread) {
        return prior(d50, spread, 1);
    }

    /**
     * Before any look.
     *
     * @param roots the chance that it roots at all
     */
    public static TimeToReady prior(double d50, double spread, double roots) {
        return new TimeToReady(d50, spread, roots, List.of(), List.of(), roots, null);
    }

    /** After looks in the order in which they were made. */
    public static TimeToReady after(
            HouseRules rules, LookNoise noise, double d50, double spread, double roots, List<StageSeen> looks) {
        StageChances chances = new StageChances(rules, noise);
        if (looks.isEmpty()) {
            return new TimeToReady(d50, spread, roots, chances.figures(), looks, roots, null);
        }
        double[] mass = weights();
        double[] kept = mass.clone();
        double evidence = multiply(mass, chances, Math.log(d50), spread, looks, 0);
        double never = never(chances, looks, 0);
        if (evidence < LEAST_EVIDENCE && never < LEAST_EVIDENCE || evidence == 0) {
            mass = kept;
            evidence = multiply(mass, chances, Math.log(d50), spread, looks, MISTAKE);
            never = never(chances, looks, MISTAKE);
        }
        double both = roots * evidence + (1 - roots) * never;
        return new TimeToReady(
                d50,
                spread,
                roots,
                chances.figures(),
                looks,
                both > 0 ? roots * evidence / both : roots,
                cumulated(mass));
    }

    /** As it was worked out before. */
    static TimeToReady kept(
            double d50,
            double spread,
            double rootsBefore,
            List<Double> figures,
            List<StageSeen> looks,
            double roots,
            double[] cdf) {
        return new TimeToReady(d50, spread, rootsBefore, figures, looks, roots, cdf);
    }

    double @Nullable [] cdf() {
        return cdf;
    }

    List<Double> figures() {
        return figures;
    }

    /** Whether it is what these figures, rules and looks leave: then it need not be worked out again. */
    public boolean isAfter(
            HouseRules rules, LookNoise noise, double d50, double spread, double roots, List<StageSeen> looks) {
        return isAfter(new StageChances(rules, noise).figures(), d50, spread, roots, looks);
    }

    private boolean isAfter(List<Double> figures, double d50, double spread, double roots, List<StageSeen> looks) {
        return this.d50 == d50
                && this.spread == spread
                && this.rootsBefore == roots
                && this.figures.equals(figures)
                && this.looks.equals(looks);
    }

    private static double[] weights() {
        double[] weights = new double[POINTS];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            double z = z(i);
            weights[i] = Math.exp(-z * z / 2);
            sum += weights[i];
        }
        for (int i = 0; i < POINTS; i++) {
            weights[i] /= sum;
        }
        return weights;
    }

    private static double z(int point) {
        return REACH * (2.0 * point / (POINTS - 1) - 1);
    }

    /** Weighs every point by the chance of what was seen. @return the sum of the masses */
    private static double multiply(
            double[] mass, StageChances chances, double mu, double spread, List<StageSeen> looks, double mistake) {
        int stages = RootStage.values().length;
        double[] there = new double[stages];
        double[][] reached = new double[looks.size()][stages];
        double[] lnG = looks.stream().mapToDouble(TimeToReady::lnG).toArray();
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            double x = mu + spread * z(i);
            for (int look = 0; look < lnG.length; look++) {
                chances.full(lnG[look], x, reached[look]);
            }
            double likelihood = 0;
            for (int deviation = 0; deviation < StageChances.deviations(); deviation++) {
                double product = StageChances.weight(deviation);
                for (int look = 0; look < lnG.length; look++) {
                    chances.rooting(lnG[look], x, deviation, reached[look], there);
                    double seen = chances.named(looks.get(look).stage().ordinal(), there);
                    product *= mistake + (1 - mistake) * seen;
                }
                likelihood += product;
            }
            mass[i] *= likelihood;
            sum += mass[i];
        }
        return sum;
    }

    private static double never(StageChances chances, List<StageSeen> looks, double mistake) {
        double product = 1;
        for (StageSeen look : looks) {
            product *= mistake + (1 - mistake) * chances.neverNamed(look.stage().ordinal());
        }
        return product;
    }

    private static double lnG(StageSeen look) {
        return Math.log(Math.max(Double.MIN_NORMAL, look.thermalDays()));
    }

    private static double[] cumulated(double[] mass) {
        double sum = Arrays.stream(mass).sum();
        double[] cdf = new double[POINTS];
        double below = 0;
        for (int i = 0; i < POINTS; i++) {
            double own = mass[i] / sum;
            cdf[i] = below + own / 2;
            below += own;
        }
        return cdf;
    }

    /**
     * Thermal days by which it is full with probability p if it roots, 0 < p < 1.
     *
     * @throws IllegalArgumentException if p is not above 0 and below 1
     */
    public double quantile(double p) {
        if (!(p > 0 && p < 1)) {
            throw new IllegalArgumentException("probability is " + p + "; it must lie between 0 and 1");
        }
        if (cdf == null) {
            return d50 * Math.exp(-spread * SQRT2 * Erf.erfcInv(2 * p));
        }
        int above = 0;
        while (above < POINTS - 1 && cdf[above] < p) {
            above++;
        }
        if (above == 0 || cdf[above] <= p && above == POINTS - 1) {
            return d50 * Math.exp(spread * z(above));
        }
        double share = (p - cdf[above - 1]) / (cdf[above] - cdf[above - 1]);
        return d50 * Math.exp(spread * (z(above - 1) + share * (z(above) - z(above - 1))));
    }

    /**
     * Probability that the ball is full when it has had so many thermal days, if it roots.
     *
     * @param thermalDays 0 to 1e9
     * @throws OutOfRangeException if thermalDays is outside 0 to 1e9
     */
    public double fullBy(double thermalDays) {
        Require.within("thermalDays", thermalDays, 0, MAX_THERMAL_DAYS);
        if (thermalDays == 0) {
            return 0;
        }
        double z = Math.log(thermalDays / d50) / spread;
        if (cdf == null) {
            return Erf.erfc(-z / SQRT2) / 2;
        }
        double at = (z / REACH + 1) * (POINTS - 1) / 2;
        if (at < -ROUNDING) {
            return 0;
        }
        int i = Math.max(0, (int) at);
        return i >= POINTS - 1 ? 1 : Math.min(1, cdf[i] + Math.max(0, at - i) * (cdf[i + 1] - cdf[i]));
    }

    /** Probability that it has rooted and is full when it has had so many thermal days, 0 to 1e9. */
    public double readyBy(double thermalDays) {
        return roots * fullBy(thermalDays);
    }

    /**
     * What a look is likely to find after so many thermal days, of those that root and those that never do.
     *
     * @param thermalDays 0 to 1e9
     * @return the probability of each stage, all of them, adding up to 1
     * @throws OutOfRangeException if thermalDays is outside 0 to 1e9
     */
    public Map<RootStage, Double> stages(HouseRules rules, double thermalDays) {
        Require.within("thermalDays", thermalDays, 0, MAX_THERMAL_DAYS);
        StageChances chances = new StageChances(rules, LookNoise.of(rules));
        double lnG = Math.log(Math.max(Double.MIN_NORMAL, thermalDays));
        double[] found = new double[RootStage.values().length];
        double[] there = new double[found.length];
        double[] reached = new double[found.length];
        double[] mass = mass();
        for (int i = 0; i < POINTS; i++) {
            double x = Math.log(d50) + spread * z(i);
            chances.full(lnG, x, reached);
            for (int deviation = 0; deviation < StageChances.deviations(); deviation++) {
                chances.rooting(lnG, x, deviation, reached, there);
                for (int stage = 0; stage < found.length; stage++) {
                    found[stage] += mass[i] * StageChances.weight(deviation) * there[stage];
                }
            }
        }
        Map<RootStage, Double> odds = new EnumMap<>(RootStage.class);
        for (RootStage stage : RootStage.values()) {
            int i = stage.ordinal();
            odds.put(stage, roots * found[i] + (1 - roots) * chances.never(i));
        }
        return odds;
    }

    private double[] mass() {
        if (cdf == null) {
            return weights();
        }
        double[] mass = new double[POINTS];
        double below = 0;
        for (int i = 0; i < POINTS; i++) {
            mass[i] = 2 * (cdf[i] - below);
            below += mass[i];
        }
        return mass;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof TimeToReady that
                && isAfter(that.figures, that.d50, that.spread, that.rootsBefore, that.looks);
    }

    @Override
    public int hashCode() {
        return Objects.hash(d50, spread, rootsBefore, figures, looks);
    }

    @Override
    public String toString() {
        return "lognormal(" + d50 + ", " + spread + ") after " + looks + ", rooting " + roots;
    }
}
