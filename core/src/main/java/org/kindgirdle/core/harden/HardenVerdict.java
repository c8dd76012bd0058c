package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What to do with a young plant, and what still stands in the way of the next rung or of release.
 *
 * @param step what to do
 * @param to the rung to move to; null if it stays
 * @param from the first day on which the next step up is to be looked at
 * @param lacking what is not fulfilled yet, in the order of the tests
 */
public record HardenVerdict(PlantStep step, @Nullable Rung to, LocalDate from, List<Lack> lacking) {

    /** Days that a plant must have stood without droop before a step up. */
    static final int CALM_DAYS = 5;

    /** No step up on the eve of a day warmer than this, C. */
    static final double HOT_C = 30;

    /** A release needs so many days to the early first frost. */
    static final int RELEASE_FROST_DAYS = 28;

    /** A reason why it may not move. */
    public enum Lack {
        DAYS_ON_RUNG,
        CALM_DAYS,
        COOL_DAY,
        ROOTS_AT_EDGE,
        NEW_GROWTH,
        NO_PESTS,
        FROST_FREE_DAYS
    }

    public HardenVerdict {
        lacking = List.copyOf(lacking);
    }
}
