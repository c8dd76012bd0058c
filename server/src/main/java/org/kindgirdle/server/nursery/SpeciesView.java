package org.kindgirdle.server.nursery;

import jakarta.validation.constraints.NotNull;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.server.problem.Within;

/**
 * A species as it is read and written.
 *
 * @param profile in force
 * @param profileNumber its number; an edit makes the next
 */
public record SpeciesView(
        @NotNull SpeciesProfile profile,
        @NotNull @Within(low = 0, high = 1e6) Integer profileNumber,
        @NotNull @Within(low = 0, high = 1e9) Long version) {}
