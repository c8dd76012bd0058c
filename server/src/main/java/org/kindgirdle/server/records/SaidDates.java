package org.kindgirdle.server.records;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerProjection;

/** Days that were said of a full ball, each null beyond the horizon. */
public record SaidDates(
        @Nullable LocalDate q10,
        @Nullable LocalDate q50,
        @Nullable LocalDate q90) {

    /** Null for a layer that is off its mother. */
    public static @Nullable SaidDates of(LayerProjection projection) {
        LayerProjection.RootForecast forecast = projection.forecast();
        return forecast == null ? null : new SaidDates(forecast.q10(), forecast.q50(), forecast.q90());
    }
}
