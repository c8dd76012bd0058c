package org.kindgirdle.core.lived;

import org.kindgirdle.core.look.RoundMinutes;

/** One pair of hands for all layers of a grower. A day has so many minutes for them, and no more. */
final class Hands {

    /** What a nursery that says nothing else gives a round. */
    private static final double MINUTES_A_DAY = 90;

    private double worked;

    /** A new day begins. */
    void rest() {
        worked = 0;
    }

    /** Whether there is time for one more thing; what is begun is ended. */
    boolean haveTime() {
        return worked < MINUTES_A_DAY;
    }

    /** @param job what is done: it takes the minutes of the house's figures */
    void work(String job) {
        worked += RoundMinutes.of(Nursery.RULES, job);
    }

    /** Minutes worked today. */
    double worked() {
        return worked;
    }
}
