package org.kindgirdle.server.climate;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface WeatherDayRepository extends JpaRepository<WeatherDayRow, LocalDate> {

    String DAY =
            "select new org.kindgirdle.server.climate.WeatherDay(one.day, one.minC, one.maxC, one.windMs, one.rainMm)"
                    + " from WeatherDayRow one";

    /** Of the half-open span [from, to). */
    @Query(DAY + " where one.day >= :from and one.day < :to order by one.day")
    List<WeatherDay> measured(LocalDate from, LocalDate to);

    List<WeatherDayRow> findByDayBetween(LocalDate first, LocalDate last);

    @Query("select max(one.day) from WeatherDayRow one")
    Optional<LocalDate> lastMeasured();

    /** What changes with every measured day and every forecast that count on a day. */
    @Query("""
            select concat_ws(' ', cast(count(*) as string), cast(max(one.recordedAt) as string),
                (select cast(max(forecast.key.issuedOn) as string) from ForecastDayRow forecast
                    where forecast.key.issuedOn <= :asOf))
            from WeatherDayRow one where one.day < :asOf
            """)
    @Nullable
    String stamp(LocalDate asOf);
}
