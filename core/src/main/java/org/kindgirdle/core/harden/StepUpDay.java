package org.kindgirdle.core.harden;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;

/**
 * A day as one before or on which a plant would move up: it moves before no day that is hot or windy.
 *
 * @param maxC of the day
 * @param hotAboveC from where on a day is hot there
 * @param windMs null where it is not known
 */
public record StepUpDay(
        double maxC, double hotAboveC, @Nullable Double windMs, boolean hot, boolean windy) {

    /** At a place. */
    public static StepUpDay of(HouseRules rules, PlaceClimate climate, LocalDate day) {
        double maxC = climate.on(day).maxC();
        Double wind = climate.windMsOn(day).orElse(null);
        double hotAboveC = climate.hotAboveC(rules, day, HardenRules.hotC(rules));
        return new StepUpDay(
                maxC, hotAboveC, wind, maxC > hotAboveC, wind != null && wind > HardenRules.windyMs(rules));
    }

    /** Whether nothing moves up before it. */
    public boolean forbids() {
        return hot || windy;
    }
}
