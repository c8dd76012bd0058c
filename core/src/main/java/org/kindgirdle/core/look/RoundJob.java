package org.kindgirdle.core.look;

import java.time.LocalDate;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * One thing to do on a walk.
 *
 * @param id of the layer and the job, unique in a plan
 * @param placeOrder the place's turn in the walk
 * @param from the first day on which it makes sense
 * @param by the last day it may wait to, not before {@code from}
 * @param minutes it takes, above 0 to 480
 */
public record RoundJob(String id, int placeOrder, LocalDate from, LocalDate by, double minutes) {

    /**
     * @throws OutOfRangeException if minutes is outside 0 to 480
     * @throws IllegalArgumentException if its last day is before its first
     */
    public RoundJob {
        if (by.isBefore(from)) {
            throw new IllegalArgumentException(
                    "job " + id + " must be done by " + by + ", before its first day " + from);
        }
        Require.positive("minutes", minutes);
        Require.within("minutes", minutes, 0, 480);
    }
}
