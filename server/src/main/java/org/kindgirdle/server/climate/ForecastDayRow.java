package org.kindgirdle.server.climate;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A day as it was forecast on another. */
@Entity
@Table(name = "forecast_day")
class ForecastDayRow {

    @Embeddable
    record Key(LocalDate issuedOn, LocalDate day) {}

    @EmbeddedId
    Key key = new Key(LocalDate.EPOCH, LocalDate.EPOCH);

    @Column(name = "min_c")
    double minC;

    @Column(name = "max_c")
    double maxC;

    @Nullable
    Double windMs;

    @Nullable
    Double rainMm;

    protected ForecastDayRow() {}

    ForecastDayRow(LocalDate issuedOn, WeatherDay day) {
        this.key = new Key(issuedOn, day.on());
        this.minC = day.minC();
        this.maxC = day.maxC();
        this.windMs = day.windMs();
        this.rainMm = day.rainMm();
    }
}
