package org.kindgirdle.core.growth;

import java.time.LocalDate;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A span of days of the year, half-open [from, to), that may run over the turn of the year.
 *
 * @param from first day in it, 1 to 366
 * @param to first day no longer in it, 1 to 366
 */
public record DaysOfYear(int from, int to) {

    /**
     * @throws OutOfRangeException if first day of the year is outside 1 to 366 or last day of the year is outside 1 to
     *     366
     */
    public DaysOfYear {
        Require.within("first day of the year", from, 1, 366);
        Require.within("last day of the year", to, 1, 366);
    }

    static final int YEAR = 365;

    /** Days from one day of the year to the next time that another comes, 0 to 364. */
    static int from(int day, int to) {
        return Math.floorMod(to - day, YEAR);
    }

    /** The day of the year so many days later. */
    static int later(int day, int days) {
        return Math.floorMod(day - 1 + days, YEAR) + 1;
    }

    /** The first date on or after a day that falls on a day of the year, 1 to 365. */
    public static LocalDate onOrAfter(int dayOfYear, LocalDate day) {
        LocalDate thisYear = LocalDate.ofYearDay(day.getYear(), dayOfYear);
        return thisYear.isBefore(day) ? LocalDate.ofYearDay(day.getYear() + 1, dayOfYear) : thisYear;
    }

    /** The last date on or before a day that falls on a day of the year, 1 to 365. */
    public static LocalDate onOrBefore(int dayOfYear, LocalDate day) {
        LocalDate thisYear = LocalDate.ofYearDay(day.getYear(), dayOfYear);
        return thisYear.isAfter(day) ? LocalDate.ofYearDay(day.getYear() - 1, dayOfYear) : thisYear;
    }

    /** @param dayOfYear 1 to 366 */
    public boolean includes(int dayOfYear) {
        return from <= to ? dayOfYear >= from && dayOfYear < to : dayOfYear >= from || dayOfYear < to;
    }

    /** Whether a date falls on one of the days. */
    public boolean includes(LocalDate day) {
        return includes(day.getDayOfYear());
    }
}
