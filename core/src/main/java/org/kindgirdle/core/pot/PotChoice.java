package org.kindgirdle.core.pot;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The smallest house pot for a ball, with room all round and below: 25 mm and 30 mm, if the house has not set others.
 *
 * @param fillMl medium to fill up with: what the pot holds less the ball
 */
public record PotChoice(HousePot pot, double fillMl) {

    private static final Rule CLEAR_MM = Rule.of("pot.clear");
    private static final Rule DEEPER_MM = Rule.of("pot.deeper");

    /**
     * Empty if no pot is wide and deep enough.
     *
     * @param ballDiameterMm above 0 to 1000 mm
     * @param ballLengthMm above 0 to 1000 mm
     * @param ballMl what the ball takes up, 0 to 500 000 mL
     * @throws OutOfRangeException if ballDiameterMm is outside 0 to 1000, ballLengthMm is outside 0 to 1000 or ballMl
     *     is outside 0 to 500 000
     */
    public static Optional<PotChoice> smallest(
            HouseRules rules, List<HousePot> pots, double ballDiameterMm, double ballLengthMm, double ballMl) {
        Require.positive("ballDiameterMm", ballDiameterMm);
        Require.within("ballDiameterMm", ballDiameterMm, 0, 1000);
        Require.positive("ballLengthMm", ballLengthMm);
        Require.within("ballLengthMm", ballLengthMm, 0, 1000);
        Require.within("ballMl", ballMl, 0, 500_000);
        return pots.stream()
                .filter(pot -> pot.diameterMm() >= ballDiameterMm + 2 * rules.of(CLEAR_MM))
                .filter(pot -> pot.depthMm() >= ballLengthMm + rules.of(DEEPER_MM))
                .filter(pot -> pot.volumeMl() >= ballMl)
                .min(Comparator.comparingDouble(HousePot::volumeMl).thenComparing(HousePot::name))
                .map(pot -> new PotChoice(pot, pot.volumeMl() - ballMl));
    }
}
