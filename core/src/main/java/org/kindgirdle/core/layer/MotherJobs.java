package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.NextLook;
import org.kindgirdle.core.look.NextStep;

/** The jobs of a layer on its mother, each with the days between which it is to be done. */
final class MotherJobs {

    private static final Rule MAY_WAIT_DAYS = Rule.of("job.may-wait");
    private static final Rule SEVER_WAIT_DAYS = Rule.of("job.sever-wait");
    private static final Rule LOOK_SLACK_DAYS = Rule.of("look.slack");
    private static final Rule TOP_UP_AHEAD_DAYS = Rule.of("job.top-up-ahead");
    private static final Rule NEAR_DAYS = Rule.of("next.near-frost");
    private static final Rule ESTABLISH_DAYS = Rule.of("next.establish");
    private static final Rule FIRST_LOOK_P = Rule.of("next.first-look");

    private static final Rule DECISION_HOLDS_DAYS = Rule.of("job.decision-holds");

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

    List<Job> of(NextStep decided, Set<AlsoDo> alsoDo) {
        List<Job> jobs = new ArrayList<>();
        Job step = step(decided);
        jobs.add(step);
        // what is to be done before the cold comes must not keep a layer unseen and dry till then
        boolean later = step.from().isAfter(today) && !step.code().equals(Job.LOOK);
        if (later) {
            jobs.add(look());
        }
        LocalDate cutOn = state.cutPlannedOn();
        if (cutOn != null && !decided.isSevering()) {
            jobs.add(new Job(Job.SEVER, cutOn, cutOn));
        }
        for (AlsoDo also : alsoDo) {
            int wait = also == AlsoDo.COVER_NOW ? 0 : days(MAY_WAIT_DAYS);
            LocalDate from = also == AlsoDo.COVER_NOW ? today : since();
            jobs.add(new Job(also.name(), from, from.plusDays(wait)));
        }
        // a wet ball is left to drain; a ball that is wetted, wrapped or cut anyway needs no visit for water
        if (context.recipe().method().hasMedium()
                && !alsoDo.contains(AlsoDo.VENT)
                && (later || step.code().equals(Job.LOOK))
                && !state.cleanedOut()) {
            jobs.add(new Job(Job.TOP_UP, forecast.topUpOn().minusDays(days(TOP_UP_AHEAD_DAYS)), forecast.topUpOn()));
        }
        return jobs;
    }

    private Job step(NextStep step) {
        LocalDate cutOn = state.cutPlannedOn();
        // what is off its mother already can't wait for a day
        if (cutOn != null && step.isSevering() && step != NextStep.RESCUE) {
            return new Job(step.name(), cutOn, cutOn);
        }
        return switch (step) {
            case WAIT, HOLD_FRUIT, HOLD_SPRING, HOLD_DORMANT -> look();
            case CARRY_OVER, PROTECT -> decided(step) ? look() : new Job(step.name(), coldFrom(), coldBy());
            case LOOK_NOW -> {
                LocalDate due = heat.dayReaching(
                                forecast.ready().quantile(context.rules().of(FIRST_LOOK_P)))
                        .orElse(today);
                yield new Job(Job.LOOK, due, due);
            }
            case RESCUE, REWET, REWRAP, RELIEVE -> within(step, 0);
            case LOST, CLEAN_OUT, CUT_BRIDGE, SEVER_SOON, SEVER_TO_COVER, RERING, ABANDON, RESCORE, GAMBLE ->
                within(step, days(MAY_WAIT_DAYS));
            case SEVER_NOW, SEVER_DORMANT -> {
                LocalDate found = since();
                yield new Job(step.name(), found, severBy(found));
            }
        };
    }

    private Job within(NextStep step, int days) {
        LocalDate found = since();
        return new Job(step.name(), found, found.plusDays(days));
    }

    /** The day from which it has been so: of the last record, or of what time alone made of the step since. */
    private LocalDate since() {
        return ComingSteps.changed(state, context, today)
                .map(ComingSteps.ChangedStep::on)
                .orElse(state.lastOn());
    }

    private boolean decided(NextStep step) {
        LayerState.WorkOn decision = state.lastDecision();
        return decision != null
                && decision.work().name().equals(step.name())
                && decision.on().isAfter(today.minusDays(days(DECISION_HOLDS_DAYS)));
    }

    private Job look() {
        LocalDate last = state.looks().isEmpty()
                ? state.ringedOn()
                : state.looks().get(state.looks().size() - 1).on();
        NextLook next = NextLook.after(
                context.rules(),
                last,
                state.stage(),
                heat.coverNow().isSeenThrough(),
                growing,
                forecast.ready(),
                heat::dayReaching);
        // what was not looked at in the cold is due when growth begins again, not in the middle of the winter
        LocalDate since = growing && next.by().isBefore(today) ? growsSince(last) : last;
        return since.isAfter(next.from())
                ? new Job(Job.LOOK, since, since.plusDays(days(LOOK_SLACK_DAYS)))
                : new Job(Job.LOOK, next.from(), next.by());
    }

    /** The first day of the growth that lasts today, or a day if it has lasted longer. */
    private LocalDate growsSince(LocalDate day) {
        LocalDate since = today;
        while (since.isAfter(day)
                && Phenology.isGrowing(context.rules(), context.climate(), context.species(), since.minusDays(1))) {
            since = since.minusDays(1);
        }
        return since;
    }

    private int days(Rule rule) {
        return context.rules().count(rule);
    }

    private LocalDate severBy(LocalDate found) {
        LocalDate latest = found.plusDays(days(SEVER_WAIT_DAYS));
        LocalDate room = context.climate()
                .frosts()
                .map(frosts -> frosts.nextFirstEarly(found).minusDays(days(ESTABLISH_DAYS)))
                .orElse(latest);
        return room.isBefore(latest) && !room.isBefore(found) ? room : latest;
    }

    private LocalDate coldFrom() {
        return context.climate()
                .frosts()
                .filter(frosts -> !frosts.isFrostSeason(today))
                .map(frosts -> frosts.nextFirstEarly(today).minusDays(days(NEAR_DAYS)))
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
