package org.kindgirdle.server.climate;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

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
        double minC,
        double maxC,
        @Nullable Double windMs,
        @Nullable Double rainMm) {

    static final double LEAST_C = -70;
    static final double MOST_C = 60;
    static final double MOST_MS = 80;
    static final double MOST_MM = 2000;
}
