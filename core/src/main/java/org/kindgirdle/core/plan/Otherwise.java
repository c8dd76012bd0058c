package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * What else could be done about plants that are wanted, where a start date is not good.
 *
 * @param way what to do
 * @param on when: the start date itself, or a later one
 * @param p probability that it comes in time; null where there is no figure for it
 */
public record Otherwise(Way way, LocalDate on, @Nullable Double p) {

    private static final Rule CUTTING_DAYS = Rule.of("window.cutting-least");
    private static final Rule GOOD_P = Rule.of("window.good");
    private static final Rule RISKY_P = Rule.of("window.risky");

    /** Ways out of a closed window, the surest first. */
    public enum Way {
        /** set it on the next good date */
        WAIT_FOR_WINDOW,
        /** set it now and leave it on the mother over the winter */
        LEAVE_OVER_WINTER,
        /** set it now and sever it, on the eve of frost, into frost-free cover */
        SEVER_TO_COVER,
        /** take a cutting instead */
        CUTTING,
        /** sever it early with the ball on and stand the cut end in water: an experiment */
        JAR
    }

    /**
     * All ways that are open from a start date, in the order of {@link Way}; empty where the date itself is good.
     *
     * @param coverAtHand whether the nursery has a frost-free place
     */
    public static List<Otherwise> of(SettingWindows windows, LocalDate start, boolean coverAtHand) {
        SettingWindow window = windows.on(start);
        List<Otherwise> ways = new ArrayList<>();
        if (window.windowClass() == WindowClass.GOOD) {
            return ways;
        }
        HouseRules rules = windows.rules();
        windows.nextGood(start)
                .ifPresent(day -> ways.add(
                        new Otherwise(Way.WAIT_FOR_WINDOW, day, windows.on(day).readyP())));
        if (window.end() == SettingWindow.End.TOO_EARLY) {
            return ways;
        }
        if (windows.overwinters(start)) {
            ways.add(new Otherwise(Way.LEAVE_OVER_WINTER, start, windows.overwinterP(start)));
        }
        FrostCalendar frosts = windows.climate().frosts().orElse(null);
        if (frosts == null) {
            return ways;
        }
        LocalDate frost = start.plusDays(frosts.daysToFrost(start));
        double byFrost = windows.readyP(start, frost);
        if (coverAtHand && byFrost >= rules.of(RISKY_P)) {
            ways.add(new Otherwise(Way.SEVER_TO_COVER, start, byFrost));
        }
        if (frosts.daysToFrost(start) >= rules.count(CUTTING_DAYS) || coverAtHand && frosts.daysToFrost(start) > 0) {
            ways.add(new Otherwise(Way.CUTTING, start, null));
        }
        double rootsStarted = windows.stageP(start, frost, RootStage.INITIALS);
        if (rootsStarted >= rules.of(GOOD_P)) {
            ways.add(new Otherwise(Way.JAR, start, rootsStarted));
        }
        return ways;
    }
}
