package org.kindgirdle.server.recipes;

import io.soabase.recordbuilder.core.RecordBuilder;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.problem.Within;

/**
 * A house recipe as it is read and written.
 *
 * @param id null for a new one
 * @param recipe in force
 * @param number its number; an edit makes the next
 */
@RecordBuilder
public record RecipeView(
        @Nullable Long id,
        @NotBlank @Size(max = 60) String name,
        @NotNull School school,
        @NotNull Recipe recipe,
        @NotNull @Within(low = 0, high = 1e6) Integer number,
        @NotNull @Within(low = 0, high = 1e9) Long version) {}
