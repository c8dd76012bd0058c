package org.kindgirdle.server.plan;

import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.problem.Within;

/**
 * For what a season is looked at.
 *
 * @param year 0 for the growing year that today lies in, 1 for the next, -1 for the last
 * @param school null for the recipe's own
 * @param wood that is layered
 */
record SeasonQuery(
        @NotNull Long placeId,
        @NotNull Long recipeId,
        @Nullable @Within(low = -1, high = 1) Integer year,
        @Nullable School school,
        @Nullable Wood wood) {

    int yearOrThis() {
        return year == null ? 0 : year;
    }

    Wood woodOrUsual() {
        return wood == null ? Wood.ONE_TWO : wood;
    }
}
