package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * What a ball asks of its limb, by the bending of a round cantilever (Gere and Timoshenko, Mechanics of Materials).
 *
 * @param massG wet ball and container, g
 * @param stressMpa bending stress where the limb joins, MPa
 * @param utilisation twice the stress (wind, rain) over what the wood may be given
 * @param deflectionMm how far the ball sinks, mm
 * @param verdict what to do about it
 */
public record BranchLoad(double massG, double stressMpa, double utilisation, double deflectionMm, Bearing verdict) {

    /** Standard gravity, m/s2 (CGPM 1901). */
    private static final double GRAVITY = 9.80665;

    private static final Rule WIND_AND_RAIN = Rule.of("load.wind-and-rain");
    private static final Rule PROP_FROM = Rule.of("load.prop-from");
    private static final Rule TOO_MUCH_FROM = Rule.of("load.too-much-from");

    private static final double MAX_ML = 200_000;
    private static final double MAX_CONTAINER_G = 50_000;

    /** What to do about a load. */
    public enum Bearing {
        FINE,
        PROP,
        SMALLER_OR_PROP_FIRST
    }

    /**
     * @param mediumMl wet medium, 0 to 200 000 mL
     * @param containerG mass of a pod or pot, 0 to 50 000 g
     * @param branchMm diameter of the limb, above 0 mm
     * @param fromUnionMm from the ball to where the limb joins, 0 to 20 000 mm
     * @param leanDeg of the limb from upright, 0 to 90 degrees and beyond for a hanging one, up to 180
     * @throws OutOfRangeException if a value is outside the range that is given for it
     */
    public static BranchLoad of(
            HouseRules rules,
            double mediumMl,
            Medium medium,
            double containerG,
            double branchMm,
            double fromUnionMm,
            double leanDeg,
            Wood wood) {
        Require.within("mediumMl", mediumMl, 0, MAX_ML);
        Require.within("containerG", containerG, 0, MAX_CONTAINER_G);
        Require.positive("branch diameter, mm,", branchMm);
        Require.within("distance from the union, mm,", fromUnionMm, 0, 20_000);
        Require.within("lean, degrees,", leanDeg, 0, 180);
        double mass = mediumMl * medium.wetDensityKgL(rules) + containerG;
        double forceAcross = mass / 1000 * GRAVITY * Math.sin(Math.toRadians(leanDeg));
        double stress = 32 * forceAcross * fromUnionMm / (Math.PI * Math.pow(branchMm, 3));
        double inertia = Math.PI * Math.pow(branchMm, 4) / 64;
        double deflection = forceAcross * Math.pow(fromUnionMm, 3) / (3 * wood.elasticityGpa(rules) * 1000 * inertia);
        double utilisation = rules.of(WIND_AND_RAIN) * stress / wood.allowableMpa(rules);
        return new BranchLoad(mass, stress, utilisation, deflection, verdict(rules, utilisation));
    }

    /**
     * What to do about a load, of one ball or of all on a limb: the stress at the union is that of all their moments
     * together.
     *
     * @param utilisation of what the wood bears in wind and rain, 0 or more
     */
    public static Bearing verdict(HouseRules rules, double utilisation) {
        return utilisation < rules.of(PROP_FROM)
                ? Bearing.FINE
                : utilisation <= rules.of(TOO_MUCH_FROM) ? Bearing.PROP : Bearing.SMALLER_OR_PROP_FIRST;
    }
}
