package org.kindgirdle.core.learn;

/**
 * Between which thermal days (low, high] a layer's ball became full: the last look at which it was not, and the first
 * at which it was.
 *
 * @param low 0 if it was full at the first look
 * @param high infinite if it never was seen full
 */
public record Interval(double low, double high) {

    /** @throws IllegalArgumentException if it is empty or its ends are not thermal days */
    public Interval {
        if (!(low >= 0 && high > low)) {
            throw new IllegalArgumentException("the interval (" + low + ", " + high
                    + "] is empty or begins before nothing; the upper end must be above the lower, and that 0 or more");
        }
    }

    /** Whether it never was seen full. */
    public boolean isOpen() {
        return high == Double.POSITIVE_INFINITY;
    }
}
