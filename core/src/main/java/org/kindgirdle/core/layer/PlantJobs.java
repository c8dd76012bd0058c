package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.Optional;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** When the next step of a young plant falls due. */
final class PlantJobs {

    private static final Rule WATCH_DAYS = Rule.of("job.plant-watch");
    private static final Rule MAY_WAIT_DAYS = Rule.of("job.plant-may-wait");

    private static final Rule MOTHER_MAY_WAIT_DAYS = Rule.of("job.stub-may-wait");

    private PlantJobs() {}

    /** What the mother of a severed layer is still owed; empty if nothing. */
    static Optional<Job> forMother(HouseRules rules, LayerState state, PlantState plant) {
        LocalDate from = plant.severedOn();
        return state.stubTidied()
                ? Optional.empty()
                : Optional.of(new Job(Job.TIDY_STUB, from, from.plusDays(rules.count(MOTHER_MAY_WAIT_DAYS))));
    }

    static Job of(HouseRules rules, HardenVerdict verdict, PlantState plant, LocalDate today) {
        String code = verdict.step().name();
        return switch (verdict.step()) {
            case POT_UP, STEP_BACK -> new Job(code, verdict.from(), verdict.from());
            case OPEN_AND_LOOK -> new Job(code, today, today);
            case POT_ON, STEP_UP, RELEASE, HOLD_UNDER_COVER ->
                new Job(code, verdict.from(), verdict.from().plusDays(rules.count(MAY_WAIT_DAYS)));
            case STAY, STAY_DORMANT -> {
                LocalDate seen = plant.seen().isEmpty()
                        ? plant.rungSince()
                        : plant.seen().get(plant.seen().size() - 1).on();
                LocalDate since = seen.isAfter(plant.rungSince()) ? seen : plant.rungSince();
                int watch = rules.count(WATCH_DAYS);
                yield new Job(Job.LOOK, since.plusDays(watch), since.plusDays(2L * watch));
            }
        };
    }
}
