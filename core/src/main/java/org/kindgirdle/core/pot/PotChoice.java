package org.kindgirdle.core.pot;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.units.Require;

/**
 * The smallest house pot for a ball: 25 mm clear all round and 30 mm more depth.
 *
 * @param fillMl medium to fill up with: what the pot holds less the ball
 */
public record PotChoice(HousePot pot, double fillMl) {

    /** Room between ball and pot, mm. */
    public static final double CLEAR_MM = 25;

    /** More depth than the ball is long, mm. */
    public static final double MORE_DEPTH_MM = 30;

    /**
     * Empty if no pot is wide and deep enough.
     *
     * @param ballDiameterMm above 0 to 1000 mm
     * @param ballLengthMm above 0 to 1000 mm
     * @param ballMl what the ball takes up, 0 to 500 000 mL
     */
    public static Optional<PotChoice> smallest(
            List<HousePot> pots, double ballDiameterMm, double ballLengthMm, double ballMl) {
        Require.positive("ballDiameterMm", ballDiameterMm);
        Require.within("ballDiameterMm", ballDiameterMm, 0, 1000);
        Require.positive("ballLengthMm", ballLengthMm);
        Require.within("ballLengthMm", ballLengthMm, 0, 1000);
        Require.within("ballMl", ballMl, 0, 500_000);
        return pots.stream()
                .filter(pot -> pot.diameterMm() >= ballDiameterMm + 2 * CLEAR_MM)
                .filter(pot -> pot.depthMm() >= ballLengthMm + MORE_DEPTH_MM)
                .filter(pot -> pot.volumeMl() >= ballMl)
                .min(Comparator.comparingDouble(HousePot::volumeMl).thenComparing(HousePot::name))
                .map(pot -> new PotChoice(pot, pot.volumeMl() - ballMl));
    }
}
