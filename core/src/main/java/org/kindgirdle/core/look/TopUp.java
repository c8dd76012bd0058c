package org.kindgirdle.core.look;

import java.util.Arrays;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * How a ball dries and when it wants water.
 *
 * @param waterG water in a freshly filled ball, g; half of it is usable
 * @param lossGDay what it loses a day, g
 * @param rawDays days until the usable half is gone
 * @param intervalDays whole days between top-ups, within the house's shortest and longest
 * @param unsuitable whether this wrap dries too fast for its place
 */
public record TopUp(double waterG, double lossGDay, double rawDays, int intervalDays, boolean unsuitable) {

    private static final Rule USABLE = Rule.of("top-up.usable");
    private static final Rule LEAST_VPD_KPA = Rule.of("top-up.least-vpd");
    private static final Rule LEAST_DAYS = Rule.of("top-up.least-days");
    private static final Rule MAX_DAYS = Rule.of("top-up.most-days");
    private static final Rule[] SUN = sun(".sun");
    private static final Rule[] SUN_REFLECTED = sun(".sun-reflected");

    private static final double MAX_ML = 200_000;
    private static final double MAX_MM = 2000;
    private static final double MAX_VPD_KPA = 15;

    /**
     * @param mediumMl in the ball, above 0 to 200 000 mL
     * @param lengthMm of the ball, above 0 to 2000 mm; {@code diameterMm} alike
     * @param reflected whether foil or white covers it
     * @param vpdKpa of the air there, 0 to 15 kPa
     * @throws OutOfRangeException if vpdKpa is outside 0 to 15
     */
    public static TopUp of(
            HouseRules rules,
            double mediumMl,
            double lengthMm,
            double diameterMm,
            Medium medium,
            Wrap wrap,
            Exposure exposure,
            boolean reflected,
            double vpdKpa,
            RootStage stage) {
        upTo("mediumMl", mediumMl, MAX_ML);
        upTo("lengthMm", lengthMm, MAX_MM);
        upTo("diameterMm", diameterMm, MAX_MM);
        Require.within("vpdKpa", vpdKpa, 0, MAX_VPD_KPA);
        double water = mediumMl * medium.waterGMl(rules);
        double loss = evaporationGKpaDay(rules, lengthMm, diameterMm, wrap, exposure, reflected)
                        * Math.max(leastVpdKpa(rules), vpdKpa)
                + stage.drinks(rules) * water;
        double raw = rules.of(USABLE) * water / loss;
        double shortest = rules.of(LEAST_DAYS);
        int interval = (int) Math.max(shortest, Math.min(rules.of(MAX_DAYS), Math.floor(raw)));
        return new TopUp(water, loss, raw, interval, raw < shortest);
    }

    /** What evaporates through the wrap, g a day for each kPa of dryness; the arguments as above. */
    public static double evaporationGKpaDay(
            HouseRules rules, double lengthMm, double diameterMm, Wrap wrap, Exposure exposure, boolean reflected) {
        double areaDm2 = (Math.PI * diameterMm * lengthMm + Math.PI * diameterMm * diameterMm / 2) / 10_000;
        double sun = rules.of((reflected ? SUN_REFLECTED : SUN)[exposure.ordinal()]);
        return wrap.lossGDm2Kpa(rules) * areaDm2 * sun;
    }

    /** The air counts as at least so dry, kPa. */
    public static double leastVpdKpa(HouseRules rules) {
        return rules.of(LEAST_VPD_KPA);
    }

    /** The share of the water in a ball that roots can take. */
    public static double usableShare(HouseRules rules) {
        return rules.of(USABLE);
    }

    /** However tight the wrap, somebody feels the ball after so many days. */
    public static int mostDays(HouseRules rules) {
        return rules.count(MAX_DAYS);
    }

    /** Nothing that could dry: no water, and looked after at the longest interval. */
    public static TopUp none(HouseRules rules) {
        return new TopUp(0, 0, rules.of(MAX_DAYS), rules.count(MAX_DAYS), false);
    }

    /** Water to add after so many days, g: what was lost, never more than a fresh ball holds. */
    public double waterToAddG(long days) {
        return Math.min(waterG, lossGDay * Math.max(0, days));
    }

    private static void upTo(String name, double value, double most) {
        Require.positive(name, value);
        Require.within(name, value, 0, most);
    }

    private static Rule[] sun(String figure) {
        return Arrays.stream(Exposure.values())
                .map(one -> Rule.of("top-up." + one + figure))
                .toArray(Rule[]::new);
    }
}
