package org.kindgirdle.core.sever;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Require;

/**
 * One day of the forecast at a place.
 *
 * @param maxC highest temperature, -60 to 60 C
 * @param vpdKpa dryness of the air, 0 to 10 kPa
 * @param windMs m/s, 0 to 80; null where it is not forecast
 */
public record DayAhead(
        LocalDate on, double maxC, double vpdKpa, @Nullable Double windMs) {

    public DayAhead {
        Require.within("maxC", maxC, -60, 60);
        Require.within("vpdKpa", vpdKpa, 0, 10);
        if (windMs != null) {
            Require.within("windMs", windMs, 0, 80);
        }
    }
}
