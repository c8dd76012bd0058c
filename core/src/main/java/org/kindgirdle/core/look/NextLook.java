package org.kindgirdle.core.look;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.DoubleFunction;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.TimeToReady;

/**
 * When to look next: late enough to find something, early enough to act on it. A peek disturbs roots.
 *
 * @param from the day it is best done
 * @param by the last day it may wait to
 */
public record NextLook(LocalDate from, LocalDate by) {

    /** In dormancy only the wrap is looked after, so often (days). */
    public static final int DORMANT_DAYS = 45;

    /** A look that is due may wait for the round after the next one, days. */
    private static final int SLACK_DAYS = 7;

    /**
     * @param lastLook the last look, or the ring if there was none since
     * @param seenThrough whether the wrap need not be opened
     * @param growing false in dormancy
     * @param ready the time to ready as the looks leave it
     * @param dayReaching the first day on which the layer has had so many thermal days; empty beyond the horizon
     */
    public static NextLook after(
            LocalDate lastLook,
            RootStage stage,
            boolean seenThrough,
            boolean growing,
            TimeToReady ready,
            DoubleFunction<Optional<LocalDate>> dayReaching) {
        if (!growing) {
            LocalDate wrap = lastLook.plusDays(DORMANT_DAYS);
            return new NextLook(wrap, wrap);
        }
        return switch (stage) {
            case NONE, CALLUS ->
                between(
                        lastLook,
                        seenThrough ? 14 : 21,
                        45,
                        dayReaching.apply(seenThrough ? .55 * ready.quantile(.1) : .80 * ready.quantile(.5)));
            case INITIALS -> between(lastLook, seenThrough ? 10 : 14, 30, dayReaching.apply(.90 * ready.quantile(.5)));
            case ROOTED -> between(lastLook, seenThrough ? 7 : 10, 21, dayReaching.apply(ready.quantile(.5)));
            case FILLED, MATURE -> between(lastLook, 7, 7, Optional.empty());
        };
    }

    private static NextLook between(LocalDate last, int soonest, int latest, Optional<LocalDate> wanted) {
        LocalDate end = last.plusDays(latest);
        LocalDate first = last.plusDays(soonest);
        LocalDate due = wanted.filter(day -> day.isBefore(end)).orElse(end);
        LocalDate from = due.isBefore(first) ? first : due;
        LocalDate by = from.plusDays(SLACK_DAYS);
        return new NextLook(from, by.isAfter(end) ? end : by);
    }
}
