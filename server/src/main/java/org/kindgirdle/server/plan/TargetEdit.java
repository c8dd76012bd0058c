package org.kindgirdle.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A target to be kept.
 *
 * @param name what it is for
 * @param countsFrom layers set from this day on count; today if it is left out
 */
public record TargetEdit(
        @NotBlank @Size(max = 80) String name,
        @NotNull @Valid NumbersQuery plants,
        @Nullable LocalDate countsFrom) {}
