package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.look.NextLook;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepFact;
import org.kindgirdle.core.look.NextStepInputs;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Watering;
import org.kindgirdle.core.verdict.Verdict;

/**
 * What follows from the journal of a layer on its mother whatever the day, worked out once, and from it what the next
 * step of any day is decided by.
 */
final class LayerSums {

    private static final Rule JAR_WATER_DAYS = Rule.of("method.JAR.water");
    private static final Rule WEEKLY_DAYS = Rule.of("top-up.weekly");
    private static final Rule ESTABLISH_DAYS = Rule.of("next.establish");
    private static final Rule NEAR_DAYS = Rule.of("next.near-frost");
    private static final Rule LONG_WAIT_DAYS = Rule.of("next.long-wait");
    private static final Rule RESCORE_DAYS = Rule.of("next.rescore-days");
    private static final Rule DRIES_WITHIN_DAYS = Rule.of("next.dries-within");

    /** Below this chance that it roots a layer may be given up. */
    private static final Rule HOPE_P = Rule.of("next.unlikely");

    private static final Rule SNAP_C = Rule.of("next.snap");

    /** Where nights are usually so much warmer than what kills, no night of these weeks does. */
    private static final double FAR_FROM_KILL_C = 15;

    /** How far ahead a night of the forecast counts, days. */
    private static final int FORECAST_DAYS = 14;

    /** A look of the week is no old one. */
    private static final int SEEN_LATELY_DAYS = 7;

    private final LayerState state;
    private final LayerContext context;
    private final HouseRules rules;
    private final RecipeFactors factors;
    private final HeatTrack heat;
    private final TimeToReady prior;
    private final TimeToReady ready;
    private final WaterBalance water;
    private final LocalDate dryOn;
    private @Nullable SettingWindows windows;
    private NextStepInputs.@Nullable Builder steady;

    LayerSums(LayerState state, LayerContext context) {
        this.state = state;
        this.context = context;
        this.rules = context.rules();
        this.factors = context.factors(state.set().woodTaken());
        this.heat = new HeatTrack(state, context, factors.speed());
        List<StageSeen> seen = new ArrayList<>();
        for (LayerState.LookOn look : state.looks()) {
            seen.add(new StageSeen(look.look().stage(), heat.throughDay(look.on())));
        }
        this.prior = context.time().prior(rules);
        this.ready = context.ready(factors, seen);
        this.water = new WaterBalance(state, context, context.ball(state), state.covers());
        this.dryOn = water.dueOn();
    }

    RecipeFactors factors() {
        return factors;
    }

    HeatTrack heat() {
        return heat;
    }

    /** The time to a full ball and the chance that it roots, after its looks. */
    TimeToReady ready() {
        return ready;
    }

    SettingWindows windows() {
        if (windows == null) {
            windows = context.windows(heat.coverNow(), factors, state.set().school(), state.stage());
        }
        return windows;
    }

    /** When the ball wants water, or the water that a jar stands in is to be changed. A ball that freezes in dormancy is left until the first thaw. */
    LocalDate topUpOn(LocalDate today) {
        if (context.recipe().method() == Method.JAR) {
            return state.wateredOn().plusDays(rules.count(JAR_WATER_DAYS));
        }
        LocalDate wanted = isWateredWeekly() ? state.wateredOn().plusDays(rules.count(WEEKLY_DAYS)) : dryOn;
        LocalDate due = wanted.isBefore(today) ? today : wanted;
        return isLeftFrozen(due) ? context.seasons().thaw(due) : wanted;
    }

    private boolean isWateredWeekly() {
        return context.wrappedBy(state).watering() == Watering.WEEKLY;
    }

    /** Whether a day freezes in dormancy: no ball is watered then. */
    boolean isLeftFrozen(LocalDate day) {
        return context.climate().on(day).minC() < 0 && !context.seasons().isGrowing(day);
    }

    /** What the ball has lost by a day, g: as much as it takes to be full again. */
    double waterToAddG(LocalDate today) {
        return water.lostG(today);
    }

    /** Days between which it is best looked at next. */
    NextLook nextLook(boolean growing, boolean held) {
        // in dormancy the wrap alone is looked at, and whoever did so has seen it
        LocalDate last = growing ? lastLook() : lastSeen();
        return NextLook.after(
                rules, last, state.stage(), heat.coverNow().isSeenThrough(), growing, held, ready, heat::dayReaching);
    }

    /** The last look since the ring, or the ring where there was none. */
    LocalDate lastLook() {
        return state.looks().isEmpty()
                ? state.ringedOn()
                : state.looks().get(state.looks().size() - 1).on();
    }

    /** The last day since the ring on which its roots or its wrap were seen. */
    private LocalDate lastSeen() {
        List<LayerState.WrapOn> wraps = state.wrapsSeen();
        LocalDate wrap =
                wraps.isEmpty() ? LocalDate.MIN : wraps.get(wraps.size() - 1).on();
        return wrap.isAfter(lastLook()) ? wrap : lastLook();
    }

    /**
     * The first night after a day that may kill such roots: as it was measured or is forecast, or, of what does not stand
     * the winter here, from when on a cold snap brings it; null if none is to be reckoned with.
     */
    @Nullable
    LocalDate firstKill(LocalDate after, LocalDate today) {
        double bearsC = rootKillC();
        double snapC = bearsC + rules.of(SNAP_C);
        LocalDate usual = context.isHardy(state.stage()) || context.seasons().isHardFrost(after, snapC)
                ? null
                : context.seasons().nextHardFrost(after, snapC).orElse(null);
        if (context.climate().normalOn(today.getDayOfYear()).minC() > bearsC + FAR_FROM_KILL_C) {
            return usual;
        }
        int days = (int) ChronoUnit.DAYS.between(after, today) + FORECAST_DAYS;
        LocalDate known = context.climate()
                .knownNightDownTo(bearsC, after.plusDays(1), days)
                .orElse(null);
        if (known == null || usual == null) {
            return known == null ? usual : known;
        }
        return known.isBefore(usual) ? known : usual;
    }

    /**
     * Whether what the winter kills can still be taken in before it: from two weeks before the first snaps till hard frost,
     * and no longer once such a night has come.
     */
    private boolean isKillNear(LocalDate day) {
        Seasons seasons = context.seasons();
        return !context.isHardy(state.stage())
                && seasons.isHardFrost(day.plusDays(FORECAST_DAYS), rootKillC() + rules.of(SNAP_C))
                && !seasons.isHardFrost(day, rootKillC())
                && !seasons.isWinterEnding(day)
                && context.climate()
                        .knownNightDownTo(rootKillC(), lastLook().plusDays(1), (int)
                                Math.max(0, ChronoUnit.DAYS.between(lastLook(), day) - 1))
                        .isEmpty();
    }

    /** What was let go to heal waits for the day that it was told. */
    private boolean isRingedSoon(LocalDate day) {
        return !state.letGo()
                && windows().againAhead(day, context.coverAtHand()).isPresent();
    }

    private double rootKillC() {
        return context.rootKillC(state.stage());
    }

    /** Growing days of the half-open span (from, to], counted to a limit. */
    private int growingDays(LocalDate from, LocalDate to, int most) {
        int days = 0;
        for (LocalDate day = from.plusDays(1); !day.isAfter(to) && days <= most; day = day.plusDays(1)) {
            if (context.seasons().isGrowing(day)) {
                days++;
            }
        }
        return days;
    }

    private boolean isLookOverdue(LocalDate day) {
        if (state.looks().isEmpty()) {
            return false;
        }
        int most = NextLook.mostDays(rules, state.stage());
        LocalDate last = endsSoon(day);
        return growingDays(lastLook(), last.isBefore(day) ? last : day, most) > most;
    }

    /** The day on which the last look had become too old; empty where it has not. */
    Optional<LocalDate> overdueSince(LocalDate today) {
        if (!isLookOverdue(today)) {
            return Optional.empty();
        }
        int most = NextLook.mostDays(rules, state.stage());
        LocalDate day = lastLook();
        int grown = 0;
        while (grown <= most && day.isBefore(today)) {
            day = day.plusDays(1);
            grown += context.seasons().isGrowing(day) ? 1 : 0;
        }
        return Optional.of(day);
    }

    /** From when on growth may stop any day: a look that falls due later stays a job, but no longer is all that is wanted. */
    private LocalDate endsSoon(LocalDate day) {
        return context.seasons().growthMayStop(day).orElse(LocalDate.MAX);
    }

    /** Whether frost comes, but not for long. */
    boolean isFrostFar(LocalDate day) {
        return context.climate()
                .frosts()
                .filter(frosts -> frosts.daysToFrost(day) > rules.count(LONG_WAIT_DAYS))
                .isPresent();
    }

    private boolean isRescoredSince(LocalDate day) {
        LocalDate rescored = state.rescoredOn();
        if (rescored == null) {
            return false;
        }
        int wanted = rules.count(RESCORE_DAYS);
        return growingDays(rescored, day, wanted) < wanted || !lastLook().isAfter(rescored);
    }

    /**
     * A warm week loosens the bark before its time; a cool one in the season of growth does not fasten it again. In spring a
     * ring may be cut anew from when one may be set: the frosts of a late spring keep nobody from either.
     */
    private boolean slips(LocalDate day, @Nullable Integer frost) {
        double opens = context.species().opensAtMeanC();
        boolean isWarm = context.climate().sevenDayMeanC(day) > opens
                || context.climate().normalOn(day.getDayOfYear()).meanC() > opens;
        boolean isFarFromFrost = frost == null
                || frost >= rules.count(NEAR_DAYS)
                || context.seasons().isLastFrostAhead(day)
                        && !day.isBefore(windows().lastFrostOn(day));
        return isWarm && isFarFromFrost && !context.seasons().isLeafless(day);
    }

    /** Looks in growth since the stage last rose; the ring itself counts as the first stage. */
    private int stalledLooks() {
        RootStage highest = RootStage.NONE;
        int stalled = 0;
        for (LayerState.LookOn look : state.looks()) {
            if (look.look().stage().ordinal() > highest.ordinal()) {
                highest = look.look().stage();
                stalled = 0;
            } else if (context.seasons().isGrowing(look.on())) {
                stalled++;
            }
        }
        return stalled;
    }

    /**
     * What the next step is decided by, on a day. Time alone gives up no layer: where nothing but days has gone by since
     * the look after which there still was hope, it is looked at first.
     */
    NextStepInputs on(LocalDate day) {
        return on(day, isLookOverdue(day) || isInDoubt(day));
    }

    private boolean isInDoubt(LocalDate day) {
        if (state.looks().isEmpty() || ready.roots() >= rules.of(HOPE_P)) {
            return false;
        }
        LocalDate seen = lastLook().plusDays(SEEN_LATELY_DAYS);
        LocalDate end = endsSoon(day);
        LocalDate asOf = end.isBefore(day) ? end : day;
        return asOf.isAfter(seen) && isGivenUp(on(asOf, false)) && !isGivenUp(on(seen, false));
    }

    private static boolean isGivenUp(NextStepInputs inputs) {
        return NextStepRules.decide(inputs).decidedBy() == NextStepRules.NOT_ROOTING;
    }

    /** The inputs that no day changes: a look ahead asks for those of some hundred days. */
    private NextStepInputs.Builder steady() {
        if (steady == null) {
            Seasons seasons = context.seasons();
            Sectors sectors = state.sectors();
            steady = new NextStepInputs.Builder()
                    .set(NextStepFact.CONDITIONS, state.conditions())
                    .set(NextStepFact.LOOKED, !state.looks().isEmpty())
                    .set(NextStepFact.STAGE, state.stage())
                    .set(NextStepFact.COVERAGE, sectors == null ? null : sectors.coverage())
                    .set(NextStepFact.WIDEST_GAP, sectors == null ? null : sectors.widestGapDeg())
                    .set(NextStepFact.STALLED_LOOKS, stalledLooks())
                    .set(NextStepFact.ATTEMPTS, state.attempts())
                    .set(NextStepFact.RESCORES, state.rescores())
                    .set(NextStepFact.ROOTS_P, ready.roots())
                    .set(NextStepFact.ROOTS_BEFORE, ready.rootsBefore())
                    .set(NextStepFact.EVERGREEN, seasons.keepsLeaf())
                    .set(NextStepFact.ESTABLISH_DAYS, rules.count(ESTABLISH_DAYS))
                    .set(NextStepFact.HARDY, context.isHardy(state.stage()))
                    .set(NextStepFact.DORMANT_ROOM, seasons.hasDormantRoom(rootKillC()))
                    .set(NextStepFact.COVER, context.coverAtHand())
                    .set(NextStepFact.FRUIT_TO_KEEP, state.set().fruitToKeep())
                    .set(NextStepFact.SPECIMEN, state.set().specimen())
                    .set(NextStepFact.SCHOOL, state.set().school());
        }
        return steady;
    }

    private NextStepInputs on(LocalDate day, boolean isLookOverdue) {
        PlaceClimate climate = context.climate();
        Seasons seasons = context.seasons();
        Optional<FrostCalendar> frosts = climate.frosts();
        Integer frost = frosts.map(one -> one.daysToFrost(day)).orElse(null);
        return steady().copy()
                .set(NextStepFact.LOOK_OVERDUE, isLookOverdue)
                .set(NextStepFact.RESCORED_SINCE, isRescoredSince(day))
                .set(NextStepFact.READY_P, prior.fullBy(heat.throughDay(day)))
                .set(NextStepFact.WINDOW_P, windows().againP(day, context.coverAtHand()))
                .set(NextStepFact.WINDOW_AHEAD, isRingedSoon(day))
                .set(NextStepFact.BARK_SLIPS, slips(day, frost))
                .set(NextStepFact.GROWING, seasons.isGrowing(day))
                .set(NextStepFact.LEAFLESS, seasons.isLeafless(day))
                .set(NextStepFact.DAYS_TO_FROST, frost)
                .set(NextStepFact.HARD_FROST, seasons.isHardFrost(day, rootKillC()))
                .set(NextStepFact.KILL_NEAR, isKillNear(day))
                .set(NextStepFact.LAST_FROST_AHEAD, seasons.isWinterEnding(day))
                .set(NextStepFact.WINTERED, context.hasWintered(state, day))
                .set(NextStepFact.BALL_DRIES, topUpOn(day).isBefore(day.plusDays(rules.count(DRIES_WITHIN_DAYS))))
                .build(rules);
    }

    /** The next step of a day, if nothing is recorded till then. */
    Verdict<NextStep, NextStepRules> decide(LocalDate day) {
        return NextStepRules.decide(on(day));
    }

    NextStep step(LocalDate day) {
        return decide(day).step();
    }
}
