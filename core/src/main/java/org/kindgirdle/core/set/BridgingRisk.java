package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/** How likely bark is to grow over the ring. */
public enum BridgingRisk {
    LOW,
    MODERATE,
    HIGH;

    private static final Rule SAFE_MM = Rule.of("bridging.safe");
    private static final Rule HIGH_BELOW = Rule.of("bridging.high");
    private static final Rule MODERATE_BELOW = Rule.of("bridging.moderate");
    private static final double MAX_RING_MM = 300;

    /**
     * @param scraped to the wood
     * @param ringMm width of the ring, 0 to 300 mm
     * @param diameterMm of the branch, 1 to 200 mm
     * @throws OutOfRangeException if ringMm is outside 0 to 300 or diameterMm outside 1 to 200
     */
    public static BridgingRisk of(HouseRules rules, boolean scraped, double ringMm, double diameterMm) {
        Require.within("ringMm", ringMm, 0, MAX_RING_MM);
        Require.within("diameterMm", diameterMm, RingAndBall.MIN_DIAMETER_MM, RingAndBall.MAX_DIAMETER_MM);
        if (!scraped) {
            return HIGH;
        }
        if (ringMm >= rules.of(SAFE_MM)) {
            return LOW;
        }
        return ringMm < rules.of(HIGH_BELOW) * diameterMm
                ? HIGH
                : ringMm < rules.of(MODERATE_BELOW) * diameterMm ? MODERATE : LOW;
    }
}
