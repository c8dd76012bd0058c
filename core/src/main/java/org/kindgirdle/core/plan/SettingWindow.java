package org.kindgirdle.core.plan;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What one start date is worth for a species, place and recipe.
 *
 * @param start the day of setting
 * @param readyP probability of a full ball by the deadline, 0 to 1; 1 where there is none
 * @param deadline the last day by which it should be full; null on a frost-free place
 * @param windowClass what that makes of the date
 * @param end which end closed it; null if it is not closed
 */
public record SettingWindow(
        LocalDate start,
        double readyP,
        @Nullable LocalDate deadline,
        WindowClass windowClass,
        @Nullable End end) {

    /** The end of the window that closed a date. */
    public enum End {
        TOO_EARLY,
        TOO_LATE
    }
}
