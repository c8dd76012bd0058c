package org.kindgirdle.core.learn;

import java.util.List;
import org.hipparchus.special.Erf;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The leaf that a mL of full, mature ball supplies at 1 kPa, as the nursery's own severed plants have it: Bayes over the
 * figure's logarithm, {@code ln s ~ N(ln 6, 0.35)}, where a plant that asks for x wilts of it with
 * probability {@code Phi((ln x - ln s) / 0.35)}, and one in ten of other things. With no plant it is the house's figure.
 *
 * @param cm2PerMl the median
 * @param low a tenth lies below it, cm2/mL
 * @param high a tenth lies above it
 * @param plants how many it rests on
 * @param wilted how many of them wilted
 */
public record LearnedSupply(double cm2PerMl, double low, double high, int plants, int wilted) {

    private static final Rule SPREAD = Rule.of("prior.supply-spread");
    private static final Rule OTHER = Rule.of("prior.supply-other");
    private static final Rule PLANT_SPREAD = Rule.of("prior.supply-plant-spread");

    /** The posterior is worked out at so many points, evenly in the logarithm, this many prior spreads either way. */
    private static final int POINTS = 801;

    private static final double REACH = 5;

    private static final double MEDIAN = .5;
    private static final double TENTH = .1;
    private static final double SQRT2 = Math.sqrt(2);

    /** No plant is impossible, however odd. */
    private static final double LEAST_P = 1e-12;

    /**
     * A severed plant that was watched long enough.
     *
     * @param askedCm2PerMl the figure that its leaves asked of each mL of full, mature ball, above 0
     * @param wilted whether it drooped or died of it
     */
    public record Plant(double askedCm2PerMl, boolean wilted) {

        /** @throws OutOfRangeException if askedCm2PerMl is not above 0 */
        public Plant {
            Require.positive("askedCm2PerMl", askedCm2PerMl);
        }
    }

    /**
     * @param expectedCm2PerMl the house's figure, above 0
     * @throws OutOfRangeException if expectedCm2PerMl is not above 0
     */
    public static LearnedSupply from(HouseRules rules, double expectedCm2PerMl, List<Plant> plants) {
        Require.positive("expectedCm2PerMl", expectedCm2PerMl);
        double spread = rules.of(SPREAD);
        double other = rules.of(OTHER);
        double plantSpread = rules.of(PLANT_SPREAD);
        double[] heights = new double[POINTS];
        double[] logs = new double[POINTS];
        double top = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < POINTS; i++) {
            double z = REACH * (2.0 * i / (POINTS - 1) - 1);
            logs[i] = Math.log(expectedCm2PerMl) + z * spread;
            heights[i] = -z * z / 2;
            for (Plant plant : plants) {
                double leaf = phi((Math.log(plant.askedCm2PerMl()) - logs[i]) / plantSpread);
                double wilts = other + (1 - other) * leaf;
                heights[i] += Math.log(Math.max(LEAST_P, plant.wilted() ? wilts : 1 - wilts));
            }
            top = Math.max(top, heights[i]);
        }
        double all = 0;
        for (int i = 0; i < POINTS; i++) {
            heights[i] = Math.exp(heights[i] - top);
            all += heights[i];
        }
        return new LearnedSupply(
                Math.exp(quantile(logs, heights, all, MEDIAN)),
                Math.exp(quantile(logs, heights, all, TENTH)),
                Math.exp(quantile(logs, heights, all, 1 - TENTH)),
                plants.size(),
                (int) plants.stream().filter(Plant::wilted).count());
    }

    /** Mass counts as spread evenly over the step that it stands in the middle of. */
    private static double quantile(double[] logs, double[] masses, double all, double p) {
        double step = logs[1] - logs[0];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            double next = sum + masses[i] / all;
            if (next >= p) {
                return logs[i] + step * ((p - sum) / (next - sum) - MEDIAN);
            }
            sum = next;
        }
        return logs[POINTS - 1];
    }

    private static double phi(double z) {
        return Erf.erfc(-z / SQRT2) / 2;
    }
}
