package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.Seasons;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.set.Method;

/** Looks at everything that one layer's grower is told, from day to day, for what must never happen. */
final class Watch {

    private static final int FLIP_DAYS = 14;
    private static final int AGAIN_DAYS = 7;
    private static final int LONGEST_HOLD_DAYS = 330;
    private static final int RELEASE_DAYS = 28;
    private static final int FORECAST_DAYS = 8;

    /** What says the opposite of one another. */
    private static final List<Set<String>> OPPOSITES = List.of(
            Set.of(AlsoDo.VENT.name(), Job.TOP_UP),
            Set.of(AlsoDo.VENT.name(), NextStep.REWET.name()),
            Set.of(AlsoDo.VENT.name(), AlsoDo.SOAK.name()),
            Set.of(AlsoDo.COVER.name(), AlsoDo.COVER_NOW.name()),
            Set.of(Job.TOP_UP, NextStep.REWET.name()),
            Set.of(Job.TOP_UP, AlsoDo.SOAK.name()),
            Set.of(NextStep.SEVER_NOW.name(), AlsoDo.UPSIZE.name()),
            Set.of(PlantStep.STEP_UP.name(), PlantStep.STEP_BACK.name()));

    private static final Set<String> COMES_FIRST = Set.of(
            NextStep.LOOK_NOW.name(),
            NextStep.ABANDON.name(),
            NextStep.NEXT_SEASON.name(),
            NextStep.RERING.name(),
            NextStep.GAMBLE.name());

    private final Beginning begun;
    private final List<Case> cases;
    private final @Nullable List<String> told;
    private final Map<String, LocalDate> doneOn = new HashMap<>();
    private final DateJumps jumps = new DateJumps();
    private @Nullable LayerProjection before;
    private @Nullable LayerContext context;
    private LocalDate today = LocalDate.MIN;
    private int facts;
    private @Nullable String step;
    private @Nullable String stepBefore;
    private LocalDate changedOn = LocalDate.MIN;
    private @Nullable LocalDate heldSince;

    /** @param told receives the story; null if nobody listens */
    Watch(Beginning begun, List<Case> cases, @Nullable List<String> told) {
        this.begun = begun;
        this.cases = cases;
        this.told = told;
    }

    /** As the day begins, before anything is done. */
    void dawn(LayerProjection now, LayerContext known, int records, LocalDate day) {
        today = day;
        context = known;
        if (now.decision() == null || now.jobs().isEmpty()) {
            add(Never.NO_STEP_OR_NO_CARE, "step " + name(now) + ", jobs " + now.jobs());
        }
        contradictions(now);
        dates(now);
        flips(now, records);
        again(now);
        holds(now);
        frosts(now);
        newJobs(now);
        if (told != null && (before == null || !name(now).equals(name(before)))) {
            tell(day + "  -> " + name(now) + why(now) + jobs(now));
        }
        before = now;
        facts = records;
    }

    /** When the day's work is done. */
    void dusk(@Nullable LayerProjection now, int records) {
        if (now == null) {
            return;
        }
        if (records > facts) {
            newJobs(now);
            if (told != null) {
                tell("            -> " + name(now) + why(now) + jobs(now));
            }
        }
        before = now;
        if (records > facts) {
            step = null;
            stepBefore = null;
        }
        facts = records;
    }

    /** A job was done. */
    void done(Job job, LocalDate day, LayerRecord what) {
        if (!(what instanceof LayerRecord.CutPlanned)) {
            doneOn.put(job.code(), day);
        }
        if (what instanceof LayerRecord.Looked || what instanceof LayerRecord.Observed) {
            doneOn.clear();
        }
        LayerContext known = context;
        if (what instanceof LayerRecord.Severed && known != null && before != null) {
            double kill = known.rootKillC(before.state().stage());
            Seasons seasons = known.seasons();
            // what dies out there is taken in under cover when it is found; but nobody waits with it till then
            boolean foundInIt =
                    job.code().equals(NextStep.SEVER_TO_COVER.name()) && seasons.isHardFrost(job.from(), kill);
            boolean off = job.code().equals(NextStep.RESCUE.name());
            if (seasons.isHardFrost(day, kill) && !foundInIt && !off) {
                add(Never.CUT_IN_HARD_FROST, job.toString());
            }
        }
        boolean water = what instanceof LayerRecord.ToppedUp;
        if (water
                && known != null
                && known.climate().on(day).minC() < 0
                && !known.seasons().isGrowing(day)) {
            add(Never.WATER_IN_FROST, job.toString());
        }
    }

    /** A record was written; and how it really is. */
    void story(LocalDate day, LayerRecord what, String truth) {
        if (told != null) {
            tell(day + "  " + what + "  [" + truth + "]");
        }
    }

    private void tell(String line) {
        if (told != null) {
            told.add(line);
        }
    }

    private static String why(LayerProjection now) {
        return now.decision() == null ? "" : " by " + now.decision().decidedBy();
    }

    private static String jobs(LayerProjection now) {
        return now.jobs().stream()
                .map(job -> job.code() + " " + job.from() + ".." + job.by())
                .collect(Collectors.joining(", ", "; ", ""));
    }

    private static String name(LayerProjection now) {
        return now.decision() == null ? "none" : String.valueOf(now.decision().step());
    }

    private void add(Never what, String words) {
        cases.add(new Case(what, begun.number(), begun.species().code(), today, words));
    }

    private void contradictions(LayerProjection now) {
        List<String> codes = now.jobs().stream().map(Job::code).toList();
        for (Set<String> pair : OPPOSITES) {
            if (codes.containsAll(pair)) {
                add(Never.CONTRADICTION, pair.toString());
            }
        }
        if (new HashSet<>(codes).size() < codes.size()) {
            add(Never.CONTRADICTION, "twice: " + codes);
        }
    }

    private void dates(LayerProjection now) {
        LayerContext known = context;
        if (known == null || now.decision() == null) {
            return;
        }
        boolean isNew = before == null || !now.jobs().equals(before.jobs());
        if (isNew && now.state().cutPlannedOn() == null) {
            now.jobs().stream()
                    .filter(job -> job.code().equals(name(now)) && job.by().isAfter(today))
                    // what is due before it will have been done by then
                    .filter(job -> now.jobs().stream()
                            .noneMatch(other -> !other.code().equals(job.code())
                                    && !other.by().isAfter(job.by())))
                    .forEach(job -> {
                        String then = name(Projector.project(now.state(), known, job.by()));
                        if (!isSameWork(name(now), then)) {
                            add(Never.DATE_PAST_ITS_CONDITION, job + " but then " + then);
                        }
                    });
        }
        if (before != null && now.state().phase() == LayerPhase.ON_MOTHER) {
            jumps.between(before, now, known, today).forEach(words -> add(Never.DATE_JUMPS, words));
        }
    }

    /**
     * Whether what is asked for is still to be done when another step is named: any cut is a cut, and the cold is as near
     * when it is time for another look, or for giving up, on top of it.
     */
    private static boolean isSameWork(String step, String then) {
        return step.equals(then)
                || isCut(step) && isCut(then)
                || step.equals(NextStep.PROTECT.name()) && COMES_FIRST.contains(then);
    }

    private static boolean isCut(String step) {
        return Arrays.stream(NextStep.values()).anyMatch(one -> one.name().equals(step) && one.isSevering());
    }

    private void flips(LayerProjection now, int records) {
        String is = name(now);
        if (records > facts || isKillingNight()) {
            step = null;
            stepBefore = null;
        }
        if (step != null && !step.equals(is)) {
            if (!isWeatherOfTheDay(now)
                    && !isMissed()
                    && is.equals(stepBefore)
                    && ChronoUnit.DAYS.between(changedOn, today) <= FLIP_DAYS) {
                add(Never.STEP_FLIPS, stepBefore + " to " + step + " and back" + why(now));
            }
            stepBefore = step;
            changedOn = today;
        }
        step = is;
    }

    /** What was asked for till yesterday, and was not done, is not taken back: its time is over, as was said. */
    private boolean isMissed() {
        return before != null
                && before.jobs().stream()
                        .anyMatch(job -> job.code().equals(step) && job.by().isBefore(today));
    }

    /** A night that kills young roots is news, be it written down or not. */
    private boolean isKillingNight() {
        LayerContext known = context;
        return known != null && known.climate().on(today.minusDays(1)).minC() <= known.rootKillC(RootStage.INITIALS);
    }

    /** A hot or a windy day puts off a move by a day or two, and says so: that day is what is new. */
    private boolean isWeatherOfTheDay(LayerProjection now) {
        return now.hardening() != null
                && Set.of(PlantStep.STAY.name(), PlantStep.STEP_UP.name())
                        .containsAll(Set.of(name(now), String.valueOf(step)));
    }

    private void again(LayerProjection now) {
        for (Job job : now.jobs()) {
            LocalDate done = doneOn.get(job.code());
            boolean care = job.code().equals(Job.LOOK)
                    || job.code().equals(Job.TOP_UP)
                    // each step up is another
                    || job.code().equals(PlantStep.STEP_UP.name());
            if (done != null
                    && !care
                    && !job.from().isAfter(today)
                    && done.isBefore(today)
                    && ChronoUnit.DAYS.between(done, today) <= AGAIN_DAYS) {
                add(Never.ASKED_AGAIN, job + ", done " + done);
                doneOn.remove(job.code());
            }
        }
    }

    private void holds(LayerProjection now) {
        boolean held = name(now).startsWith("HOLD");
        if (!held) {
            heldSince = null;
        } else if (heldSince == null) {
            heldSince = today;
        } else if (ChronoUnit.DAYS.between(heldSince, today) == LONGEST_HOLD_DAYS + 1) {
            add(Never.HOLD_WITHOUT_END, name(now) + " since " + heldSince);
        }
    }

    private void frosts(LayerProjection now) {
        LayerContext known = context;
        if (known == null) {
            return;
        }
        HardenVerdict hardening = now.hardening();
        if (hardening != null) {
            PlaceClimate open = known.openAir();
            FrostCalendar frosts = open.frosts().orElse(null);
            if (hardening.step() == PlantStep.STEP_UP
                    && hardening.to() == Rung.OPEN
                    && (frosts != null && frosts.isFrostSeason(today)
                            || open.knownFrost(today, FORECAST_DAYS).isPresent())) {
                add(Never.OUT_INTO_FROST, "to the open");
            }
            if (hardening.step() == PlantStep.RELEASE && frosts != null && frosts.daysToFrost(today) < RELEASE_DAYS) {
                add(Never.RELEASED_INTO_FROST, frosts.daysToFrost(today) + " days before");
            }
            return;
        }
        Seasons seasons = known.seasons();
        for (Job job : now.jobs()) {
            // a jar stands indoors
            if (job.code().equals(Job.TOP_UP)
                    && known.recipe().method() != Method.JAR
                    && !job.by().isBefore(today)
                    && known.climate().on(job.by()).minC() < 0
                    && !seasons.isGrowing(job.by())) {
                add(
                        Never.WATER_IN_FROST,
                        job + " " + known.climate().on(job.by()) + " "
                                + known.recipe().method());
            }
        }
    }

    private void newJobs(LayerProjection now) {
        Set<String> known = before == null
                ? Set.of()
                : before.jobs().stream().map(Job::code).collect(Collectors.toSet());
        // whoever is behind with one job finds the next one late as well
        boolean isBehind = before != null
                && before.jobs().stream().anyMatch(job -> job.by().isBefore(today));
        for (Job job : now.jobs()) {
            if (!isBehind && !known.contains(job.code()) && job.by().isBefore(today)) {
                add(Never.JOB_IN_THE_PAST, job + " is new, step " + name(now));
            }
        }
    }
}
