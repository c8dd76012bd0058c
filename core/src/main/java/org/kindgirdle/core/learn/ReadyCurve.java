package org.kindgirdle.core.learn;

import java.util.ArrayList;
import java.util.List;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The share that is ready by so many thermal days, from intervals and with no shape assumed: Turnbull's
 * self-consistent estimate (Turnbull 1976, J. R. Stat. Soc. B 38:290-295).
 *
 * @param steps in order; between two of them the curve is not determined within a step, and flat outside of steps
 * @param converged false if the search ended before the estimate was the likeliest
 */
public record ReadyCurve(List<Step> steps, boolean converged) {

    /** Less mass than this is none. */
    private static final double NEGLIGIBLE = 1e-7;

    private static final double MAX_THERMAL_DAYS = 1e9;

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

    /**
     * @param intervals at least one; their order does not matter
     * @throws IllegalArgumentException if there is no interval
     */
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
        MassSearch search = new MassSearch(m, first, last);
        double[] mass = search.climb();
        List<Step> steps = new ArrayList<>();
        double readyBy = 0;
        for (int j = 0; j < m; j++) {
            readyBy += mass[j];
            if (mass[j] > NEGLIGIBLE) {
                Interval at = innermost.get(j);
                steps.add(new Step(at.low(), at.high(), mass[j], at.isOpen() ? 1 : Math.min(1, readyBy)));
            }
        }
        return new ReadyCurve(steps, search.converged());
    }

    /**
     * Share that is certainly ready by so many thermal days: steps that end there or before.
     *
     * @param thermalDays 0 to 1e9
     * @throws OutOfRangeException if thermalDays is outside 0 to 1e9
     */
    public double readyBy(double thermalDays) {
        Require.within("thermalDays", thermalDays, 0, MAX_THERMAL_DAYS);
        double ready = 0;
        for (Step step : steps) {
            if (step.high() <= thermalDays) {
                ready = step.readyBy();
            }
        }
        return ready;
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
