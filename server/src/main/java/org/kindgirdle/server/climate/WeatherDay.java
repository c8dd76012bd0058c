package org.kindgirdle.server.climate;

import jakarta.validation.constraints.AssertTrue;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.Within;

/**
 * One day at the site.
 *
 * @param minC lowest temperature, -70 to 60 C
 * @param maxC highest, from the lowest to 60 C
 * @param windMs 0 to 80 m/s; null where it is not known
 * @param rainMm 0 to 2000 mm; null where it is not known
 */
public record WeatherDay(
        LocalDate on,

        @Within(low = WeatherDay.LEAST_C, high = WeatherDay.MAX_C, unit = "C")
        double minC,

        @Within(low = WeatherDay.LEAST_C, high = WeatherDay.MAX_C, unit = "C")
        double maxC,

        @Nullable @Within(low = 0, high = WeatherDay.MAX_MS, unit = "m/s")
        Double windMs,

        @Nullable @Within(low = 0, high = WeatherDay.MAX_MM, unit = "mm")
        Double rainMm) {

    static final double LEAST_C = -70;
    static final double MAX_C = 60;
    static final double MAX_MS = 80;
    static final double MAX_MM = 2000;

    /** A reading of a day has its maximum at or above its minimum. */
    @AssertTrue(message = "the maximum of a day can't lie below its minimum")
    boolean isOrdered() {
        return maxC >= minC;
    }
}
