package org.kindgirdle.core.growth;

/**
 * A stage that was seen when a layer had had some thermal days.
 *
 * @param stage what was seen
 * @param thermalDays G at that moment, 0 or more
 */
public record StageSeen(RootStage stage, double thermalDays) {

    /** The time to ready lies above this many thermal days, exclusive. */
    double low() {
        return thermalDays / stage.endsAt();
    }

    /** The time to ready is at most this many thermal days; infinite while nothing is seen. */
    double high() {
        return stage.beginsAt() == 0 ? Double.POSITIVE_INFINITY : thermalDays / stage.beginsAt();
    }
}
