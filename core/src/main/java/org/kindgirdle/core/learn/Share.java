package org.kindgirdle.core.learn;

import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * So many of so many, with the Wilson score interval (Wilson 1927, J. Am. Stat. Assoc. 22:209-212). It is computed from
 * the counts directly, so that none of n, all of n and n = 0 come out right.
 *
 * @param successes 0 to n
 * @param n 0 to 1e9
 */
public record Share(int successes, int n) {

    /** The normal quantile of a two-sided interval of 95 %. */
    public static final double Z95 = 1.959963984540054;

    private static final int MAX = 1_000_000_000;

    /** @throws OutOfRangeException if n is outside 0 to 1 000 000 000 or successes is outside 0 to n */
    public Share {
        Require.within("n", n, 0, MAX);
        Require.within("successes", successes, 0, n);
    }

    /** Those that were no successes, 0 to n. */
    public int failures() {
        return n - successes;
    }

    /** The share itself; NaN of nothing. */
    public double value() {
        return (double) successes / n;
    }

    /** Lower end of the interval, 0 where nothing is known. */
    public double low() {
        return n == 0 || successes == 0 ? 0 : Math.max(0, centre() - halfWidth());
    }

    /** Upper end of the interval, 1 where nothing is known. */
    public double high() {
        return n == 0 || successes == n ? 1 : Math.min(1, centre() + halfWidth());
    }

    private double centre() {
        return (successes + Z95 * Z95 / 2) / (n + Z95 * Z95);
    }

    private double halfWidth() {
        double spread = (double) successes * failures() / n + Z95 * Z95 / 4;
        return Z95 * Math.sqrt(spread) / (n + Z95 * Z95);
    }
}
