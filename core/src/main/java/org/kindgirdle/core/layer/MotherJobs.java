package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.NextLook;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.Verdict;

/** The jobs of a layer on its mother, each with the days between which it is to be done. */
final class MotherJobs {

    /** What is not urgent may wait this long after it was found, days. */
    private static final int MAY_WAIT_DAYS = 7;

    /** A ball that is full may wait this long for its knife, days, if frost leaves the time. */
    private static final int SEVER_WAIT_DAYS = 14;

    /** Frost is near below this many days. */
    private static final int NEAR_DAYS = 30;

    private final LayerState state;
    private final LayerContext context;
    private final LocalDate today;
    private final HeatTrack heat;
    private final LayerProjection.RootForecast forecast;
    private final boolean growing;

    MotherJobs(
            LayerState state,
            LayerContext context,
            LocalDate today,
            HeatTrack heat,
            LayerProjection.RootForecast forecast,
            boolean growing) {
        this.state = state;
        this.context = context;
        this.today = today;
        this.heat = heat;
        this.forecast = forecast;
        this.growing = growing;
    }

    List<Job> of(Verdict verdict, Set<AlsoDo> alsoDo) {
        List<Job> jobs = new ArrayList<>();
        Job step = step(verdict.step());
        jobs.add(step);
        for (AlsoDo also : alsoDo) {
            int wait = also == AlsoDo.COVER_NOW ? 0 : MAY_WAIT_DAYS;
            LocalDate from = also == AlsoDo.COVER_NOW ? today : state.lastOn();
            jobs.add(new Job(also.name(), from, from.plusDays(wait)));
        }
        // a wet ball is left to drain; a ball that is wetted, wrapped or cut anyway needs no visit for water
        if (!alsoDo.contains(AlsoDo.VENT) && step.code().equals(Job.LOOK) && !state.cleanedOut()) {
            jobs.add(new Job(Job.TOP_UP, forecast.topUpOn().minusDays(2), forecast.topUpOn()));
        }
        return jobs;
    }

    private Job step(NextStep step) {
        LocalDate found = state.lastOn();
        return switch (step) {
            case WAIT, HOLD_FRUIT, HOLD_SPRING, HOLD_DORMANT -> look();
            case CARRY_OVER, PROTECT -> decided(step) ? look() : new Job(step.name(), coldFrom(), coldBy());
            case LOOK_NOW -> {
                LocalDate due = heat.dayReaching(forecast.ready().quantile(.5)).orElse(today);
                yield new Job(Job.LOOK, due, due);
            }
            case RESCUE, REWET, REWRAP, RELIEVE -> new Job(step.name(), found, found);
            case LOST, CLEAN_OUT, CUT_BRIDGE, SEVER_SOON, SEVER_TO_COVER, RERING, ABANDON, RESCORE, GAMBLE ->
                new Job(step.name(), found, found.plusDays(MAY_WAIT_DAYS));
            case SEVER_NOW, SEVER_DORMANT -> new Job(step.name(), found, severBy(found));
        };
    }

    private boolean decided(NextStep step) {
        LayerState.WorkOn decision = state.lastDecision();
        return decision != null
                && decision.work().name().equals(step.name())
                && decision.on().isAfter(today.minusDays(NextLook.DORMANT_DAYS * 4L));
    }

    private Job look() {
        LocalDate last = state.looks().isEmpty()
                ? state.ringedOn()
                : state.looks().get(state.looks().size() - 1).on();
        NextLook next = NextLook.after(
                last, state.stage(), heat.coverNow().isSeenThrough(), growing, forecast.ready(), heat::dayReaching);
        return new Job(Job.LOOK, next.from(), next.by());
    }

    private LocalDate severBy(LocalDate found) {
        LocalDate latest = found.plusDays(SEVER_WAIT_DAYS);
        LocalDate room = context.climate()
                .frosts()
                .map(frosts ->
                        frosts.nextFirstEarly(found).minusDays(context.rules().establishDays()))
                .orElse(latest);
        return room.isBefore(latest) && !room.isBefore(found) ? room : latest;
    }

    private LocalDate coldFrom() {
        return context.climate()
                .frosts()
                .filter(frosts -> !frosts.isFrostSeason(today))
                .map(frosts -> frosts.nextFirstEarly(today).minusDays(NEAR_DAYS))
                .orElse(today);
    }

    private LocalDate coldBy() {
        return context.climate()
                .frosts()
                .filter(frosts -> !frosts.isFrostSeason(today))
                .map((FrostCalendar frosts) -> frosts.nextFirstEarly(today))
                .orElse(today);
    }
}
