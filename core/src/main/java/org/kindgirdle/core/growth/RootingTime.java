package org.kindgirdle.core.growth;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
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

    private static final Rule UNSURE = Rule.of("prior.unsure");
    private static final Rule MOTHERS = Rule.of("prior.mothers");

    /**
     * @throws OutOfRangeException if d50ThermalDays is not above 0, sigma is not above 0 or records is below 0 or not
     *     a number
     */
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

    /**
     * Standard deviation of the logarithm of one layer's time: how layers of the species differ, how unsure its median
     * is, and how mothers differ, while this one is unknown.
     */
    public double spread(HouseRules rules) {
        double unsure = rules.of(UNSURE);
        // own records make the median surer, each as much as one layer says
        double left = 1 / (1 / (unsure * unsure) + records / (sigma * sigma));
        double mothers = rules.of(MOTHERS);
        return Math.sqrt(sigma * sigma + left + mothers * mothers);
    }

    /** The time before any look, of a layer that will root. */
    public TimeToReady prior(HouseRules rules) {
        return TimeToReady.prior(d50ThermalDays, spread(rules));
    }
}
