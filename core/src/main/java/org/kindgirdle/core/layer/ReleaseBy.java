package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.stream.Stream;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.plan.LikelyNumber;
import org.kindgirdle.core.plan.SettingWindow;
import org.kindgirdle.core.plan.SettingWindows;

/**
 * What a day by which plants are to be released asks of the days before it: nothing is released with frost near, and a
 * layer climbs the whole ladder between the knife and its release.
 *
 * @param lastRelease the last day up to the one that is asked for on which a plant may be released
 * @param readyBy the day by which a ball must be full to be there in time
 */
public record ReleaseBy(LocalDate lastRelease, LocalDate readyBy) {

    private static final Rule RELEASE_FROST_DAYS = Rule.of("harden.release-frost");
    /** Odds beyond this are certainty. */
    private static final double MAX_LIKELIER = 1e12;

    private static final double NOTHING = 1e-300;

    private static final Rule GOOD_P = Rule.of("window.good");

    /**
     * @param today before which nothing is looked for
     * @param by the day that is asked for
     */
    public static ReleaseBy of(LayerContext context, LocalDate today, LocalDate by) {
        FrostCalendar frosts = context.climate().frosts().orElse(null);
        LocalDate last = by;
        while (frosts != null
                && last.isAfter(today)
                && frosts.daysToFrost(last) < context.rules().count(RELEASE_FROST_DAYS)) {
            last = last.minusDays(1);
        }
        int ladder = Stream.of(Rung.values())
                .mapToInt(rung -> Ladder.IN_LEAF.days(context.rules(), rung))
                .sum();
        return new ReleaseBy(last, last.minusDays(ladder));
    }

    /**
     * The last day from a day on that leaves enough time with a good chance.
     *
     * @param windows of the wood that is layered
     */
    public Optional<LocalDate> latestSetOn(HouseRules rules, SettingWindows windows, LocalDate today) {
        for (LocalDate day = readyBy; !day.isBefore(today); day = day.minusDays(1)) {
            boolean open = windows.on(day).end() != SettingWindow.End.TOO_EARLY;
            if (open && windows.readyP(day, readyBy) >= rules.of(GOOD_P)) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }

    /** A layer's part in the likely number: what is behind it already, and its chance to be there in time. */
    public LikelyNumber.UnderWay underWay(LayerState state, LayerContext context, LocalDate today) {
        PlantState plant = state.plant();
        if (plant == null) {
            return onMother(state, context);
        }
        LocalDate there = today.plusDays(daysLeft(context.rules(), plant, today));
        return new LikelyNumber.UnderWay(true, there.isAfter(lastRelease) ? 0 : 1);
    }

    private LikelyNumber.UnderWay onMother(LayerState state, LayerContext context) {
        boolean rooted = state.stage().isAtLeast(RootStage.FILLED);
        LayerSums sums = new LayerSums(state, context);
        TimeToReady ready = sums.ready();
        double inTime = ready.fullBy(sums.heat().throughDay(readyBy));
        double before = ready.rootsBefore();
        double after = ready.roots();
        double likelier = after * (1 - before) / Math.max(NOTHING, before * (1 - after));
        return new LikelyNumber.UnderWay(rooted, inTime, Math.min(MAX_LIKELIER, likelier));
    }

    /** Days on the rest of its ladder, with those that it has stood on its rung taken off. */
    private static long daysLeft(HouseRules rules, PlantState plant, LocalDate today) {
        long left = -ChronoUnit.DAYS.between(plant.rungSince(), today);
        for (Rung rung : Rung.values()) {
            if (rung.compareTo(plant.rung()) >= 0) {
                left += plant.ladder().days(rules, rung);
            }
        }
        return Math.max(0, left);
    }
}
