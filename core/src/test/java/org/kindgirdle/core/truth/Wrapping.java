package org.kindgirdle.core.truth;

/**
 * How a ball is made and where it hangs.
 *
 * @param cut whether bark was taken off
 * @param ringMm width of the ring, 0 where nothing was cut
 * @param thickMm of the branch
 * @param mediumMl in the ball; 0 for none
 * @param leaks share of its water that a usual day takes out of it
 * @param sun share of the day's sun on it, 0 to 1
 * @param warmC what full sun adds under its cover
 * @param clear whether light comes in
 * @param inSoil whether it lies in the soil
 * @param hangs whether wind can move it
 * @param pace what its wound, wood and mother make of the speed
 * @param odds what they make of the odds to root
 */
public record Wrapping(
        boolean cut,
        double ringMm,
        double thickMm,
        double mediumMl,
        double leaks,
        double sun,
        double warmC,
        boolean clear,
        boolean inSoil,
        boolean hangs,
        double pace,
        double odds) {

    /** The same under another cover. */
    public Wrapping covered(double warm, boolean seenThrough) {
        return new Wrapping(cut, ringMm, thickMm, mediumMl, leaks, sun, warm, seenThrough, inSoil, hangs, pace, odds);
    }

    /** The same with another ring. */
    public Wrapping ringed(double mm, double odd) {
        return new Wrapping(true, mm, thickMm, mediumMl, leaks, sun, warmC, clear, inSoil, hangs, pace, odd);
    }
}
