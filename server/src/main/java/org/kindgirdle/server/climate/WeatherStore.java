package org.kindgirdle.server.climate;

import java.sql.Date;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The rows of measured and forecast days. */
@Component
class WeatherStore {

    private static final int BATCH = 500;
    private static final String COLUMNS = "day, min_c, max_c, wind_ms, rain_mm";

    private final JdbcTemplate jdbc;
    private final BusinessClock clock;
    private final CurrentPerson person;

    WeatherStore(JdbcTemplate jdbc, BusinessClock clock, CurrentPerson person) {
        this.jdbc = jdbc;
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
        return jdbc.query(
                "select " + COLUMNS + " from weather_day where day >= ? and day < ? order by day",
                WeatherStore::day,
                from,
                to);
    }

    Optional<LocalDate> lastMeasured() {
        return Optional.ofNullable(jdbc.queryForObject("select max(day) from weather_day", LocalDate.class));
    }

    /** The newest forecast that was issued on a day or before it, for that day and later ones. */
    List<WeatherDay> forecast(LocalDate asOf) {
        return jdbc.query(
                "select " + COLUMNS + " from forecast_day where issued_on ="
                        + " (select max(issued_on) from forecast_day where issued_on <= ?) and day >= ? order by day",
                WeatherStore::day,
                asOf,
                asOf);
    }

    boolean hasForecast(LocalDate issuedOn) {
        return Integer.valueOf(1)
                .equals(jdbc.queryForObject(
                        "select exists (select 1 from forecast_day where issued_on = ?)", Integer.class, issuedOn));
    }

    void put(Collection<WeatherDay> days, Source source) {
        LocalDateTime at = LocalDateTime.ofInstant(clock.systemNow(), ZoneOffset.UTC);
        String by = source == Source.STATION
                ? "station"
                : person.find().map(who -> who.name()).orElse("station");
        for (WeatherDay before : measuredAmong(days)) {
            keepTrace(before.on(), by, at);
        }
        jdbc.batchUpdate(
                "replace into weather_day (" + COLUMNS + ", source, recorded_by, recorded_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?)",
                days,
                BATCH,
                (statement, day) -> {
                    fill(statement, 1, day);
                    statement.setString(6, source.name());
                    statement.setString(7, by);
                    statement.setObject(8, at);
                });
    }

    /** Those of some days that are there with other figures. */
    private List<WeatherDay> measuredAmong(Collection<WeatherDay> days) {
        if (days.isEmpty()) {
            return List.of();
        }
        LocalDate first =
                days.stream().map(WeatherDay::on).min(LocalDate::compareTo).orElseThrow();
        LocalDate last =
                days.stream().map(WeatherDay::on).max(LocalDate::compareTo).orElseThrow();
        Map<LocalDate, WeatherDay> known = byDay(measured(first, last.plusDays(1)));
        return days.stream()
                .map(day -> Optional.ofNullable(known.get(day.on())).filter(before -> !before.equals(day)))
                .flatMap(Optional::stream)
                .toList();
    }

    /** What stood there before, and who put something else in its place. */
    private void keepTrace(LocalDate day, String by, LocalDateTime at) {
        jdbc.update(
                "insert into weather_change (" + COLUMNS
                        + ", source, recorded_by, recorded_at, replaced_by, replaced_at)" + " select " + COLUMNS
                        + ", source, recorded_by, recorded_at, ?, ? from weather_day where day = ?",
                by,
                at,
                day);
    }

    void putForecast(LocalDate issuedOn, List<WeatherDay> days) {
        jdbc.batchUpdate(
                "replace into forecast_day (issued_on, " + COLUMNS + ") values (?, ?, ?, ?, ?, ?)",
                days,
                BATCH,
                (statement, day) -> {
                    statement.setDate(1, Date.valueOf(issuedOn));
                    fill(statement, 2, day);
                });
    }

    KnownWeather known(LocalDate asOf) {
        String stamp = jdbc.queryForObject(
                "select concat_ws(' ', count(*), max(recorded_at), (select max(issued_on) from forecast_day"
                        + " where issued_on <= ?)) from weather_day where day < ?",
                String.class,
                asOf,
                asOf);
        Map<LocalDate, WeatherDay> measured = byDay(measured(LocalDate.of(1900, 1, 1), asOf));
        Map<LocalDate, WeatherDay> forecast = byDay(forecast(asOf));
        return new KnownWeather(String.valueOf(stamp), measured, forecast);
    }

    private static Map<LocalDate, WeatherDay> byDay(List<WeatherDay> days) {
        return days.stream().collect(Collectors.toMap(WeatherDay::on, Function.identity()));
    }

    private static void fill(PreparedStatement statement, int first, WeatherDay day) throws SQLException {
        statement.setDate(first, Date.valueOf(day.on()));
        statement.setDouble(first + 1, day.minC());
        statement.setDouble(first + 2, day.maxC());
        statement.setObject(first + 3, day.windMs(), Types.DOUBLE);
        statement.setObject(first + 4, day.rainMm(), Types.DOUBLE);
    }

    private static WeatherDay day(ResultSet row, int number) throws SQLException {
        return new WeatherDay(
                row.getObject(1, LocalDate.class),
                row.getDouble(2),
                row.getDouble(3),
                nullable(row, 4),
                nullable(row, 5));
    }

    private static @Nullable Double nullable(ResultSet row, int column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? null : value;
    }
}
