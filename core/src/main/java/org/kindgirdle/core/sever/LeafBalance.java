package org.kindgirdle.core.sever;

import java.util.Optional;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Leaf over root at severance: how many leaves the roots can supply. Supply is {@code 6 V fill maturity} cm2 of leaf at
 * 1 kPa, where 6 is a planning default that the nursery's own records replace; each leaf draws its area times the dryness of the
 * air, from half to two and a half kPa, times what the shelter leaves of it.
 *
 * @param supplyCm2 area of leaf that the roots supply at 1 kPa
 * @param ratio top over bottom: what all leaves draw, over the supply; infinite where there is no supply
 * @param carries the most leaves that the roots can supply, whether it has as many or not
 * @param keep how many of its leaves stay on
 * @param remove how many come off
 */
public record LeafBalance(double supplyCm2, double ratio, int carries, int keep, int remove) {

    private static final Rule SUPPLY_CM2_PER_ML = Rule.of("balance.supply");
    private static final Rule LEAST_VPD_KPA = Rule.of("balance.least-vpd");
    private static final Rule MAX_VPD_KPA = Rule.of("balance.most-vpd");
    private static final int MAX_LEAVES = 10_000;

    /**
     * Of a layer as it stands.
     *
     * @param supplyCm2PerMl the nursery's figure, above 0 to 100
     * @param mediumMl in the ball, 0 to 100 000 mL
     * @param fill share of the ball that is rooted, 0 to 1
     * @param leaves beyond the ring, 0 to 10 000
     * @param leafCm2 one of them, above 0 to 20 000 cm2
     * @param vpdKpa of the day, 0 to 10 kPa
     * @throws OutOfRangeException if a value is outside the range that is given for it
     */
    public static LeafBalance of(
            HouseRules rules,
            double supplyCm2PerMl,
            double mediumMl,
            double fill,
            RootStage stage,
            int leaves,
            double leafCm2,
            double vpdKpa,
            Shelter shelter) {
        Require.positive("supplyCm2PerMl", supplyCm2PerMl);
        Require.within("supplyCm2PerMl", supplyCm2PerMl, 0, 100);
        Require.within("mediumMl", mediumMl, 0, 100_000);
        Require.within("fill", fill, 0, 1);
        Require.within("leaves", leaves, 0, MAX_LEAVES);
        Require.positive("leafCm2", leafCm2);
        Require.within("leafCm2", leafCm2, 0, 20_000);
        Require.within("vpdKpa", vpdKpa, 0, 10);
        double supply = supplyCm2(rules, supplyCm2PerMl, mediumMl, fill, stage);
        double draw = drawCm2(rules, leafCm2, vpdKpa, shelter);
        int carries = (int) Math.floor(supply / draw);
        int keep = Math.min(leaves, carries);
        double ratio = leaves == 0 ? 0 : leaves * draw / supply;
        return new LeafBalance(supply, ratio, carries, keep, leaves - keep);
    }

    /**
     * How many leaves to cut in half if none is to come off, each then drawing half.
     *
     * @param leaves on it, as they were given to {@link #of}
     * @return empty if all of them halved still draw more than the roots supply
     */
    public static Optional<Integer> halve(int leaves, int carries) {
        int halved = 2 * Math.max(0, leaves - carries);
        return halved <= leaves ? Optional.of(halved) : Optional.empty();
    }

    /** The area of leaf that the roots of a ball supply at 1 kPa, cm2. */
    public static double supplyCm2(
            HouseRules rules, double supplyCm2PerMl, double mediumMl, double fill, RootStage stage) {
        return supplyCm2PerMl * mediumMl * fill * stage.maturity(rules);
    }

    /** What one leaf draws, as cm2 of leaf at 1 kPa. */
    public static double drawCm2(HouseRules rules, double leafCm2, double vpdKpa, Shelter shelter) {
        double dryness = Math.max(rules.of(LEAST_VPD_KPA), Math.min(rules.of(MAX_VPD_KPA), vpdKpa));
        return leafCm2 * dryness * shelter.draw(rules);
    }

    /** Leaf area that a mL of mature, full ball supplies at 1 kPa, cm2: what the house has set or learned. */
    public static double supplyCm2PerMl(HouseRules rules) {
        return rules.of(SUPPLY_CM2_PER_ML);
    }
}
