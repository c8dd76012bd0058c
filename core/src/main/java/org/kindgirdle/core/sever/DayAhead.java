package org.kindgirdle.core.sever;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * One day of the forecast at a place.
 *
 * @param minC lowest temperature, -70 to 60 C
 * @param maxC highest temperature, -60 to 60 C
 * @param hotAboveC from where on a day is hot there, -60 to 70 C
 * @param vpdKpa dryness of the air, 0 to 10 kPa
 * @param windMs m/s, 0 to 80; null where it is not forecast
 */
public record DayAhead(
        LocalDate on,
        double minC,
        double maxC,
        double hotAboveC,
        double vpdKpa,
        @Nullable Double windMs) {

    private static final Rule HOT_C = Rule.of("sever.hot");

    /** @throws OutOfRangeException if a value is outside the range that is given for it */
    public DayAhead {
        Require.within("minC", minC, -70, 60);
        Require.within("maxC", maxC, -60, 60);
        Require.within("hotAboveC", hotAboveC, -60, 70);
        Require.within("vpdKpa", vpdKpa, 0, 10);
        if (windMs != null) {
            Require.within("windMs", windMs, 0, 80);
        }
    }

    /** As it is known or usual at a place. */
    public static DayAhead at(HouseRules rules, PlaceClimate climate, LocalDate on) {
        return new DayAhead(
                on,
                climate.on(on).minC(),
                climate.on(on).maxC(),
                climate.hotAboveC(rules, on, rules.of(HOT_C)),
                climate.vpdKpaOn(on),
                climate.windMsOn(on).orElse(null));
    }
}
