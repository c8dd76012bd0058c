package org.kindgirdle.core.pot;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Whether a potted plant tips over in the wind. The moment of the wind's drag on half the leaves and on the stem, about
 * the pot's edge, against that of its weight: {@code v = sqrt(2 m g r / (rho c A arm))}.
 *
 * @param tipsAtMs wind in which it tips, m/s
 * @param ballastKg to be added in the pot so that it bears the wind that its place asks; 0 for none
 */
public record Stability(double tipsAtMs, double ballastKg) {

    /** Density of air at 20 C, kg/m3. */
    private static final double AIR_KG_M3 = 1.2;

    /** Standard gravity, m/s2. */
    private static final double GRAVITY = 9.80665;

    private static final Rule DRAG = Rule.of("stability.drag");
    private static final Rule LEAF_SHOWN = Rule.of("stability.leaf-shown");
    private static final Rule HOLD_AT = Rule.of("stability.hold-at");

    /**
     * Of a plant in its pot.
     *
     * @param massKg with pot and wet medium, above 0 to 2000 kg
     * @param baseRadiusM of the pot, above 0 to 2 m
     * @param leafM2 all leaves, 0 to 50 m2
     * @param stemHeightM above the pot, 0 to 20 m
     * @param stemDiameterM 0 to 1 m
     * @param potHeightM above 0 to 2 m
     * @param mustStandMs wind that its place asks, 0 to 40 m/s
     * @throws OutOfRangeException if a value is outside the range that is given for it
     */
    public static Stability of(
            HouseRules rules,
            double massKg,
            double baseRadiusM,
            double leafM2,
            double stemHeightM,
            double stemDiameterM,
            double potHeightM,
            double mustStandMs) {
        Require.positive("massKg", massKg);
        Require.within("massKg", massKg, 0, 2000);
        Require.positive("baseRadiusM", baseRadiusM);
        Require.within("baseRadiusM", baseRadiusM, 0, 2);
        Require.within("leafM2", leafM2, 0, 50);
        Require.within("stemHeightM", stemHeightM, 0, 20);
        Require.within("stemDiameterM", stemDiameterM, 0, 1);
        Require.positive("potHeightM", potHeightM);
        Require.within("potHeightM", potHeightM, 0, 2);
        Require.within("mustStandMs", mustStandMs, 0, 40);
        double areaM2 = rules.of(LEAF_SHOWN) * leafM2 + stemHeightM * stemDiameterM;
        double armM = potHeightM + rules.of(HOLD_AT) * stemHeightM;
        double push = AIR_KG_M3 * rules.of(DRAG) * areaM2 * armM;
        double hold = GRAVITY * baseRadiusM;
        double tipsAt = Math.sqrt(2 * massKg * hold / push);
        double ballast = Math.max(0, push * mustStandMs * mustStandMs / 2 / hold - massKg);
        return new Stability(tipsAt, ballast);
    }

    /** Whether it bears the wind that was asked. */
    public boolean stands() {
        return ballastKg == 0;
    }

    /** What a place asks of a pot that stands there. */
    public enum Stand {
        /** in a tunnel or tent */
        COVERED,
        SHELTERED,
        OPEN;

        private final Rule wind;

        Stand() {
            this.wind = Rule.of("stand." + name() + ".wind");
        }

        /** The wind that it must stand, m/s. */
        public double windMs(HouseRules rules) {
            return rules.of(wind);
        }
    }
}
