package org.kindgirdle.server.pot;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.MediumMix;

/**
 * What is to be potted on a day, and what it takes.
 *
 * @param litres of the light mix, with what is spare
 * @param mix the same by ingredient
 * @param shelf how many of each pot
 * @param trays plants that stand in moss, by the day on which they are to be moved on
 */
record PottingView(
        LocalDate today,
        List<ToPot> plants,
        double litres,
        List<MediumMix.Amount> mix,
        List<PotsNeeded> shelf,
        List<Tray> trays) {

    /** Why it stands in the list. */
    enum Why {
        /** severed, and not in a pot yet */
        SEVERED,
        /** its moss is used up, or full of roots */
        OUT_OF_MOSS,
        /** to be cut today */
        CUT_TODAY
    }

    /** @param pot the smallest that fits; null if none does */
    record ToPot(
            String code,
            Why why,
            String species,
            String variety,
            String mother,
            String place,
            @Nullable String pot,
            double fillMl) {}

    record PotsNeeded(String pot, int count) {}

    /**
     * @param waterLowMm depth of the water that it stands in
     * @param until the last day in moss
     */
    record Tray(
            String code,
            String species,
            String variety,
            String place,
            LocalDate since,
            LocalDate until,
            double waterLowMm,
            double waterHighMm) {}
}
