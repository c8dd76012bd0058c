package org.kindgirdle.server.look;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.kindgirdle.server.layers.LayerChanges;

/**
 * A day's walk.
 *
 * @param now the nursery's clock, for records that a device makes before it can send them
 * @param takenAt the clock that records are stamped with
 * @param on the day that is walked
 * @param roundDay whether it is one
 * @param nextRoundOn the next round day after today
 * @param jobs how many there are, though no more than 500 are listed
 * @param minutes estimated for all of them
 * @param overMinutes by how much that is more than a round may take
 * @param later layers whose job can wait beyond this day
 * @param laterIsLeast whether there may be more of them: beyond the days ahead no more than a thousand are counted
 * @param ahead the days that follow
 * @param leaves of which somebody on the walk should look whether they have come or fallen
 * @param doneToday what was recorded today, by anyone, the newest first
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STAGED)
record RoundView(
        LocalDate today,
        Instant now,
        Instant takenAt,
        LocalDate on,
        boolean roundDay,
        LocalDate nextRoundOn,
        int jobs,
        double minutes,
        int roundMinutes,
        double overMinutes,
        long later,
        boolean laterIsLeast,
        List<PlaceJobs> places,
        List<DayAhead> ahead,
        List<LeafSeasons.LeafSeason> leaves,
        List<LayerChanges.LayerChange> doneToday) {

    record PlaceJobs(long placeId, String place, List<JobOnRound> jobs) {}

    /** @param jobs how many */
    record DayAhead(LocalDate on, boolean roundDay, int jobs, double minutes) {}

    /**
     * @param by the last day it may wait to
     * @param daysLate past that day; 0 if it is not
     * @param alsoDo words for what is to be done beside
     */
    record JobOnRound(
            String code,
            String species,
            String variety,
            String mother,
            String job,
            String label,
            LocalDate by,
            long daysLate,
            List<String> alsoDo) {}
}
