package org.kindgirdle.core.set;

/** How likely bark is to grow over the ring. */
public enum BridgingRisk {
    LOW,
    MODERATE,
    HIGH;

    /** @param ringMm width of the ring on a branch of {@code diameterMm} */
    public static BridgingRisk of(boolean scraped, double ringMm, double diameterMm) {
        if (!scraped) {
            return HIGH;
        }
        if (ringMm >= 40) {
            return LOW;
        }
        return ringMm < diameterMm ? HIGH : ringMm < 1.25 * diameterMm ? MODERATE : LOW;
    }
}
