package org.kindgirdle.server.pot;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.harden.Ladder;

/**
 * Into which pot, and whether it stands there.
 *
 * @param place where it is to stand
 * @param mustStandMs wind that it must bear there, m/s
 * @param stemHeightMm above the pot: as asked, or what is usual
 * @param leaves on it: as asked, or as they were left
 * @param chosen name of the smallest pot that fits; null if none does
 * @param pots the smallest first
 * @param advice a sentence each
 * @param ladder the way that it is to go, by season and species
 */
record PotAdviceView(
        long placeId,
        String place,
        double mustStandMs,
        double ballDiameterMm,
        double ballLengthMm,
        double ballMl,
        double stemHeightMm,
        int leaves,
        @Nullable String chosen,
        List<PotView> pots,
        List<String> advice,
        Ladder ladder) {

    /**
     * @param fillMl light mix to fill up with
     * @param tipsAtMs wind in which it tips
     * @param stands whether it bears what its place asks
     * @param ballastKg to be added so that it does
     */
    record PotView(
            String name,
            double volumeMl,
            boolean fits,
            double fillMl,
            double massKg,
            double tipsAtMs,
            boolean stands,
            double ballastKg) {}
}
