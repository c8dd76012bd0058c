package org.kindgirdle.server.mothers;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.kindgirdle.server.problem.Within;

/** What can be done to a mother beside an edit; each keeps its reason. */
final class MotherChanges {

    private MotherChanges() {}

    /** No longer used as a mother; what stands on it stays and is looked after. */
    record Retirement(
            @NotNull LocalDate on,
            @NotBlank @Size(max = 500) String reason,
            @NotNull @Within(low = 0, high = 1e9) Long version) {}

    /** Used again. */
    record Return(
            @NotBlank @Size(max = 500) String reason,
            @NotNull @Within(low = 0, high = 1e9) Long version) {}

    /** It is of another species or variety than its tag said, and so is all that was taken from it. */
    record Relabelling(
            @NotBlank @Size(max = 12) String speciesCode,
            @NotNull @Size(max = 60) String variety,
            @NotBlank @Size(max = 500) String reason,
            @NotNull @Within(low = 0, high = 1e9) Long version) {}

    /** @param into the record of the same plant that stays */
    record Merger(
            @NotNull @Within(low = 1, high = 1e12) Long into,
            @NotBlank @Size(max = 500) String reason,
            @NotNull @Within(low = 0, high = 1e9) Long version) {}
}
