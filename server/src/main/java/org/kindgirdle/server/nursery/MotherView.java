package org.kindgirdle.server.nursery;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.server.problem.Within;

/**
 * A mother as it is read and written.
 *
 * @param id null for a new one
 * @param code the nursery's own, on its tag
 * @param leafyShoots live leafy shoots on it
 */
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
        @NotNull Boolean sick,
        @NotNull Rights rights,
        @NotNull @Within(low = 0, high = 10_000) Integer leafyShoots,
        @NotNull @Size(max = 500) String note,
        @NotNull @Within(low = 0, high = 1e9) Long version) {}
