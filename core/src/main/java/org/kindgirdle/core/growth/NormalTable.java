package org.kindgirdle.core.growth;

import org.hipparchus.special.Erf;

/**
 * The standard normal distribution, tabulated: a posterior asks for it some thousand times. Between its points it is
 * interpolated by cubics that meet value and slope, with an error below 1e-13; below -5, where relative error would
 * count, it is worked out by the complementary error function.
 */
final class NormalTable {

    private static final double LOW = -5;
    private static final double HIGH = 8.5;
    private static final int PER_UNIT = 512;
    private static final double SQRT2 = Math.sqrt(2);

    /** Beyond this a double holds no more of the tail. */
    private static final double NOTHING = -38.5;

    private static final double[] VALUE = new double[(int) ((HIGH - LOW) * PER_UNIT) + 1];
    private static final double[] SLOPE = new double[VALUE.length];

    static {
        for (int i = 0; i < VALUE.length; i++) {
            double z = LOW + (double) i / PER_UNIT;
            VALUE[i] = exact(z);
            SLOPE[i] = Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI) / PER_UNIT;
        }
    }

    private NormalTable() {}

    /** Probability of at most z. */
    static double upTo(double z) {
        if (z >= HIGH) {
            return 1;
        }
        if (z < LOW) {
            return z < NOTHING ? 0 : exact(z);
        }
        double at = (z - LOW) * PER_UNIT;
        int i = (int) at;
        if (i >= VALUE.length - 1) {
            return 1;
        }
        double t = at - i;
        double u = 1 - t;
        return u * u * ((1 + 2 * t) * VALUE[i] + t * SLOPE[i])
                + t * t * ((3 - 2 * t) * VALUE[i + 1] - u * SLOPE[i + 1]);
    }

    private static double exact(double z) {
        return Erf.erfc(-z / SQRT2) / 2;
    }
}
