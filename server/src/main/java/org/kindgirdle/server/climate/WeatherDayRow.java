package org.kindgirdle.server.climate;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A measured day, as it is known now. */
@Entity
@Table(name = "weather_day")
class WeatherDayRow {

    @Id
    LocalDate day = LocalDate.EPOCH;

    @Column(name = "min_c")
    double minC;

    @Column(name = "max_c")
    double maxC;

    @Nullable
    Double windMs;

    @Nullable
    Double rainMm;

    @Enumerated(EnumType.STRING)
    WeatherStore.Source source = WeatherStore.Source.TYPED;

    String recordedBy = "";
    Instant recordedAt = Instant.EPOCH;

    protected WeatherDayRow() {}

    WeatherDayRow(LocalDate day) {
        this.day = day;
    }

    boolean isAs(WeatherDay other) {
        return new WeatherDay(day, minC, maxC, windMs, rainMm).equals(other);
    }

    void measure(WeatherDay measured, WeatherStore.Source by, String name, Instant at) {
        minC = measured.minC();
        maxC = measured.maxC();
        windMs = measured.windMs();
        rainMm = measured.rainMm();
        source = by;
        recordedBy = name;
        recordedAt = at;
    }
}
