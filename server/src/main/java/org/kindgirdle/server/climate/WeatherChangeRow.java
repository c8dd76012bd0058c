package org.kindgirdle.server.climate;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What a measured day was before somebody put other figures in its place. */
@Entity
@Immutable
@Table(name = "weather_change")
class WeatherChangeRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

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
    String replacedBy = "";
    Instant replacedAt = Instant.EPOCH;

    protected WeatherChangeRow() {}

    WeatherChangeRow(WeatherDayRow before, String replacedBy, Instant replacedAt) {
        this.day = before.day;
        this.minC = before.minC;
        this.maxC = before.maxC;
        this.windMs = before.windMs;
        this.rainMm = before.rainMm;
        this.source = before.source;
        this.recordedBy = before.recordedBy;
        this.recordedAt = before.recordedAt;
        this.replacedBy = replacedBy;
        this.replacedAt = replacedAt;
    }
}
