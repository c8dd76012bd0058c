package org.kindgirdle.core.growth;

import org.kindgirdle.core.units.Require;

/**
 * The time to a full ball that dates are worked out from, and what it rests on: the species' profile, or what the
 * nursery has learned from its own records.
 *
 * @param d50ThermalDays median thermal days, above 0
 * @param sigma standard deviation of their logarithm, above 0
 * @param records own records that it rests on; 0 for the profile
 */
public record RootingTime(double d50ThermalDays, double sigma, int records) {

    public RootingTime {
        Require.positive("d50ThermalDays", d50ThermalDays);
        Require.positive("sigma", sigma);
        Require.within("records", records, 0, Integer.MAX_VALUE);
    }

    /** What the species' profile says. */
    public static RootingTime ofProfile(SpeciesProfile species) {
        return new RootingTime(species.d50ThermalDays(), species.sigma(), 0);
    }

    /** Whether it rests on own records. */
    public boolean isLearned() {
        return records > 0;
    }

    /** The distribution before any look. */
    public TimeToReady prior() {
        return TimeToReady.prior(d50ThermalDays, sigma);
    }
}
