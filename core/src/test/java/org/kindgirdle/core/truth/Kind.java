package org.kindgirdle.core.truth;

/**
 * What a kind of plant really is, which its profile only comes near.
 *
 * @param restsBelowC no growth below, C
 * @param bestC growth is fastest
 * @param tooHotC no growth above
 * @param days so many days at the best warmth from ring to full ball
 * @param differs spread of the logarithm of that from layer to layer
 * @param never share of layers that never root, of a usual ring on usual wood
 * @param bridges share of rings over which bark heals
 * @param leafCm2 one leaf, cm2
 * @param dropsLeaf whether cold or short days tell it to drop its leaves
 * @param bearsC what its top bears at rest, C
 */
public record Kind(
        double restsBelowC,
        double bestC,
        double tooHotC,
        double days,
        double differs,
        double never,
        double bridges,
        double leafCm2,
        boolean dropsLeaf,
        double bearsC) {

    private static final double TIME_OFF = .25;

    /** The same as it turns out to be in one world: its time is off what is believed. */
    public Kind asItIs(Luck luck) {
        double off = Math.exp(TIME_OFF * luck.bell(Luck.Question.SPECIES_TIME, 0));
        return new Kind(
                restsBelowC + luck.bell(Luck.Question.SPECIES_TIME, 1) / 2,
                bestC,
                tooHotC,
                days * off,
                differs,
                never,
                bridges,
                leafCm2,
                dropsLeaf,
                bearsC);
    }

    /** How fast roots grow at a warmth, 0 to 1: a quarter of a sine up, and one down. */
    double pace(double atC) {
        if (atC <= restsBelowC || atC >= tooHotC) {
            return 0;
        }
        return atC <= bestC
                ? Math.sin(Math.PI / 2 * (atC - restsBelowC) / (bestC - restsBelowC))
                : Math.cos(Math.PI / 2 * (atC - bestC) / (tooHotC - bestC));
    }
}
