package org.kindgirdle.core.layer;

import java.time.LocalDate;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.PlantState;

/** When the next step of a young plant falls due. */
final class PlantJobs {

    /** A plant that only has to stand is looked at once a week. */
    private static final int WATCH_DAYS = 7;

    /** A step up or a release may wait for the next round. */
    private static final int MAY_WAIT_DAYS = 4;

    private PlantJobs() {}

    static Job of(HardenVerdict verdict, PlantState plant, LocalDate today) {
        String code = verdict.step().name();
        return switch (verdict.step()) {
            case POT_UP, STEP_BACK -> new Job(code, verdict.from(), verdict.from());
            case OPEN_AND_LOOK -> new Job(code, today, today);
            case STEP_UP, RELEASE, HOLD_UNDER_COVER ->
                new Job(code, verdict.from(), verdict.from().plusDays(MAY_WAIT_DAYS));
            case STAY, STAY_DORMANT -> {
                LocalDate seen = plant.seen().isEmpty()
                        ? plant.rungSince()
                        : plant.seen().get(plant.seen().size() - 1).on();
                LocalDate since = seen.isAfter(plant.rungSince()) ? seen : plant.rungSince();
                yield new Job(Job.LOOK, since.plusDays(WATCH_DAYS), since.plusDays(2L * WATCH_DAYS));
            }
        };
    }
}
