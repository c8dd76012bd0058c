package org.kindgirdle.server.climate;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The rows of measured and forecast days. */
@Component
class WeatherStore {

    private final WeatherDayRepository days;
    private final ForecastDayRepository forecasts;
    private final EntityManager entities;
    private final BusinessClock clock;
    private final CurrentPerson person;

    WeatherStore(
            WeatherDayRepository days,
            ForecastDayRepository forecasts,
            EntityManager entities,
            BusinessClock clock,
            CurrentPerson person) {
        this.days = days;
        this.forecasts = forecasts;
        this.entities = entities;
        this.clock = clock;
        this.person = person;
    }

    /** Where a measured day came from. */
    enum Source {
        TYPED,
        IMPORTED,
        STATION
    }

    /** Measured days of the half-open span [from, to). */
    List<WeatherDay> measured(LocalDate from, LocalDate to) {
        return days.measured(from, to);
    }

    Optional<LocalDate> lastMeasured() {
        return days.lastMeasured();
    }

    /** The newest forecast that was issued on a day or before it, for that day and later ones. */
    List<WeatherDay> forecast(LocalDate asOf) {
        return forecasts.newest(asOf);
    }

    boolean hasForecast(LocalDate issuedOn) {
        return forecasts.hasAny(issuedOn);
    }

    /** Takes days in; those that were there with other figures are kept beside. */
    @Transactional
    public void put(Collection<WeatherDay> measured, Source source) {
        if (measured.isEmpty()) {
            return;
        }
        Instant at = clock.systemNow();
        String by = source == Source.STATION
                ? "station"
                : person.find().map(who -> who.name()).orElse("station");
        Map<LocalDate, WeatherDayRow> known = known(measured);
        for (WeatherDay day : measured) {
            WeatherDayRow row = known.get(day.on());
            if (row == null) {
                row = new WeatherDayRow(day.on());
                row.measure(day, source, by, at);
                entities.persist(row);
            } else {
                if (!row.isAs(day)) {
                    entities.persist(new WeatherChangeRow(row, by, at));
                }
                row.measure(day, source, by, at);
            }
        }
        // whoever asks for the weather next in this transaction asks for what was taken in
        entities.flush();
    }

    private Map<LocalDate, WeatherDayRow> known(Collection<WeatherDay> some) {
        LocalDate first =
                some.stream().map(WeatherDay::on).min(LocalDate::compareTo).orElseThrow();
        LocalDate last =
                some.stream().map(WeatherDay::on).max(LocalDate::compareTo).orElseThrow();
        return days.findByDayBetween(first, last).stream()
                .collect(Collectors.toMap(row -> row.day, Function.identity()));
    }

    void putForecast(LocalDate issuedOn, List<WeatherDay> days) {
        forecasts.saveAllAndFlush(
                days.stream().map(day -> new ForecastDayRow(issuedOn, day)).toList());
    }

    KnownWeather known(LocalDate asOf) {
        String stamp = days.stamp(asOf);
        Map<LocalDate, WeatherDay> measured = byDay(measured(LocalDate.of(1900, 1, 1), asOf));
        Map<LocalDate, WeatherDay> forecast = byDay(forecast(asOf));
        return new KnownWeather(String.valueOf(stamp), measured, forecast);
    }

    private static Map<LocalDate, WeatherDay> byDay(List<WeatherDay> days) {
        return days.stream().collect(Collectors.toMap(WeatherDay::on, Function.identity()));
    }
}
