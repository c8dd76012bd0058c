package org.kindgirdle.server.climate;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ForecastDayRepository extends JpaRepository<ForecastDayRow, ForecastDayRow.Key> {

    /** The newest that was issued on a day or before it, for that day and later ones. */
    @Query("""
            select new org.kindgirdle.server.climate.WeatherDay(
                one.key.day, one.minC, one.maxC, one.windMs, one.rainMm)
            from ForecastDayRow one
            where one.key.issuedOn = (
                select max(other.key.issuedOn) from ForecastDayRow other where other.key.issuedOn <= :asOf)
            and one.key.day >= :asOf order by one.key.day
            """)
    List<WeatherDay> newest(LocalDate asOf);

    @Query("select count(one) > 0 from ForecastDayRow one where one.key.issuedOn = :issuedOn")
    boolean hasAny(LocalDate issuedOn);
}
