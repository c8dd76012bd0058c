package org.kindgirdle.server.set;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.Work;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.BallAsWrapped;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.problem.Within;

/**
 * Layers to be set on one mother with one recipe, or to be reckoned before that.
 *
 * @param setOn today if left out
 * @param liveShootBelow whether the mother keeps a live leafy shoot below every ring; yes, if it is left out
 * @param hand who sets them, as the nursery calls them; whoever is signed in if it is left out
 * @param hormone the name of one of the house's
 * @param plannedId the planned batch that this is
 * @param relief what takes the load of the balls off their limbs; null if nothing does
 * @param reason why to go on in spite of warnings
 */
record SetRequest(
        @NotNull @Within(low = 1, high = 1e12) Long motherId,
        @NotNull @Within(low = 1, high = 1e12) Long recipeId,
        @Nullable LocalDate setOn,
        @Nullable @Size(max = 500) String reason,
        @Nullable Boolean liveShootBelow,
        @Nullable @Size(max = 60) String hand,
        @Nullable @Size(max = 60) String hormone,

        @Nullable @Within(low = 1, high = 1e12) Long plannedId,
        @Nullable Relief relief,

        @NotNull @Size(min = 1, max = 500, message = "must have {min} to {max} rows")
        List<@NotNull @Valid RowRequest> rows) {

    /** What holds up a limb that its balls would bend too far. */
    enum Relief {
        PROP(Work.PROP),
        REST_TIP(Work.REST_TIP);

        private final Work work;

        Relief(Work work) {
            this.work = work;
        }

        Work work() {
            return work;
        }
    }

    /** As it is kept for another day: that it is planned, for when and why, is said when it is set. */
    SetRequest planned() {
        return new SetRequest(motherId, recipeId, null, null, liveShootBelow, hand, hormone, null, relief, rows);
    }

    /**
     * One branch. Lengths are numbers in mm, or text with a unit.
     *
     * @param limbId the limb of the mother, if it is on record
     * @param trialSlotId the place of a trial that it stands for
     * @param ringMm width of the ring as it was cut; null if nobody measured it
     * @param wrapped the ball as it was wrapped; null for the one that is asked for
     * @param wood its age; null if nobody said
     * @param position on the limb; null if nobody said
     * @param leavesBeyond leaves or buds on the tip side of the ring; null if nobody counted
     * @param fromUnionMm from the ball to where the limb joins; null if nobody measured it
     * @param leanDeg of the limb from upright; null if nobody measured it
     * @param hollow whether its stem is hollow, or all pith; null if nobody said
     */
    record RowRequest(
            @Nullable Long limbId,
            @Nullable Long trialSlotId,

            @NotNull @Within(low = 1, high = 200, unit = "mm")
            Double diameterMm,

            @Nullable @Within(low = 1, high = 300, unit = "mm")
            Double ringMm,

            @Nullable @Valid BallAsWrapped wrapped,

            @Nullable Wood wood,
            @Nullable Position position,
            @Nullable @Within(low = 0, high = 5000) Integer leavesBeyond,

            @Nullable @Within(low = 0, high = 20_000, unit = "mm")
            Double fromUnionMm,

            @Nullable @Within(low = 0, high = 180, unit = "degrees")
            Double leanDeg,

            @Nullable Boolean hollow,

            @Nullable School school,
            @NotNull Boolean specimen,
            @NotNull Boolean fruitToKeep) {}
}
