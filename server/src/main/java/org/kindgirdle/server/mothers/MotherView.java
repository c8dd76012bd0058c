package org.kindgirdle.server.mothers;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.server.problem.Within;

/**
 * A mother as it is read and written.
 *
 * @param id null for a new one
 * @param code the nursery's own, on its tag
 * @param plantedYear null if nobody knows
 * @param toBeCutDown after its layers are off: more of it may stand under rings
 * @param permission of the holder of the rights, where it is protected
 * @param leafyShoots live leafy shoots on it
 * @param retiredOn since when it is no longer used; read only
 * @param mergedInto the record that it was merged into; read only
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STANDARD_AND_STAGED)
public record MotherView(
        @Nullable Long id,

        @NotBlank
        @Size(max = 20)
        @Pattern(regexp = "[\\p{L}\\p{N} ._/-]+", message = "may hold letters, digits, space and . _ / -")
        String code,

        @NotBlank @Size(max = 12) String speciesCode,
        @NotNull @Size(max = 60) String variety,
        @NotNull @Within(low = 1, high = 1e12) Long placeId,
        @NotNull RootRun rootRun,
        @NotNull Vigour vigour,
        @Nullable @Within(low = 1500, high = 2200) Integer plantedYear,
        @NotNull Boolean sick,
        @NotNull Boolean toBeCutDown,
        @NotNull Rights rights,
        @NotNull @Size(max = 200) String permission,
        @NotNull @Within(low = 0, high = 10_000) Integer leafyShoots,
        @NotNull @Size(max = 500) String note,
        @Nullable LocalDate retiredOn,
        @Nullable Long mergedInto,
        @NotNull @Within(low = 0, high = 1e9) Long version) {

    /** One that is not here yet, as most are when nobody has said more of them. */
    public static MotherViewBuilder fresh(String code, String speciesCode, String variety, long placeId) {
        return MotherViewBuilder.builder()
                .code(code)
                .speciesCode(speciesCode)
                .variety(variety)
                .placeId(placeId)
                .rootRun(RootRun.GROUND)
                .vigour(Vigour.NORMAL)
                .sick(false)
                .toBeCutDown(false)
                .rights(Rights.FREE)
                .permission("")
                .leafyShoots(0)
                .note("")
                .version(0L);
    }

    /** The same under another identity. */
    MotherView withId(@Nullable Long other) {
        return MotherViewBuilder.builder(this).id(other).build();
    }

    /** Whether it is used as a mother. */
    public boolean inUse() {
        return retiredOn == null;
    }
}
