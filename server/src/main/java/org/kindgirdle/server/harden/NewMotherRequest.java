package org.kindgirdle.server.harden;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.server.problem.Within;

/**
 * A plant becomes a mother.
 *
 * @param code of its own, for its tag
 * @param reason where it fails the test for release; may be empty else
 */
record NewMotherRequest(
        @NotBlank
        @Size(max = 20)
        @Pattern(regexp = "[\\p{L}\\p{N} ._/-]+", message = "may hold letters, digits, space and . _ / -")
        String code,

        @NotNull @Within(low = 1, high = 1e12) Long placeId,
        @NotNull RootRun rootRun,
        @NotNull @Within(low = 0, high = 10_000) Integer leafyShoots,
        @NotNull @Size(max = 1000) String reason) {}
