package org.kindgirdle.core.set;

import org.kindgirdle.core.units.Require;

/**
 * What a ball asks of its limb, by the bending of a round cantilever (Gere and Timoshenko, Mechanics of Materials).
 *
 * @param massG wet ball and container, g
 * @param stressMpa bending stress where the limb joins, MPa
 * @param utilisation twice the stress (wind, rain) over what the wood may be given
 * @param deflectionMm how far the ball sinks, mm
 */
public record BranchLoad(double massG, double stressMpa, double utilisation, double deflectionMm) {

    /** Standard gravity, m/s2 (CGPM 1901). */
    private static final double GRAVITY = 9.80665;

    private static final double WIND_AND_RAIN = 2;
    private static final double PROP_FROM = .3;
    private static final double TOO_MUCH_FROM = .7;

    /** What to do about a load. */
    public enum Verdict {
        FINE,
        PROP,
        SMALLER_OR_PROP_FIRST
    }

    /**
     * @param containerG mass of a pod or pot, g
     * @param fromUnionMm from the ball to where the limb joins, mm
     * @param leanDeg of the limb from upright, 0 to 90 degrees and beyond for a hanging one, up to 180
     */
    public static BranchLoad of(
            double mediumMl,
            Medium medium,
            double containerG,
            double branchMm,
            double fromUnionMm,
            double leanDeg,
            Wood wood) {
        Require.positive("branch diameter, mm,", branchMm);
        Require.within("distance from the union, mm,", fromUnionMm, 0, 20_000);
        Require.within("lean, degrees,", leanDeg, 0, 180);
        double mass = mediumMl * medium.wetDensityKgL() + containerG;
        double forceAcross = mass / 1000 * GRAVITY * Math.sin(Math.toRadians(leanDeg));
        double stress = 32 * forceAcross * fromUnionMm / (Math.PI * Math.pow(branchMm, 3));
        double inertia = Math.PI * Math.pow(branchMm, 4) / 64;
        double deflection = forceAcross * Math.pow(fromUnionMm, 3) / (3 * wood.elasticityGpa() * 1000 * inertia);
        return new BranchLoad(mass, stress, WIND_AND_RAIN * stress / wood.allowableMpa(), deflection);
    }

    public Verdict verdict() {
        return utilisation < PROP_FROM
                ? Verdict.FINE
                : utilisation <= TOO_MUCH_FROM ? Verdict.PROP : Verdict.SMALLER_OR_PROP_FIRST;
    }
}
