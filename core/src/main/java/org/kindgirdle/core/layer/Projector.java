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
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.harden.HardenRules;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepInputs;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.look.Verdict;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.RingAndBall;

/** The projection of one layer from its journal, its context and a day: a pure function. */
public final class Projector {

    /** The forecast that is watched for heat, and for a ball that dries, days. */
    private static final int WEEK = 7;

    /** Full roots that must stay in their ball longer than this, days, want a larger one. */
    private static final int LONG_WAIT_DAYS = 60;

    /** A ball with less medium than this is small, mL. */
    private static final double SMALL_BALL_ML = 400;

    /** The curve of readiness leaves this much out on either side, and has about so many points. */
    private static final double CURVE_TAIL = .01;

    private static final int CURVE_POINTS = 40;

    /** How far ahead a change of the next step is looked for, days. */
    private static final int COMING_DAYS = 400;

    private final LayerContext context;
    private final LayerState state;
    private final LocalDate today;
    private final RecipeFactors factors;
    private final RingAndBall ball;
    private final BranchLoad load;
    private final @Nullable DaysOfYear leafless;

    private Projector(LayerState state, LayerContext context, LocalDate today) {
        this.state = state;
        this.context = context;
        this.today = today;
        LayerRecord.Set set = state.set();
        SpeciesProfile species = context.species();
        this.factors = RecipeFactors.of(
                species.difficulty(),
                context.recipe().wound(),
                set.wood(),
                context.rootRun(),
                context.vigour(),
                context.recipe().medium(),
                context.recipe().hormonePpm(),
                species.preformedRoots());
        this.ball = RingAndBall.of(
                set.diameterMm(), species.bridgesReadily(), state.bridgedBefore() || state.attempts() > 0);
        this.load = BranchLoad.of(
                ball.mediumMl(),
                context.recipe().medium(),
                context.recipe().containerG(),
                set.diameterMm(),
                set.fromUnionMm(),
                set.leanDeg(),
                set.wood());
        this.leafless = Phenology.leafless(context.climate(), species).orElse(null);
    }

    public static LayerProjection project(LayerState state, LayerContext context, LocalDate today) {
        return new Projector(state, context, today).project();
    }

    /**
     * Probability of a full ball by the end of each of some days, evenly from the first on which anything is likely to
     * the last on which anything is left; empty where the dates lie beyond the horizon or the layer is off its mother.
     */
    public static List<ReadyBy> readyCurve(LayerState state, LayerContext context, LocalDate today) {
        LayerProjection.RootForecast forecast = project(state, context, today).forecast();
        if (forecast == null) {
            return List.of();
        }
        HeatTrack heat = new HeatTrack(state, context, new Projector(state, context, today).factors.speed());
        Optional<LocalDate> first = heat.dayReaching(forecast.ready().quantile(CURVE_TAIL));
        Optional<LocalDate> last = heat.dayReaching(forecast.ready().quantile(1 - CURVE_TAIL));
        if (first.isEmpty() || last.isEmpty()) {
            return List.of();
        }
        LocalDate from = first.get().minusDays(1);
        long days = ChronoUnit.DAYS.between(from, last.get().plusDays(1));
        long stride = Math.max(1, days / CURVE_POINTS);
        List<ReadyBy> curve = new ArrayList<>();
        for (long day = 0; day <= days; day += stride) {
            LocalDate on = from.plusDays(day);
            curve.add(new ReadyBy(on, forecast.ready().readyBy(heat.throughDay(on))));
        }
        return curve;
    }

    /**
     * The first day on which the next step will be another if nothing is recorded till then, by forecast and normals;
     * empty if it stays the same for more than a year, or the layer is off its mother.
     */
    public static Optional<ComingStep> nextChange(LayerState state, LayerContext context, LocalDate today) {
        Verdict now = project(state, context, today).verdict();
        if (now == null) {
            return Optional.empty();
        }
        for (int ahead = 1; ahead <= COMING_DAYS; ahead++) {
            LocalDate day = today.plusDays(ahead);
            Verdict then = project(state, context, day).verdict();
            if (then != null && then.step() != now.step()) {
                return Optional.of(new ComingStep(day, then));
            }
        }
        return Optional.empty();
    }

    /**
     * A verdict that time alone will bring.
     *
     * @param on the first day that it holds
     */
    public record ComingStep(LocalDate on, Verdict verdict) {}

    /**
     * @param on a day
     * @param readyP probability of a full ball by its end
     */
    public record ReadyBy(LocalDate on, double readyP) {}

    private LayerProjection project() {
        if (state.phase() == LayerPhase.ON_MOTHER) {
            return onMother();
        }
        if (state.plant() == null || !state.phase().isLive()) {
            return new LayerProjection(state, ball, load, factors, null, null, null, Set.of(), List.of());
        }
        HardenVerdict hardening = HardenRules.decide(state.plant(), context.climate(), leafless, today);
        List<Job> jobs = List.of(PlantJobs.of(hardening, state.plant(), today));
        return new LayerProjection(state, ball, load, factors, null, null, hardening, Set.of(), jobs);
    }

    private LayerProjection onMother() {
        HeatTrack heat = new HeatTrack(state, context, factors.speed());
        double thermalDays = heat.throughDay(today);
        TimeToReady prior = TimeToReady.prior(
                context.species().d50ThermalDays(), context.species().sigma());
        TimeToReady ready = TimeToReady.after(prior.d50(), prior.sigma(), stagesSeen(heat));
        TopUp topUp = topUp(heat.coverNow());
        LocalDate topUpOn = state.wateredOn().plusDays(topUp.intervalDays());
        LayerProjection.RootForecast forecast = new LayerProjection.RootForecast(
                thermalDays,
                ready,
                ready.readyBy(thermalDays),
                heat.dayReaching(ready.quantile(.1)).orElse(null),
                heat.dayReaching(ready.quantile(.5)).orElse(null),
                heat.dayReaching(ready.quantile(.9)).orElse(null),
                topUp,
                topUpOn);
        Verdict verdict = NextStepRules.decide(inputs(prior, thermalDays, heat.coverNow(), topUpOn));
        Set<AlsoDo> alsoDo = alsoDo(heat.coverNow(), verdict.step());
        List<Job> jobs = new MotherJobs(state, context, today, heat, forecast, isGrowing(today)).of(verdict, alsoDo);
        return new LayerProjection(
                state,
                ball,
                load,
                factors,
                forecast,
                verdict,
                null,
                alsoDo,
                jobs.stream()
                        .sorted(Comparator.comparing(Job::by).thenComparing(Job::code))
                        .toList());
    }

    private List<StageSeen> stagesSeen(HeatTrack heat) {
        List<StageSeen> seen = new ArrayList<>();
        for (LayerState.LookOn look : state.looks()) {
            seen.add(new StageSeen(look.look().stage(), heat.throughDay(look.on())));
        }
        return seen;
    }

    private TopUp topUp(Cover cover) {
        return TopUp.of(
                ball.mediumMl(),
                ball.ballLengthMm(),
                ball.ballDiameterMm(),
                context.recipe().medium(),
                context.recipe().wrap(),
                context.exposure(),
                cover.isReflecting(),
                context.climate().vpdKpaOn(today),
                state.stage());
    }

    private NextStepInputs inputs(TimeToReady prior, double thermalDays, Cover cover, LocalDate topUpOn) {
        PlaceClimate climate = context.climate();
        boolean hardy = isHardy();
        SettingWindows again = new SettingWindows(
                climate,
                context.species(),
                prior,
                context.sums().apply(cover),
                factors.speed(),
                state.set().school(),
                context.rules().establishDays(),
                hardy);
        return new NextStepInputs(
                state.conditions(),
                !state.looks().isEmpty(),
                state.stage(),
                state.sectors().coverage(),
                stalledLooks(),
                state.attempts(),
                state.rescores(),
                prior.readyBy(thermalDays),
                again.readyInTimeP(today),
                isGrowing(today),
                leafless != null && leafless.includes(today),
                climate.frosts().map(frosts -> frosts.daysToFrost(today)).orElse(null),
                context.rules().establishDays(),
                hardy,
                context.coverAtHand(),
                state.set().fruitToKeep(),
                state.set().specimen(),
                topUpOn.isBefore(today.plusDays(WEEK)),
                state.set().school());
    }

    private boolean isGrowing(LocalDate day) {
        return context.climate().sevenDayMeanC(day)
                > context.species().cardinals().baseC() + Phenology.GROWING_ABOVE_BASE_C;
    }

    private boolean isHardy() {
        double low = context.climate().winterLowC();
        double rootKill = state.stage() == RootStage.MATURE
                ? context.rules().matureRootKillC()
                : context.rules().youngRootKillC();
        return context.species().frostHardyToC() <= low && rootKill <= low;
    }

    /** Looks in growth since the stage last rose; the ring itself counts as the first stage. */
    private int stalledLooks() {
        RootStage highest = RootStage.NONE;
        int stalled = 0;
        for (LayerState.LookOn look : state.looks()) {
            if (look.look().stage().ordinal() > highest.ordinal()) {
                highest = look.look().stage();
                stalled = 0;
            } else if (isGrowing(look.on())) {
                stalled++;
            }
        }
        return stalled;
    }

    private Set<AlsoDo> alsoDo(Cover cover, NextStep step) {
        Set<AlsoDo> all = EnumSet.noneOf(AlsoDo.class);
        addIf(all, AlsoDo.VENT, state.conditions().contains(Condition.WET));
        addIf(all, AlsoDo.TREAT_PESTS, state.conditions().contains(Condition.PESTS));
        addIf(all, AlsoDo.COVER, state.conditions().contains(Condition.ALGAE));
        addIf(all, AlsoDo.LOOSEN_TIE, state.conditions().contains(Condition.CONSTRICTED));
        addIf(all, AlsoDo.COVER_NOW, cover != Cover.FOIL && isTooHot(cover));
        addIf(all, AlsoDo.UPSIZE, isOutgrown(step));
        addIf(all, AlsoDo.PROP, !state.propped() && load.verdict() != BranchLoad.Verdict.FINE);
        return all;
    }

    private boolean isTooHot(Cover cover) {
        return context.sums().apply(cover).hottestC(today, today.plusDays(WEEK)) > CoverAdvice.HOT_BALL_C;
    }

    /** Roots fill a small ball, and it is to stay on the mother for long. */
    private boolean isOutgrown(NextStep step) {
        if (state.upsized() || !state.stage().isAtLeast(RootStage.FILLED) || ball.mediumMl() > SMALL_BALL_ML) {
            return false;
        }
        if (step == NextStep.HOLD_SPRING) {
            return true;
        }
        Optional<Integer> toFrost = context.climate().frosts().map(frosts -> frosts.daysToFrost(today));
        return step == NextStep.HOLD_DORMANT && toFrost.isPresent() && toFrost.get() > LONG_WAIT_DAYS;
    }

    private static void addIf(Set<AlsoDo> all, AlsoDo one, boolean needed) {
        if (needed) {
            all.add(one);
        }
    }
}
