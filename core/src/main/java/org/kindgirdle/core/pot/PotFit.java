package org.kindgirdle.core.pot;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * One layer in one pot: whether its ball fits, what fills it up, and what wind it then bears.
 *
 * @param fits whether there is the room round and below the ball that the house asks
 * @param fillMl light mix to fill up with; 0 where the ball does not fit in
 * @param massKg of pot, ball and mix, wet
 * @param stability in the wind that was asked
 */
public record PotFit(HousePot pot, boolean fits, double fillMl, double massKg, Stability stability) {

    private static final Rule MIX_DENSITY = Rule.of("pot.mix-density");
    private static final Rule BASE_SHARE = Rule.of("pot.base-share");
    private static final double ML_A_LITRE = 1000;
    private static final double G_A_KG = 1000;
    private static final double MM_A_M = 1000;
    private static final double CM2_A_M2 = 10_000;

    /**
     * What is to be potted.
     *
     * @param ballDiameterMm above 0 to 1000 mm
     * @param ballLengthMm above 0 to 1000 mm
     * @param ballMl 0 to 500 000 mL
     * @param ballG wet, 0 to 1 000 000 g
     * @param leafCm2 all its leaves together, 0 to 500 000 cm2
     * @param stemHeightMm above the pot, 0 to 20 000 mm
     * @param stemDiameterMm 0 to 1000 mm
     */
    public record Plant(
            double ballDiameterMm,
            double ballLengthMm,
            double ballMl,
            double ballG,
            double leafCm2,
            double stemHeightMm,
            double stemDiameterMm) {

        /** @throws OutOfRangeException if a value is outside the range that is given for it */
        public Plant {
            Require.positive("ballDiameterMm", ballDiameterMm);
            Require.positive("ballLengthMm", ballLengthMm);
            Require.within("ballMl", ballMl, 0, 500_000);
            Require.within("ballG", ballG, 0, 1_000_000);
            Require.within("leafCm2", leafCm2, 0, 500_000);
            Require.within("stemHeightMm", stemHeightMm, 0, 20_000);
            Require.within("stemDiameterMm", stemDiameterMm, 0, 1000);
        }
    }

    /** @param mustStandMs wind that its place asks, 0 to 40 m/s */
    public static PotFit of(HouseRules rules, HousePot pot, Plant plant, double mustStandMs) {
        boolean fits = PotChoice.smallest(
                        rules, List.of(pot), plant.ballDiameterMm(), plant.ballLengthMm(), plant.ballMl())
                .isPresent();
        double fillMl = Math.max(0, pot.volumeMl() - plant.ballMl());
        double massKg = (pot.massG() + plant.ballG()) / G_A_KG + fillMl / ML_A_LITRE * rules.of(MIX_DENSITY);
        Stability stability = Stability.of(
                rules,
                massKg,
                rules.of(BASE_SHARE) * pot.diameterMm() / 2 / MM_A_M,
                plant.leafCm2() / CM2_A_M2,
                plant.stemHeightMm() / MM_A_M,
                plant.stemDiameterMm() / MM_A_M,
                pot.depthMm() / MM_A_M,
                mustStandMs);
        return new PotFit(pot, fits, fits ? fillMl : 0, massKg, stability);
    }

    /** The smallest pot that fits; empty if none does. */
    public static Optional<PotFit> smallest(List<PotFit> all) {
        return all.stream()
                .filter(PotFit::fits)
                .min(Comparator.comparingDouble((PotFit one) -> one.pot().volumeMl())
                        .thenComparing(one -> one.pot().name()));
    }

    /** The smallest pot that fits and bears the wind; empty if none does. */
    public static Optional<PotFit> smallestThatStands(List<PotFit> all) {
        return smallest(all.stream().filter(one -> one.stability().stands()).toList());
    }
}
