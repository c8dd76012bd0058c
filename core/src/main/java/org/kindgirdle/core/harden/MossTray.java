package org.kindgirdle.core.harden;

import java.time.LocalDate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * A plant in pure moss, standing in water.
 *
 * @param since the day it came there
 * @param until the last day: earlier once roots are seen at the holes
 * @param waterLowMm least depth of the water, mm
 * @param waterHighMm greatest depth of it, mm
 */
public record MossTray(LocalDate since, LocalDate until, double waterLowMm, double waterHighMm) {

    private static final Rule LEAST_DAYS = Rule.of("tray.least");
    private static final Rule MAX_DAYS = Rule.of("tray.most");
    private static final Rule WATER_LEAST_MM = Rule.of("tray.water-least");
    private static final Rule WATER_MOST_MM = Rule.of("tray.water-most");

    /** @throws IllegalArgumentException if it stands in no moss */
    public static MossTray of(HouseRules rules, PlantState plant) {
        LocalDate since = plant.mossSince();
        if (since == null) {
            throw new IllegalArgumentException("the plant stands in no moss");
        }
        boolean full = plant.everShowed(PlantSign.ROOTS_AT_EDGE);
        return new MossTray(
                since,
                since.plusDays(rules.count(full ? LEAST_DAYS : MAX_DAYS)),
                rules.of(WATER_LEAST_MM),
                rules.of(WATER_MOST_MM));
    }
}
