package org.kindgirdle.server.mothers;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.problem.Within;

/**
 * A limb as it is read and written. Lengths are numbers in mm, or text with a unit.
 *
 * @param id null for a new one
 * @param motherId that it grows on
 * @param name by which it is found on the plant
 * @param diameterMm where a ring would go
 * @param leanDeg from upright
 * @param lengthMm from its tip to where it joins
 * @param nodes on it
 * @param leaves or buds on it
 * @param toBePruned whether it would come off anyway
 * @param shootBelow whether the mother keeps a live leafy shoot below it
 * @param measuredOn when its measures were typed in last; read only
 * @param goneOn since when it is off the mother; null while it stands
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STANDARD_AND_STAGED)
public record LimbView(
        @Nullable Long id,
        @NotNull @Within(low = 1, high = 1e12) Long motherId,
        @NotBlank @Size(max = 40) String name,

        @NotNull @Within(low = 1, high = 200, unit = "mm") Double diameterMm,

        @NotNull Wood wood,

        @NotNull @Within(low = 0, high = 180, unit = "degrees")
        Double leanDeg,

        @NotNull @Within(low = 50, high = 20_000, unit = "mm")
        Double lengthMm,

        @NotNull @Within(low = 0, high = 1000) Integer nodes,
        @NotNull @Within(low = 0, high = 5000) Integer leaves,
        @NotNull Boolean toBePruned,
        @NotNull Boolean shootBelow,
        @NotNull @Size(max = 500) String note,
        @Nullable LocalDate measuredOn,
        @Nullable LocalDate goneOn,
        @NotNull @Within(low = 0, high = 1e9) Long version) {

    /** The same under another identity and on another mother. */
    LimbView with(@Nullable Long otherId, long mother) {
        return LimbViewBuilder.builder(this).id(otherId).motherId(mother).build();
    }

    /** Whether it is on the mother. */
    public boolean stands() {
        return goneOn == null;
    }
}
