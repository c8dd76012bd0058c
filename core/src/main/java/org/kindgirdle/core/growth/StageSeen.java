package org.kindgirdle.core.growth;

import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * What a look found, and how much heat the layer had had by then.
 *
 * @param stage what was seen; a look may err
 * @param thermalDays G at that moment, 0 to 1e6
 */
public record StageSeen(RootStage stage, double thermalDays) {

    private static final double MAX_THERMAL_DAYS = 1e6;

    /**
     * @throws OutOfRangeException if thermalDays is outside 0 to 1e6
     * @throws MissingValueException if there is no stage
     */
    public StageSeen {
        Require.present("stage", stage);
        Require.within("thermalDays", thermalDays, 0, MAX_THERMAL_DAYS);
    }
}
