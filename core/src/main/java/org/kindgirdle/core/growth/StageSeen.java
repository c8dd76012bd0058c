package org.kindgirdle.core.growth;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.Require;

/**
 * What a look says of the time to ready: a layer seen at a stage when it had had so many thermal days has its time in
 * (low, high].
 *
 * @param low thermal days, 0 or more
 * @param high thermal days, above low unless both are 0; infinite while nothing is seen
 */
public record StageSeen(double low, double high) {

    private static final double MOST_THERMAL_DAYS = 1e6;

    public StageSeen {
        if (!(low >= 0 && high >= low)) {
            throw new IllegalArgumentException(
                    "the interval (" + low + ", " + high + "] must begin at 0 or above and end no lower");
        }
    }

    /**
     * @param stage what was seen
     * @param thermalDays G at that moment, 0 to 1e6
     */
    public static StageSeen of(HouseRules rules, RootStage stage, double thermalDays) {
        Require.within("thermalDays", thermalDays, 0, MOST_THERMAL_DAYS);
        double begins = stage.beginsAt(rules);
        return new StageSeen(
                thermalDays / stage.endsAt(rules), begins == 0 ? Double.POSITIVE_INFINITY : thermalDays / begins);
    }
}
