package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How fast a layer set on a date roots: what start dates are ranked by where no frost sets a deadline.
 *
 * @param start the day of setting
 * @param daysToReady days to the even chance of a full ball; null beyond four years
 * @param share of the fastest start's pace, 0 to 1; 0 where it takes more than four years
 */
public record StartRate(LocalDate start, @Nullable Integer daysToReady, double share) {

    private static final double MEDIAN = .5;

    /** The fastest first; of equals the earlier. */
    public static final Comparator<StartRate> FASTEST_FIRST =
            Comparator.comparingDouble(StartRate::share).reversed().thenComparing(StartRate::start);

    /** Every start date of the half-open span [from, to), in order of the dates. */
    public static List<StartRate> between(SettingWindows windows, LocalDate from, LocalDate to) {
        List<StartRate> found = new ArrayList<>();
        int fastest = Integer.MAX_VALUE;
        for (LocalDate day = from; day.isBefore(to); day = day.plusDays(1)) {
            LocalDate start = day;
            Integer days = windows.readyOn(start, MEDIAN)
                    .map(ready -> (int) ChronoUnit.DAYS.between(start, ready) + 1)
                    .orElse(null);
            found.add(new StartRate(start, days, 0));
            fastest = days == null ? fastest : Math.min(fastest, days);
        }
        double best = fastest;
        return found.stream()
                .map(one ->
                        new StartRate(one.start, one.daysToReady, one.daysToReady == null ? 0 : best / one.daysToReady))
                .toList();
    }
}
