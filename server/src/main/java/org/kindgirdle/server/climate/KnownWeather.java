package org.kindgirdle.server.climate;

import java.time.LocalDate;
import java.util.Map;

/**
 * The weather that is known as of a day: what was measured, and the newest forecast of then for the days after.
 *
 * @param stamp the same for the same weather
 * @param measured by day
 * @param forecast by day; none that was measured
 */
public record KnownWeather(String stamp, Map<LocalDate, WeatherDay> measured, Map<LocalDate, WeatherDay> forecast) {

    public static final KnownWeather NONE = new KnownWeather("", Map.of(), Map.of());

    public KnownWeather {
        measured = Map.copyOf(measured);
        forecast = Map.copyOf(forecast);
    }
}
