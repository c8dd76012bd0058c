package org.kindgirdle.server.backup;

import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** Which backups are kept: the newest of each of the last 7 days, 5 weeks and 12 months that have one. */
final class KeepRule {

    static final int DAYS = 7;
    static final int WEEKS = 5;
    static final int MONTHS = 12;

    private KeepRule() {}

    /** @param made days on which there are backups, each once */
    static Set<LocalDate> kept(Collection<LocalDate> made) {
        List<LocalDate> newestFirst =
                made.stream().distinct().sorted(Comparator.reverseOrder()).toList();
        Set<LocalDate> kept = new HashSet<>();
        keep(newestFirst, DAYS, day -> day, kept);
        keep(newestFirst, WEEKS, KeepRule::week, kept);
        keep(newestFirst, MONTHS, day -> day.getYear() * 12 + day.getMonthValue(), kept);
        return kept;
    }

    private static int week(LocalDate day) {
        return day.get(IsoFields.WEEK_BASED_YEAR) * 100 + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
    }

    private static void keep(
            List<LocalDate> newestFirst, int most, Function<LocalDate, Object> span, Set<LocalDate> kept) {
        Set<Object> spans = new HashSet<>();
        for (LocalDate day : newestFirst) {
            if (spans.size() < most && spans.add(span.apply(day))) {
                kept.add(day);
            }
        }
    }
}
