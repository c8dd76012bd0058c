package org.kindgirdle.core.climate;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;

/**
 * When frosts begin and end at a place.
 *
 * @param firstAverage the mean date of the first frost
 * @param firstEarly the first frost's date that one year in ten comes before
 * @param lastAverage the mean date of the last frost
 * @param lastLate the last frost's date that one year in ten comes after
 */
public record FrostCalendar(MonthDay firstAverage, MonthDay firstEarly, MonthDay lastAverage, MonthDay lastLate) {

    /** Whether the day lies in the half-open season from the early first frost to the late last one. */
    public boolean isFrostSeason(LocalDate day) {
        MonthDay today = MonthDay.from(day);
        boolean started = !today.isBefore(firstEarly);
        boolean ended = !today.isBefore(lastLate);
        return firstEarly.isBefore(lastLate) ? started && !ended : started || !ended;
    }

    /** Days to the early first frost; 0 from then until the last frost is past. */
    public int daysToFrost(LocalDate day) {
        return isFrostSeason(day) ? 0 : (int) ChronoUnit.DAYS.between(day, nextFirstEarly(day));
    }

    /** The early first frost on or after the day. */
    public LocalDate nextFirstEarly(LocalDate day) {
        return onOrAfter(firstEarly, day);
    }

    /** The early first frost that began the season that a day lies in, or the last one before it. */
    public LocalDate lastFirstEarly(LocalDate day) {
        LocalDate thisYear = firstEarly.atYear(day.getYear());
        return thisYear.isAfter(day) ? firstEarly.atYear(day.getYear() - 1) : thisYear;
    }

    /** The late last frost on or after the day. */
    public LocalDate nextLastLate(LocalDate day) {
        return onOrAfter(lastLate, day);
    }

    /** The mean last frost on or after the day. */
    public LocalDate nextLastAverage(LocalDate day) {
        return onOrAfter(lastAverage, day);
    }

    /** The mean first frost on or after the day. */
    public LocalDate nextFirstAverage(LocalDate day) {
        return onOrAfter(firstAverage, day);
    }

    private static LocalDate onOrAfter(MonthDay monthDay, LocalDate day) {
        LocalDate thisYear = monthDay.atYear(day.getYear());
        return thisYear.isBefore(day) ? monthDay.atYear(day.getYear() + 1) : thisYear;
    }
}
