package org.kindgirdle.server.site;

import jakarta.persistence.Embeddable;
import java.time.MonthDay;
import org.jspecify.annotations.Nullable;

/** Four dates of the year, kept as {@code MM-DD}; all null where it never freezes. */
@Embeddable
public class FrostDates {

    @Nullable
    String firstFrostAverage;

    @Nullable
    String firstFrostEarly;

    @Nullable
    String lastFrostAverage;

    @Nullable
    String lastFrostLate;

    protected FrostDates() {}

    public static FrostDates of(@Nullable FrostsView view) {
        FrostDates dates = new FrostDates();
        if (view != null) {
            dates.firstFrostAverage = text(view.firstAverage());
            dates.firstFrostEarly = text(view.firstEarly());
            dates.lastFrostAverage = text(view.lastAverage());
            dates.lastFrostLate = text(view.lastLate());
        }
        return dates;
    }

    public static @Nullable FrostsView view(@Nullable FrostDates dates) {
        if (dates == null
                || dates.firstFrostAverage == null
                || dates.firstFrostEarly == null
                || dates.lastFrostAverage == null
                || dates.lastFrostLate == null) {
            return null;
        }
        return new FrostsView(
                parse(dates.firstFrostAverage),
                parse(dates.firstFrostEarly),
                parse(dates.lastFrostAverage),
                parse(dates.lastFrostLate));
    }

    private static String text(MonthDay day) {
        return day.toString().substring(2);
    }

    private static MonthDay parse(String text) {
        return MonthDay.parse("--" + text);
    }
}
