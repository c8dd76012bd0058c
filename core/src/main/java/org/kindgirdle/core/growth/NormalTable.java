package org.kindgirdle.core.growth;

import org.hipparchus.special.Erf;

/**
 * The standard normal distribution, tabulated: a posterior asks for it some thousand times. Between its points it is
 * interpolated by cubics that meet value and slope. From -5 on its error is below 1e-13; below, where relative error
 * counts, its logarithm is interpolated, with a relative error below 1e-10.
 */
final class NormalTable {

    private static final double TAIL = -5;
    private static final double HIGH = 8.5;
    private static final int PER_UNIT = 512;
    private static final int PER_UNIT_OF_TAIL = 128;
    private static final double SQRT2 = Math.sqrt(2);

    /** Beyond this a double holds no more of the tail. */
    private static final double NOTHING = -37;

    private static final double[] VALUE = new double[(int) ((HIGH - TAIL) * PER_UNIT) + 2];
    private static final double[] SLOPE = new double[VALUE.length];
    private static final double[] LOG = new double[(int) ((TAIL - NOTHING) * PER_UNIT_OF_TAIL) + 2];
    private static final double[] LOG_SLOPE = new double[LOG.length];

    static {
        for (int i = 0; i < VALUE.length; i++) {
            double z = TAIL + (double) i / PER_UNIT;
            VALUE[i] = exact(z);
            SLOPE[i] = density(z) / PER_UNIT;
        }
        for (int i = 0; i < LOG.length; i++) {
            double z = NOTHING + (double) i / PER_UNIT_OF_TAIL;
            LOG[i] = Math.log(exact(z));
            LOG_SLOPE[i] = density(z) / exact(z) / PER_UNIT_OF_TAIL;
        }
    }

    private NormalTable() {}

    /** Probability of at most z. */
    static double upTo(double z) {
        if (z >= HIGH) {
            return 1;
        }
        if (z >= TAIL) {
            return between(VALUE, SLOPE, (z - TAIL) * PER_UNIT);
        }
        return z <= NOTHING ? 0 : Math.exp(between(LOG, LOG_SLOPE, (z - NOTHING) * PER_UNIT_OF_TAIL));
    }

    private static double between(double[] value, double[] slope, double at) {
        int i = (int) at;
        double t = at - i;
        double u = 1 - t;
        return u * u * ((1 + 2 * t) * value[i] + t * slope[i])
                + t * t * ((3 - 2 * t) * value[i + 1] - u * slope[i + 1]);
    }

    private static double density(double z) {
        return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
    }

    private static double exact(double z) {
        return Erf.erfc(-z / SQRT2) / 2;
    }
}
