package org.kindgirdle.server.species;

import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.server.problem.Within;

/**
 * A species as it is read and written.
 *
 * @param profile in force
 * @param origin of the profile; read only
 * @param profileNumber its number; an edit makes the next
 */
public record SpeciesView(
        @NotNull SpeciesProfile profile,
        @Nullable Origin origin,
        @NotNull @Within(low = 0, high = 1e6) Integer profileNumber,
        @NotNull @Within(low = 0, high = 1e9) Long version) {

    /** Where a profile comes from. */
    public enum Origin {
        SHIPPED,
        /** shipped once, and changed by the nursery */
        CHANGED,
        /** the nursery's own */
        ADDED
    }

    static SpeciesView of(SpeciesProfile profile, int profileNumber, long version) {
        SpeciesProfile shipped = ShippedSpecies.profile(profile.code());
        Origin origin = shipped == null ? Origin.ADDED : shipped.equals(profile) ? Origin.SHIPPED : Origin.CHANGED;
        return new SpeciesView(profile, origin, profileNumber, version);
    }

    /** The same with another profile. */
    public SpeciesView with(SpeciesProfile other) {
        return of(other, profileNumber, version);
    }
}
