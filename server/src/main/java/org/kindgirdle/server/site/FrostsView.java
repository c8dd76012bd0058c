package org.kindgirdle.server.site;

import jakarta.validation.constraints.NotNull;
import java.time.MonthDay;
import org.kindgirdle.core.climate.FrostCalendar;

/** First and last frosts: the mean date, and the one that one year in ten passes. Written {@code --MM-DD}. */
public record FrostsView(
        @NotNull MonthDay firstAverage,
        @NotNull MonthDay firstEarly,
        @NotNull MonthDay lastAverage,
        @NotNull MonthDay lastLate) {

    /** What the core reckons with. */
    public FrostCalendar calendar() {
        return new FrostCalendar(firstAverage, firstEarly, lastAverage, lastLate);
    }
}
