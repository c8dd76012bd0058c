package org.kindgirdle.core.learn;

import java.util.Arrays;

/**
 * The likeliest masses of Turnbull's innermost intervals, by turns of expectation-maximisation and of the iterative
 * convex minorant (Wellner and Zhan 1997, J. Am. Stat. Assoc. 92:945-959): the first never gets worse, the second moves
 * fast and lets mass that has gone to nothing come back.
 */
final class MassSearch {

    /**
     * The search ends when no interval would gain from more mass by more than this share: the logarithm of the
     * likelihood is then within it of the greatest, for each record.
     */
    private static final double CONVERGED = 1e-6;

    private static final int MAX_ROUNDS = 2000;

    /** A step is halved no oftener than this. */
    private static final int MAX_HALVINGS = 20;

    private final int size;
    private final int[] first;
    private final int[] last;
    private boolean converged;

    /**
     * @param size how many innermost intervals there are, 1 or more
     * @param first of each record, the first innermost interval that lies in it
     * @param last of each record, the last
     */
    MassSearch(int size, int[] first, int[] last) {
        this.size = size;
        this.first = first;
        this.last = last;
    }

    boolean converged() {
        return converged;
    }

    /** The masses, which add up to 1. */
    double[] climb() {
        double[] cumulative = new double[size + 1];
        for (int j = 0; j <= size; j++) {
            cumulative[j] = (double) j / size;
        }
        for (int round = 0; round < MAX_ROUNDS; round++) {
            double[] gain = gain(cumulative);
            if (Arrays.stream(gain).max().orElse(1) - 1 < CONVERGED) {
                converged = true;
                break;
            }
            cumulative = minorant(expected(cumulative, gain));
        }
        double[] mass = new double[size];
        for (int j = 0; j < size; j++) {
            mass[j] = cumulative[j + 1] - cumulative[j];
        }
        return mass;
    }

    /**
     * What each innermost interval would gain from more mass: the mean over the records of 1 over the mass of those that
     * hold it. It is 1 where there is mass, and nowhere above it, at the likeliest. Each record holds a run of
     * intervals, so that differences at the ends of runs make it linear in both numbers.
     */
    private double[] gain(double[] cumulative) {
        double[] change = new double[size + 1];
        for (int i = 0; i < first.length; i++) {
            double share = 1 / (cumulative[last[i] + 1] - cumulative[first[i]]);
            change[first[i]] += share;
            change[last[i] + 1] -= share;
        }
        double[] gain = new double[size];
        double running = 0;
        for (int j = 0; j < size; j++) {
            running += change[j];
            gain[j] = running / first.length;
        }
        return gain;
    }

    private double[] expected(double[] cumulative, double[] gain) {
        double[] next = new double[size + 1];
        for (int j = 0; j < size; j++) {
            next[j + 1] = next[j] + (cumulative[j + 1] - cumulative[j]) * gain[j];
        }
        double all = next[size];
        for (int j = 1; j <= size; j++) {
            next[j] /= all;
        }
        return next;
    }

    /** A Newton step with the curvature along each axis alone, made to rise again, and halved until it is no worse. */
    private double[] minorant(double[] cumulative) {
        double[] slope = new double[size + 1];
        double[] curve = new double[size + 1];
        for (int i = 0; i < first.length; i++) {
            double share = 1 / (cumulative[last[i] + 1] - cumulative[first[i]]);
            slope[last[i] + 1] += share;
            slope[first[i]] -= share;
            curve[last[i] + 1] += share * share;
            curve[first[i]] += share * share;
        }
        double[] wanted = new double[size + 1];
        wanted[size] = 1;
        for (int k = 1; k < size; k++) {
            wanted[k] = cumulative[k] + slope[k] / curve[k];
        }
        double[] rising = rising(wanted, curve);
        double here = likelihood(cumulative);
        double step = 1;
        for (int halving = 0; halving < MAX_HALVINGS; halving++) {
            double[] there = new double[size + 1];
            for (int k = 0; k <= size; k++) {
                there[k] = cumulative[k] + step * (rising[k] - cumulative[k]);
            }
            if (likelihood(there) >= here) {
                return there;
            }
            step /= 2;
        }
        return cumulative;
    }

    /** The nearest to the wanted values, by weight, that never falls and stays from 0 to 1: pooling of neighbours. */
    private double[] rising(double[] wanted, double[] weight) {
        double[] mean = new double[size];
        double[] heavy = new double[size];
        int[] count = new int[size];
        int blocks = 0;
        for (int k = 1; k < size; k++) {
            mean[blocks] = wanted[k];
            heavy[blocks] = weight[k];
            count[blocks] = 1;
            blocks++;
            while (blocks > 1 && mean[blocks - 2] >= mean[blocks - 1]) {
                double both = heavy[blocks - 2] + heavy[blocks - 1];
                mean[blocks - 2] = (mean[blocks - 2] * heavy[blocks - 2] + mean[blocks - 1] * heavy[blocks - 1]) / both;
                heavy[blocks - 2] = both;
                count[blocks - 2] += count[blocks - 1];
                blocks--;
            }
        }
        double[] rising = new double[size + 1];
        int k = 1;
        for (int block = 0; block < blocks; block++) {
            Arrays.fill(rising, k, k + count[block], Math.max(0, Math.min(1, mean[block])));
            k += count[block];
        }
        rising[size] = 1;
        return rising;
    }

    private double likelihood(double[] cumulative) {
        double logarithm = 0;
        for (int i = 0; i < first.length; i++) {
            double mass = cumulative[last[i] + 1] - cumulative[first[i]];
            if (!(mass > 0)) {
                return Double.NEGATIVE_INFINITY;
            }
            logarithm += Math.log(mass);
        }
        return logarithm;
    }
}
