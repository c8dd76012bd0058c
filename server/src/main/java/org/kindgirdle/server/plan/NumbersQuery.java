package org.kindgirdle.server.plan;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.problem.Within;

/**
 * Plants that are wanted.
 *
 * @param variety of the mothers; any if it is left out or empty
 * @param wanted how many, released
 * @param by when
 * @param confidence with which there shall be as many
 * @param wood that is layered; one or two years old if it is not said
 * @param diameterMm of the branches
 */
public record NumbersQuery(
        @NotNull Long placeId,
        @NotNull Long recipeId,
        @NotBlank String speciesCode,
        @Nullable @Size(max = 60) String variety,
        @NotNull @Within(low = 1, high = 10_000) Integer wanted,
        @NotNull LocalDate by,
        @NotNull @Within(low = 0.5, high = 0.99) Double confidence,
        @Nullable Wood wood,
        @Nullable @Within(low = 1, high = 200, unit = "mm") Double diameterMm) {

    private static final double USUAL_MM = 15;

    boolean isOf(String one) {
        return variety == null || variety.isBlank() || variety.equals(one);
    }

    Wood woodOrUsual() {
        return wood == null ? Wood.ONE_TWO : wood;
    }

    double diameterOrUsualMm() {
        return diameterMm == null ? USUAL_MM : diameterMm;
    }
}
