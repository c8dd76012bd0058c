package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextLook;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.set.Watering;
import org.kindgirdle.core.verdict.Verdict;

/**
 * The jobs of a layer on its mother, each with the days between which it is to be done. Water and looks go on whatever
 * the step is: a step takes their place only where it does the same work.
 */
final class MotherJobs {

    private static final Rule MAY_WAIT_DAYS = Rule.of("job.may-wait");
    private static final Rule SEVER_WAIT_DAYS = Rule.of("job.sever-wait");
    private static final Rule SEVER_SOON_DAYS = Rule.of("job.sever-soon");
    private static final Rule LOOK_SLACK_DAYS = Rule.of("look.slack");
    private static final Rule TOP_UP_AHEAD_DAYS = Rule.of("job.top-up-ahead");
    private static final Rule FIRST_LOOK_P = Rule.of("next.first-look");
    private static final Rule PROTECT_DAYS = Rule.of("next.protect-days");
    private static final Rule DECISION_AHEAD_DAYS = Rule.of("job.decision-ahead");

    /** How far ahead a frost of the forecast counts, days. */
    private static final int FORECAST_DAYS = 14;

    /** Where no good time comes a limb is looked at after so many days, days. */
    private static final int LONGEST_UNSEEN_DAYS = 90;

    private final LayerState state;
    private final LayerContext context;
    private final LocalDate today;
    private final LayerSums sums;
    private final boolean growing;

    MotherJobs(LayerState state, LayerContext context, LocalDate today, LayerSums sums) {
        this.state = state;
        this.context = context;
        this.today = today;
        this.sums = sums;
        this.growing = context.seasons().isGrowing(today);
    }

    List<Job> of(Verdict<NextStep, NextStepRules> verdict, Set<AlsoDo> alsoDo) {
        NextStep step = verdict.step();
        List<Job> jobs = new ArrayList<>();
        Job work = work(verdict);
        if (work != null) {
            jobs.add(work);
        }
        if (!endsCare(step, work) && !state.letGo()) {
            Job look = freed(beforeTheKill(look(verdict)), step);
            boolean opensAnyway = step == NextStep.CLEAN_OUT || step == NextStep.RERING;
            if (!opensAnyway && isBefore(look, work, step)) {
                jobs.add(look);
            }
            Job topUp = freed(topUp(), step);
            if (isWatered(alsoDo) && !waters(step) && isBefore(topUp, work, step)) {
                jobs.add(topUp);
            }
        }
        LocalDate cutOn = state.cutPlannedOn();
        if (cutOn != null && !step.isSevering()) {
            jobs.add(new Job(Job.SEVER, cutOn, cutOn));
        }
        for (AlsoDo also : alsoDo) {
            int wait = also == AlsoDo.COVER_NOW ? 0 : days(MAY_WAIT_DAYS);
            LocalDate from = switch (also) {
                case COVER_NOW -> today;
                // asked for by the step
                case UPSIZE -> outgrownSince(step);
                case SOAK -> since();
                default -> state.newsOn();
            };
            jobs.add(new Job(also.name(), from, from.plusDays(wait)));
        }
        return jobs;
    }

    /** What is over for a layer needs no care any more; nor does one that is taken in now. */
    private static boolean endsCare(NextStep step, @Nullable Job work) {
        return work != null
                && switch (step) {
                    case LOST, RESCUE, ABANDON, NEXT_SEASON -> true;
                    default -> false;
                };
    }

    /** A severing ends care, but not before its day. */
    private boolean isBefore(Job care, @Nullable Job work, NextStep step) {
        return !step.isSevering()
                || work == null
                || work.from().isAfter(today) && care.by().isBefore(work.from());
    }

    /** Care that fell due while the plant was about to be cut off is due from the day on which it no longer is. */
    private Job freed(Job care, NextStep step) {
        if (step.isSevering() || !care.by().isBefore(today)) {
            return care;
        }
        return ComingSteps.changed(state, sums, today)
                .filter(changed -> changed.before().isSevering())
                .map(changed -> care.notBefore(changed.on()))
                .orElse(care);
    }

    /** Steps after which the ball is wet through. */
    private static boolean waters(NextStep step) {
        return switch (step) {
            case REWET, REWRAP, RERING, RESCORE -> true;
            default -> false;
        };
    }

    /** Whether there is a ball that dries; a wet one is left to drain. */
    private boolean isWatered(Set<AlsoDo> alsoDo) {
        return context.recipe().method().hasMedium()
                && context.wrappedBy(state).watering() != Watering.NEVER
                && !alsoDo.contains(AlsoDo.VENT)
                && !state.cleanedOut()
                && !state.conditions().contains(Condition.MEDIUM_LOST);
    }

    private Job topUp() {
        LocalDate due = sums.topUpOn(today);
        LocalDate from = due.minusDays(days(TOP_UP_AHEAD_DAYS));
        LocalDate first =
                sums.isLeftFrozen(today) ? later(from, context.seasons().thaw(today)) : from;
        return new Job(Job.TOP_UP, earlier(first, due), due);
    }

    /** The work of the step itself; null where it is to wait, to look, or has been done. */
    private @Nullable Job work(Verdict<NextStep, NextStepRules> verdict) {
        NextStep step = verdict.step();
        LocalDate cutOn = state.cutPlannedOn();
        // what is off its mother already can't wait for a day
        if (cutOn != null && step.isSevering() && step != NextStep.RESCUE) {
            return new Job(step.name(), cutOn, cutOn);
        }
        return switch (step) {
            case WAIT, LOOK_NOW, CARRY_OVER, HOLD_FRUIT, HOLD_SPRING, HOLD_DORMANT -> null;
            case PROTECT -> protect();
            case NEXT_SEASON -> state.letGo() ? ringsAgain() : within(step, days(MAY_WAIT_DAYS));
            case REWET -> {
                LocalDate found = since();
                LocalDate thawed = growing ? found : context.seasons().thaw(later(found, today));
                yield growing || !thawed.isAfter(today)
                        ? new Job(step.name(), found, found)
                        : new Job(step.name(), thawed, thawed);
            }
            case RESCUE, REWRAP, RELIEVE -> within(step, 0);
            case SEVER_SOON, SEVER_TO_COVER -> within(step, days(SEVER_SOON_DAYS));
            case SEVER_NOW, SEVER_DORMANT -> within(step, days(SEVER_WAIT_DAYS));
            case LOST, CLEAN_OUT, CUT_BRIDGE, RERING, ABANDON, RESCORE, GAMBLE -> within(step, days(MAY_WAIT_DAYS));
        };
    }

    /** From when it has been so, for some days; never past the last day on which it still is so. */
    private Job within(NextStep step, int days) {
        LocalDate found = since();
        LocalDate by = step.isSevering() ? beforeHardFrost(found.plusDays(days)) : found.plusDays(days);
        while (by.isAfter(today) && sums.step(by) != step) {
            by = by.minusDays(1);
        }
        return new Job(step.name(), found, by);
    }

    /** Nobody cuts in hard frost what can be cut before it. */
    private LocalDate beforeHardFrost(LocalDate by) {
        double kills = context.rootKillC(state.stage());
        if (context.seasons().isHardFrost(today, kills)) {
            return by;
        }
        return context.seasons()
                .nextHardFrost(today, kills)
                .map(first -> later(today, first.minusDays(1)))
                .filter(by::isAfter)
                .orElse(by);
    }

    /** The day from which it has been so: of the last news, or of what time alone made of the step since. */
    private LocalDate since() {
        return ComingSteps.changed(state, sums, today)
                .map(ComingSteps.ChangedStep::on)
                .orElse(state.newsOn());
    }

    /** From when it has been known that a full ball stays on for long. */
    private LocalDate outgrownSince(NextStep step) {
        LocalDate asked = since();
        if (step != NextStep.HOLD_DORMANT) {
            return asked;
        }
        LocalDate since = today;
        while (since.isAfter(asked) && sums.isFrostFar(since.minusDays(1))) {
            since = since.minusDays(1);
        }
        return since;
    }

    /** A limb that heals is not forgotten: it is to be ringed again in the next good time. */
    private Job ringsAgain() {
        return sums.windows()
                .nextGood(today)
                .map(good -> new Job(NextStep.RERING.name(), good, good.plusDays(days(MAY_WAIT_DAYS))))
                .orElseGet(() -> new Job(
                        Job.LOOK,
                        state.newsOn().plusDays(LONGEST_UNSEEN_DAYS),
                        state.newsOn().plusDays(LONGEST_UNSEEN_DAYS + days(MAY_WAIT_DAYS))));
    }

    /** Frost protection is hung in the last week before frost is to be reckoned with, or on the eve of a forecast one. */
    private @Nullable Job protect() {
        String code = NextStep.PROTECT.name();
        FrostCalendar frosts = context.climate().frosts().orElse(null);
        if (frosts == null) {
            return isDone(NextStep.PROTECT, today) ? null : within(NextStep.PROTECT, days(MAY_WAIT_DAYS));
        }
        boolean season = frosts.isFrostSeason(today);
        LocalDate first = season ? frosts.lastFirstEarly(today) : frosts.nextFirstEarly(today);
        if (isDone(NextStep.PROTECT, first)) {
            return null;
        }
        if (season) {
            // looks that fell due meanwhile do not make it newer
            boolean wantedThen = !state.newsOn().isAfter(first) && sums.step(first) == NextStep.PROTECT;
            LocalDate due = wantedThen ? first : later(first, since());
            return new Job(code, due, due);
        }
        LocalDate by = forecastFrost().filter(eve -> eve.isBefore(first)).orElse(first);
        if (by.isBefore(first) && isDone(NextStep.PROTECT, by)) {
            // it hangs already, and stays on until no frost is forecast any more
            return null;
        }
        // a warm week in between, and nothing is to be protected any more
        while (by.isAfter(today) && sums.step(by) == NextStep.WAIT) {
            by = by.minusDays(1);
        }
        return new Job(code, by.minusDays(days(PROTECT_DAYS)), by);
    }

    /** The eve of the first frost in the forecast. */
    private Optional<LocalDate> forecastFrost() {
        return context.climate().knownFrost(today.plusDays(1), FORECAST_DAYS).map(frost -> frost.minusDays(1));
    }

    /** Whether a step was recorded as done for the season that begins on a day. */
    private boolean isDone(NextStep step, LocalDate season) {
        LayerState.WorkOn decision = state.lastDecision();
        return decision != null
                && decision.work().name().equals(step.name())
                && decision.on().isAfter(season.minusDays(days(DECISION_AHEAD_DAYS)));
    }

    /**
     * What the winter kills on its mother is looked at once more before it does, while what has roots by then can still be
     * taken in.
     */
    private Job beforeTheKill(Job look) {
        boolean isYoung =
                state.stage().isAtLeast(RootStage.CALLUS) && !state.stage().isAtLeast(RootStage.FILLED);
        if (!isYoung || !context.coverAtHand()) {
            return look;
        }
        LocalDate last = sums.lastLook();
        LocalDate kills = sums.firstKill(last, today);
        if (kills == null || !kills.isAfter(today)) {
            return look;
        }
        LocalDate by = later(kills.minusDays(days(LOOK_SLACK_DAYS)), today.plusDays(1));
        LocalDate from = by.minusDays(days(LOOK_SLACK_DAYS));
        boolean wasSeen = !last.isBefore(from.minusDays(days(LOOK_SLACK_DAYS)));
        return wasSeen || !by.isBefore(look.by()) ? look : new Job(Job.LOOK, from, by);
    }

    private Job look(Verdict<NextStep, NextStepRules> verdict) {
        NextStep step = verdict.step();
        LocalDate last = sums.lastLook();
        boolean held = step == NextStep.HOLD_SPRING || step == NextStep.HOLD_DORMANT || step == NextStep.HOLD_FRUIT;
        NextLook next = sums.nextLook(growing, held || step == NextStep.WAIT);
        if (verdict.decidedBy() == NextStepRules.FIRST_LOOK_DUE) {
            LocalDate even = sums.heat()
                    .dayReaching(sums.ready().quantile(context.rules().of(FIRST_LOOK_P)))
                    .orElse(today);
            LocalDate begins = growsSince(last);
            LocalDate chance = earlier(even, next.by());
            // growth has only just begun again: there is time till the round after next
            LocalDate due =
                    chance.isBefore(begins) && begins.isAfter(last) ? begins.plusDays(days(LOOK_SLACK_DAYS)) : chance;
            return new Job(Job.LOOK, earlier(due, next.from()), due);
        }
        if (verdict.decidedBy() == NextStepRules.OLD_LOOK) {
            LocalDate asked = sums.overdueSince(today).orElseGet(this::since);
            LocalDate due = later(earlier(next.by(), asked.plusDays(days(LOOK_SLACK_DAYS))), asked);
            return new Job(Job.LOOK, earlier(next.from(), due), due);
        }
        // what was not looked at in the cold is due when growth begins again, not in the middle of the winter
        LocalDate since = growing && next.by().isBefore(today) ? growsSince(last) : last;
        return since.isAfter(next.from())
                ? new Job(Job.LOOK, since, since.plusDays(days(LOOK_SLACK_DAYS)))
                : new Job(Job.LOOK, next.from(), next.by());
    }

    /** The first day of the growth that lasts today, or a day if it has lasted longer. */
    private LocalDate growsSince(LocalDate day) {
        Seasons seasons = context.seasons();
        LocalDate since = today;
        while (since.isAfter(day) && seasons.isGrowing(since.minusDays(1))) {
            since = since.minusDays(1);
        }
        return since;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private int days(Rule rule) {
        return context.rules().count(rule);
    }
}
