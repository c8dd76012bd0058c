package org.kindgirdle.server.places;

import io.soabase.recordbuilder.core.RecordBuilder;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.site.FrostsView;

/**
 * A place as it is read and written.
 *
 * @param id null for a new one
 * @param walkingOrder its turn on the round
 * @param minShiftC added to the site's minimum, C
 * @param maxShiftC added to the site's maximum, C
 * @param vpdFactor what it makes of the site's vapour pressure deficit
 * @param frosts SITE for the site's, NONE for none, OWN for those in {@code ownFrosts}
 * @param winterLowC the lowest night that one winter in ten brings here
 * @param stand what wind it gets
 */
@RecordBuilder
public record PlaceView(
        @Nullable Long id,
        @NotBlank @Size(max = 60) String name,
        @NotNull @Within(low = 0, high = 999) Integer walkingOrder,
        @NotNull Exposure exposure,
        @NotNull @Within(low = -15, high = 25, unit = "C") Double minShiftC,
        @NotNull @Within(low = -15, high = 25, unit = "C") Double maxShiftC,
        @NotNull @Within(low = 0.05, high = 5) Double vpdFactor,
        @NotNull PlaceFrosts frosts,
        @Valid @Nullable FrostsView ownFrosts,
        @NotNull @Within(low = -70, high = 40, unit = "C") Double winterLowC,
        @NotNull Stability.Stand stand,
        @NotNull @Within(low = 0, high = 1e9) Long version) {

    /** Outside all places: the site as it is. Its winter low is not asked for there. */
    public static PlaceView openAir() {
        return new PlaceView(
                null, "-", 0, Exposure.FULL, 0.0, 0.0, 1.0, PlaceFrosts.SITE, null, 0.0, Stability.Stand.OPEN, 0L);
    }

    /** Whether it never freezes here, so that it is cover for what would die outside. */
    public boolean frostFree() {
        return frosts == PlaceFrosts.NONE;
    }
}
