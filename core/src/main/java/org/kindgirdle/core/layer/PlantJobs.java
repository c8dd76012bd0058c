package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.kindgirdle.core.harden.HardenRule;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** When the next step of a young plant falls due. */
final class PlantJobs {

    /** Days after planting on which droop is looked for. */
    private static final int[] LOOKS_IN_GROUND = {1, 3, 7};

    private static final Rule WATCH_DAYS = Rule.of("job.plant-watch");
    private static final Rule DOUBT_DAYS = Rule.of("job.plant-doubt");
    private static final Rule MAY_WAIT_DAYS = Rule.of("job.plant-may-wait");

    private static final Rule MOTHER_MAY_WAIT_DAYS = Rule.of("job.stub-may-wait");

    /** What stands in the way of a move on a day, and may not on the next. */
    private static final Set<HardenRule> OF_THE_DAY =
            EnumSet.of(HardenRule.COOL_DAY, HardenRule.CALM_AIR, HardenRule.FREE_OF_FROST);

    /** What has been left undone for longer is late enough. */
    private static final int LONGEST_DAYS = 60;

    private PlantJobs() {}

    /** What the mother of a severed layer is still owed; empty if nothing. */
    static Optional<Job> forMother(HouseRules rules, LayerState state, PlantState plant) {
        LocalDate from = plant.severedOn();
        return state.stubTidied()
                ? Optional.empty()
                : Optional.of(new Job(Job.TIDY_STUB, from, from.plusDays(rules.count(MOTHER_MAY_WAIT_DAYS))));
    }

    /** The day on which what may be done now could first be done without a break: heat, wind and frost come between. */
    private static LocalDate since(HardenVerdict verdict, LocalDate today, Function<LocalDate, PlantStep> stepOn) {
        LocalDate earliest = verdict.from().isAfter(today) ? today : verdict.from();
        LocalDate since = today;
        while (since.isAfter(earliest)
                && since.isAfter(today.minusDays(LONGEST_DAYS))
                && stepOn.apply(since.minusDays(1)) == verdict.step()) {
            since = since.minusDays(1);
        }
        return since;
    }

    /** What heat, wind or frost will forbid in some days is to be done before them. */
    private static LocalDate lastFit(
            PlantStep step, LocalDate latest, LocalDate today, Function<LocalDate, PlantStep> stepOn) {
        if (!latest.isAfter(today)) {
            return latest;
        }
        LocalDate last = today;
        while (last.isBefore(latest) && stepOn.apply(last.plusDays(1)) == step) {
            last = last.plusDays(1);
        }
        return last;
    }

    private static Job look(HouseRules rules, PlantStep step, PlantState plant, LocalDate today) {
        LocalDate seen = plant.seen().isEmpty()
                ? plant.rungSince()
                : plant.seen().get(plant.seen().size() - 1).on();
        if (plant.ladder() == Ladder.GROUND && plant.rung() != Rung.OPEN) {
            return afterPlanting(plant.rungSince(), seen, today);
        }
        LocalDate since = seen.isAfter(plant.rungSince()) ? seen : plant.rungSince();
        boolean sleeps = step == PlantStep.STAY_DORMANT;
        if (!sleeps && isInDoubt(plant)) {
            return new Job(Job.LOOK, since.plusDays(1), since.plusDays(rules.count(DOUBT_DAYS)));
        }
        int watch = rules.count(WATCH_DAYS);
        // what is asleep draws nothing, and may wait
        int mayWait = sleeps ? watch : rules.count(MAY_WAIT_DAYS);
        return new Job(Job.LOOK, since.plusDays(watch), since.plusDays((long) watch + mayWait));
    }

    /** Nobody has seen yet whether its roots carry its leaves, or they did not when it was seen last. */
    private static boolean isInDoubt(PlantState plant) {
        return plant.seen().isEmpty()
                || plant.showsNow(PlantSign.DROOP)
                || plant.showsNow(PlantSign.CURL)
                || plant.showsNow(PlantSign.LEAF_DROP);
    }

    private static boolean stays(PlantStep step) {
        return step == PlantStep.STAY || step == PlantStep.STAY_DORMANT;
    }

    /** What was planted into the ground is looked at for droop on set days after it; then as others are. */
    private static Job afterPlanting(LocalDate planted, LocalDate seen, LocalDate today) {
        for (int days : LOOKS_IN_GROUND) {
            LocalDate day = planted.plusDays(days);
            if (seen.isBefore(day)) {
                return new Job(Job.LOOK, day, day);
            }
        }
        LocalDate next = (seen.isAfter(planted) ? seen : planted).plusDays(LOOKS_IN_GROUND[LOOKS_IN_GROUND.length - 1]);
        return new Job(Job.LOOK, next, next.isBefore(today) ? next : next.plusDays(2));
    }

    /** @param stepOn what was to be done on another day, by what is known of the plant today */
    static Job of(
            HouseRules rules,
            HardenVerdict verdict,
            PlantState plant,
            LocalDate today,
            Function<LocalDate, PlantStep> stepOn) {
        String code = verdict.step().name();
        return switch (verdict.step()) {
            case POT_UP, STEP_BACK, OPEN_AND_LOOK -> new Job(code, verdict.from(), verdict.from());
            case POT_ON, STEP_UP, RELEASE, HOLD_UNDER_COVER -> {
                LocalDate from = since(verdict, today, stepOn);
                LocalDate by = lastFit(verdict.step(), from.plusDays(rules.count(MAY_WAIT_DAYS)), today, stepOn);
                // which of those days looked fit beforehand nobody knows, and no plant suffers from a longer stay
                boolean weather = verdict.step() == PlantStep.STEP_UP && by.isBefore(today);
                yield new Job(code, from, weather ? today : by);
            }
            case STAY, STAY_DORMANT -> {
                Job look = look(rules, verdict.step(), plant, today);
                // what was to be moved instead, or would be but for the weather of these days, is not late with its
                // look
                boolean weather = !verdict.lacking().isEmpty() && OF_THE_DAY.containsAll(verdict.lacking());
                boolean excused = look.by().isBefore(today) && (weather || !stays(stepOn.apply(look.by())));
                yield excused ? new Job(Job.LOOK, look.from(), today) : look;
            }
        };
    }
}
