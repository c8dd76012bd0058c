package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.HardenRules;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.Standing;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.verdict.Verdict;

/** The projection of one layer from its journal, its context and a day: a pure function. */
public final class Projector {

    private static final Rule WATCH_HEAT_DAYS = Rule.of("next.watch-heat");
    private static final Rule SMALL_BALL_ML = Rule.of("next.small-ball");

    /** The curve of readiness leaves this much out on either side, and has about so many points. */
    private static final double CURVE_TAIL = .01;

    private static final int CURVE_POINTS = 40;

    private final LayerContext context;
    private final HouseRules rules;
    private final LayerState state;
    private final LocalDate today;
    private final RecipeFactors factors;
    private final RingAndBall ball;
    private final BranchLoad load;

    private Projector(LayerState state, LayerContext context, LocalDate today) {
        this.state = state;
        this.context = context;
        this.rules = context.rules();
        this.today = today;
        LayerRecord.Setting set = state.set();
        this.factors = context.factors(set.woodTaken());
        this.ball = context.ball(state);
        this.load = BranchLoad.of(
                rules,
                ball.mediumMl(),
                context.recipe().medium(),
                context.recipe().containerG(),
                set.diameterMm(),
                set.fromUnionTakenMm(rules),
                // what the ground or a bench carries bends nothing
                context.recipe().method().hangs() ? set.leanTakenDeg(rules) : 0,
                set.woodTaken());
    }

    /**
     * What is to be shown and done of a layer.
     *
     * @param state from its journal
     * @param today the day as of which
     */
    public static LayerProjection project(LayerState state, LayerContext context, LocalDate today) {
        return new Projector(state, context, today).project();
    }

    /**
     * Probability of a full ball by the end of each of some days, evenly from the first on which anything is likely to
     * the last on which anything is left, or the horizon; empty where even the first lies beyond that, or the layer is off
     * its mother.
     */
    public static List<ReadyBy> readyCurve(LayerState state, LayerContext context, LocalDate today) {
        LayerProjection.RootForecast forecast = project(state, context, today).forecast();
        if (forecast == null) {
            return List.of();
        }
        HeatTrack heat = new HeatTrack(state, context);
        Optional<LocalDate> first = heat.dayReaching(forecast.ready().quantile(CURVE_TAIL));
        Optional<LocalDate> last = heat.dayReaching(forecast.ready().quantile(1 - CURVE_TAIL));
        if (first.isEmpty()) {
            return List.of();
        }
        LocalDate from = first.get().minusDays(1);
        LocalDate to = last.map(day -> day.plusDays(1))
                .orElseGet(() -> state.ringedOn().plusDays(ThermalSums.HORIZON_DAYS));
        long days = ChronoUnit.DAYS.between(from, to);
        long stride = Math.max(1, days / CURVE_POINTS);
        List<ReadyBy> curve = new ArrayList<>();
        for (long day = 0; day <= days; day += stride) {
            LocalDate on = from.plusDays(day);
            curve.add(new ReadyBy(on, forecast.ready().fullBy(heat.throughDay(on))));
        }
        return curve;
    }

    /**
     * @param on a day
     * @param fullP probability of a full ball by its end, if it roots
     */
    public record ReadyBy(LocalDate on, double fullP) {}

    private LayerProjection project() {
        if (state.phase() == LayerPhase.ON_MOTHER) {
            return onMother();
        }
        if (state.plant() == null || !state.phase().isLive()) {
            return new LayerProjection(state, ball, load, factors, null, null, null, Set.of(), List.of());
        }
        Standing standing = context.standing();
        HardenVerdict hardening = HardenRules.decide(rules, state.plant(), standing, today);
        List<Job> jobs = new ArrayList<>(List.of(PlantJobs.of(
                rules,
                hardening,
                state.plant(),
                today,
                day -> HardenRules.decide(rules, state.plant(), standing, day).step())));
        // what is cut off when it is set leaves its stub to the pruning of the mother
        if (context.recipe().method().staysOnMother()) {
            PlantJobs.forMother(rules, state, state.plant()).ifPresent(jobs::add);
        }
        return new LayerProjection(state, ball, load, factors, null, null, hardening, Set.of(), ordered(jobs));
    }

    private LayerProjection onMother() {
        LayerSums sums = new LayerSums(state, context);
        HeatTrack heat = sums.heat();
        double thermalDays = heat.throughDay(today);
        TimeToReady ready = sums.ready();
        LocalDate deadline = comingDeadline(sums.windows());
        LayerProjection.RootForecast forecast = new LayerProjection.RootForecast(
                thermalDays,
                context.time(),
                ready,
                ready.readyBy(thermalDays),
                heat.dayReaching(ready.quantile(.1)).orElse(null),
                heat.dayReaching(ready.quantile(.5)).orElse(null),
                heat.dayReaching(ready.quantile(.9)).orElse(null),
                topUp(heat.coverNow()),
                sums.topUpOn(today),
                sums.waterToAddG(today),
                deadline,
                deadline == null ? 1 : ready.fullBy(heat.throughDay(deadline)));
        Verdict<NextStep, NextStepRules> verdict = sums.decide(today);
        Set<AlsoDo> alsoDo = alsoDo(heat.coverNow(), verdict.step(), sums);
        List<Job> jobs = new MotherJobs(state, context, today, sums).of(verdict, alsoDo);
        return new LayerProjection(state, ball, load, factors, forecast, verdict, null, alsoDo, ordered(jobs));
    }

    /** By last day, with what was put off not before the day it was put off to. */
    private List<Job> ordered(List<Job> jobs) {
        LayerState.DeferredOn deferred = state.deferred();
        return jobs.stream()
                .map(job -> deferred == null || !deferred.what().jobs().contains(job.code())
                        ? job
                        : job.notBefore(earlier(
                                deferred.what().until(), deferred.on().plusDays(LayerProjection.MAX_DEFERRED_DAYS))))
                .sorted(Comparator.comparing(Job::by).thenComparing(Job::code))
                .toList();
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private TopUp topUp(Cover cover) {
        if (ball.mediumMl() == 0) {
            return TopUp.none(rules);
        }
        Recipe wrapped = context.wrappedBy(state);
        return TopUp.of(
                rules,
                ball.mediumMl(),
                ball.ballLengthMm(),
                ball.ballDiameterMm(),
                wrapped.medium(),
                wrapped.wrap(),
                context.exposure(),
                cover.isReflecting(),
                context.climate().vpdKpaOn(today),
                state.stage());
    }

    /** The deadline of the ring, or of the first later year that is not over: what missed one is wanted by the next. */
    private @Nullable LocalDate comingDeadline(SettingWindows windows) {
        LocalDate deadline = windows.deadline(state.ringedOn()).orElse(null);
        while (deadline != null && deadline.isBefore(today)) {
            deadline = deadline.plusYears(1);
        }
        return deadline;
    }

    private Set<AlsoDo> alsoDo(Cover cover, NextStep step, LayerSums sums) {
        Set<AlsoDo> all = EnumSet.noneOf(AlsoDo.class);
        // what is as well found dry has drained
        addIf(
                all,
                AlsoDo.VENT,
                state.conditions().contains(Condition.WET)
                        && !state.conditions().contains(Condition.DRY));
        addIf(all, AlsoDo.TREAT_PESTS, state.conditions().contains(Condition.PESTS));
        addIf(all, AlsoDo.LOOSEN_TIE, state.conditions().contains(Condition.CONSTRICTED));
        if (context.recipe().method().hangs()) {
            boolean cooks = cover != Cover.FOIL && isTooHot(cover);
            addIf(all, AlsoDo.COVER_NOW, cooks);
            // foil keeps off the light as well: one cover is asked for, not two
            addIf(all, AlsoDo.COVER, !cooks && state.conditions().contains(Condition.ALGAE));
        }
        boolean full = state.stage().isAtLeast(RootStage.FILLED);
        addIf(all, AlsoDo.RELIEVE, full && state.conditions().contains(Condition.TOP_WILTED));
        addIf(all, AlsoDo.SOAK, full && state.conditions().contains(Condition.DRY) && step.isSevering());
        addIf(all, AlsoDo.UPSIZE, isOutgrown(step, sums));
        addIf(all, AlsoDo.PROP, !state.propped() && load.verdict() != BranchLoad.Bearing.FINE);
        return all;
    }

    private boolean isTooHot(Cover cover) {
        LocalDate to = today.plusDays(rules.count(WATCH_HEAT_DAYS));
        return CoverAdvice.isTooHot(rules, context.sums().apply(cover).hottestC(today, to));
    }

    /** Roots fill a small ball, and it is to stay on the mother for long. */
    private boolean isOutgrown(NextStep step, LayerSums sums) {
        if (state.upsized()
                || !state.stage().isAtLeast(RootStage.FILLED)
                || ball.mediumMl() > rules.of(SMALL_BALL_ML)) {
            return false;
        }
        if (step == NextStep.HOLD_SPRING) {
            return true;
        }
        return step == NextStep.HOLD_DORMANT && sums.isFrostFar(today);
    }

    private static void addIf(Set<AlsoDo> all, AlsoDo one, boolean needed) {
        if (needed) {
            all.add(one);
        }
    }
}
