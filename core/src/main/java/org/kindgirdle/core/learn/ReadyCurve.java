package org.kindgirdle.core.learn;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The share that is ready by so many thermal days, from intervals and with no shape assumed: Turnbull's
 * self-consistent estimate (Turnbull 1976, J. R. Stat. Soc. B 38:290-295).
 *
 * @param steps in order; between two of them the curve is not determined within a step, and flat outside of steps
 * @param converged false if the estimate still moved when the search ended
 */
public record ReadyCurve(List<Step> steps, boolean converged) {

    /** Rounds end when the curve moves nowhere by more than this share: a thousandth of what a screen could show. */
    private static final double CONVERGED = 1e-6;

    private static final int MOST_ROUNDS = 20_000;

    /** A leap leaves at least this share of a mass where it was. */
    private static final double LEAST_KEPT = 1e-3;

    /** Less mass than this is none. */
    private static final double NEGLIGIBLE = 1e-7;

    public ReadyCurve {
        steps = List.copyOf(steps);
    }

    /**
     * Mass that lies somewhere in (low, high].
     *
     * @param mass share of the layers, above 0 to 1
     * @param readyBy share ready by {@code high}
     */
    public record Step(double low, double high, double mass, double readyBy) {}

    /** @param intervals at least one; their order does not matter */
    public static ReadyCurve of(List<Interval> intervals) {
        if (intervals.isEmpty()) {
            throw new IllegalArgumentException("there is no interval; a curve needs at least one record");
        }
        List<Interval> innermost = innermost(intervals);
        int m = innermost.size();
        int[] first = new int[intervals.size()];
        int[] last = new int[intervals.size()];
        for (int i = 0; i < intervals.size(); i++) {
            first[i] = firstWithin(innermost, intervals.get(i).low());
            last[i] = lastWithin(innermost, intervals.get(i).high());
        }
        double[] mass = new double[m];
        Arrays.fill(mass, 1.0 / m);
        boolean converged = false;
        for (int round = 0; round < MOST_ROUNDS && !converged; round++) {
            double[] once = expected(mass, first, last);
            converged = isSame(mass, once);
            mass = converged ? once : leap(mass, once, first, last);
        }
        List<Step> steps = new ArrayList<>();
        double readyBy = 0;
        for (int j = 0; j < m; j++) {
            readyBy += mass[j];
            if (mass[j] > NEGLIGIBLE) {
                Interval at = innermost.get(j);
                steps.add(new Step(at.low(), at.high(), mass[j], at.isOpen() ? 1 : Math.min(1, readyBy)));
            }
        }
        return new ReadyCurve(steps, converged);
    }

    /** Share that is certainly ready by so many thermal days: steps that end there or before. */
    public double readyBy(double thermalDays) {
        double ready = 0;
        for (Step step : steps) {
            if (step.high() <= thermalDays) {
                ready = step.readyBy();
            }
        }
        return ready;
    }

    /**
     * One round of expectation and maximisation. Each record spreads over a run of innermost intervals, so that sums up
     * to a place, and differences at the ends of runs, make it linear in both.
     */
    private static double[] expected(double[] mass, int[] first, int[] last) {
        int m = mass.length;
        double[] sums = sums(mass);
        double[] weight = new double[m + 1];
        for (int i = 0; i < first.length; i++) {
            double share = 1 / (sums[last[i] + 1] - sums[first[i]]);
            weight[first[i]] += share;
            weight[last[i] + 1] -= share;
        }
        double[] next = new double[m];
        double running = 0;
        for (int j = 0; j < m; j++) {
            running += weight[j];
            next[j] = mass[j] * running / first.length;
        }
        return next;
    }

    private static boolean isSame(double[] before, double[] after) {
        double moved = 0;
        for (int j = 0; j < before.length; j++) {
            moved += after[j] - before[j];
            if (Math.abs(moved) >= CONVERGED) {
                return false;
            }
        }
        return true;
    }

    /**
     * Two rounds ahead along the line that they point to (squared extrapolation, Varadhan and Roland 2008, Scand. J.
     * Stat. 35:335-353); where that would be less likely than the two rounds themselves, those.
     */
    private static double[] leap(double[] mass, double[] once, int[] first, int[] last) {
        double[] twice = expected(once, first, last);
        double step = 0;
        double bend = 0;
        for (int j = 0; j < mass.length; j++) {
            double r = once[j] - mass[j];
            double v = twice[j] - once[j] - r;
            step += r * r;
            bend += v * v;
        }
        double reach = bend == 0 ? 1 : Math.max(1, Math.sqrt(step / bend));
        if (reach == 1) {
            return twice;
        }
        double[] far = new double[mass.length];
        double sum = 0;
        for (int j = 0; j < mass.length; j++) {
            double r = once[j] - mass[j];
            double v = twice[j] - once[j] - r;
            // mass that has gone to nothing must be able to come back
            far[j] = Math.max(twice[j] * LEAST_KEPT, mass[j] + 2 * reach * r + reach * reach * v);
            sum += far[j];
        }
        for (int j = 0; j < far.length; j++) {
            far[j] /= sum;
        }
        double[] landed = expected(far, first, last);
        return likelihood(landed, first, last) >= likelihood(twice, first, last) ? landed : twice;
    }

    private static double likelihood(double[] mass, int[] first, int[] last) {
        double[] sums = sums(mass);
        double logarithm = 0;
        for (int i = 0; i < first.length; i++) {
            logarithm += Math.log(sums[last[i] + 1] - sums[first[i]]);
        }
        return logarithm;
    }

    private static double[] sums(double[] mass) {
        double[] sums = new double[mass.length + 1];
        for (int j = 0; j < mass.length; j++) {
            sums[j + 1] = sums[j] + mass[j];
        }
        return sums;
    }

    /** Where a lower end is followed by an upper end with no other end between: only there can mass lie. */
    private static List<Interval> innermost(List<Interval> intervals) {
        double[] lows = intervals.stream().mapToDouble(Interval::low).sorted().toArray();
        double[] highs = intervals.stream().mapToDouble(Interval::high).sorted().toArray();
        List<Interval> found = new ArrayList<>();
        int low = 0;
        int high = 0;
        double pending = Double.NaN;
        while (high < highs.length) {
            // at one place upper ends come first, for the intervals are open below and closed above
            if (low < lows.length && lows[low] < highs[high]) {
                pending = lows[low++];
            } else {
                if (!Double.isNaN(pending)) {
                    found.add(new Interval(pending, highs[high]));
                    pending = Double.NaN;
                }
                high++;
            }
        }
        return found;
    }

    private static int firstWithin(List<Interval> innermost, double low) {
        int from = 0;
        int to = innermost.size() - 1;
        while (from < to) {
            int middle = (from + to) / 2;
            if (innermost.get(middle).low() >= low) {
                to = middle;
            } else {
                from = middle + 1;
            }
        }
        return from;
    }

    private static int lastWithin(List<Interval> innermost, double high) {
        int from = 0;
        int to = innermost.size() - 1;
        while (from < to) {
            int middle = (from + to + 1) / 2;
            if (innermost.get(middle).high() <= high) {
                from = middle;
            } else {
                to = middle - 1;
            }
        }
        return from;
    }
}
