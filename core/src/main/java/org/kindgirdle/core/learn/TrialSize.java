package org.kindgirdle.core.learn;

import org.hipparchus.special.Erf;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * How many layers each arm of a trial needs, so that a true difference is found: the normal approximation for two
 * independent shares with equal arms (Fleiss, Levin and Paik 2003, Statistical Methods for Rates and Proportions, 3rd
 * ed., eq. 4.14), with the correction for continuity that brings it near the exact test (eq. 4.19).
 */
public final class TrialSize {

    private TrialSize() {}

    /**
     * Layers in each arm.
     *
     * @param shareA expected in one arm, above 0, below 1
     * @param shareB expected in the other, above 0, below 1, other than shareA
     * @param significance of the two-sided test, like 0.05
     * @param power the chance to find the difference, like 0.8
     * @throws OutOfRangeException if the difference of the shares is not above 0
     */
    public static int perArm(double shareA, double shareB, double significance, double power) {
        inside("shareA", shareA);
        inside("shareB", shareB);
        inside("significance", significance);
        inside("power", power);
        double difference = Math.abs(shareA - shareB);
        Require.positive("the difference of the shares", difference);
        double mean = (shareA + shareB) / 2;
        double sameSpread = Math.sqrt(2 * mean * (1 - mean));
        double ownSpread = Math.sqrt(shareA * (1 - shareA) + shareB * (1 - shareB));
        double root = quantile(1 - significance / 2) * sameSpread + quantile(power) * ownSpread;
        double uncorrected = root * root / (difference * difference);
        double correction = 1 + Math.sqrt(1 + 4 / (uncorrected * difference));
        return (int) Math.min(Integer.MAX_VALUE, Math.ceil(uncorrected / 4 * correction * correction));
    }

    private static void inside(String name, double value) {
        if (!(value > 0 && value < 1)) {
            throw new IllegalArgumentException(name + " is " + value + "; it must lie between 0 and 1");
        }
    }

    private static double quantile(double p) {
        return -Math.sqrt(2) * Erf.erfcInv(2 * p);
    }
}
