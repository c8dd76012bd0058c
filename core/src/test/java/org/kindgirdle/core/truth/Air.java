package org.kindgirdle.core.truth;

/**
 * The weather of one day.
 *
 * @param minC lowest of the night, C
 * @param maxC highest of the day, C
 * @param windMs m/s
 * @param rainMm mm
 * @param dryness how dry the air is against a damp day of the same warmth, 1 and more
 */
public record Air(double minC, double maxC, double windMs, double rainMm, double dryness) {

    /** Hours of the day that are looked at. */
    private static final int STEPS = 8;

    /** The mean of the day, C. */
    public double meanC() {
        return (minC + maxC) / 2;
    }

    /** The warmth of an eighth of the day, 0 to 7: coldest before dawn, warmest at three. */
    double atC(int eighth) {
        return meanC() + (maxC - minC) / 2 * Math.sin(2 * Math.PI * (eighth * 3 - 9) / 24.0);
    }

    static int steps() {
        return STEPS;
    }

    /** What the air of a day takes out of leaves and balls: 1 on a mild, damp day. */
    double thirst() {
        return dryness * Math.max(.2, .35 + .04 * (maxC - 12)) * (1 + .02 * windMs);
    }

    /** The same air behind glass, under cloth or against a wall. */
    public Air shifted(double minShiftC, double maxShiftC, double windShare) {
        double min = minC + minShiftC;
        return new Air(min, Math.max(min + .5, maxC + maxShiftC), windMs * windShare, 0, dryness);
    }
}
