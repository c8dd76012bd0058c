package org.kindgirdle.core.set;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A hormone that the house keeps.
 *
 * @param ppm of IBA, above 0 to 1 000 000
 * @param lot as it stands on the pack; empty if it has none
 * @param expiresOn the last day on which it is good; null if the pack gives none
 */
public record HouseHormone(
        String name,
        Form form,
        double ppm,
        String lot,
        @Nullable LocalDate expiresOn) {

    /** What it comes as. */
    public enum Form {
        POWDER,
        GEL,
        LIQUID
    }

    /**
     * @throws OutOfRangeException if ppm is outside 0 to 1 000 000
     * @throws MissingValueException if there is no name, form or lot
     */
    public HouseHormone {
        Require.present("name", name);
        Require.present("form", form);
        Require.positive("ppm", ppm);
        Require.within("ppm", ppm, 0, 1_000_000);
        Require.present("lot", lot);
    }

    /** Whether it is past its day. */
    public boolean isExpired(LocalDate on) {
        return expiresOn != null && expiresOn.isBefore(on);
    }
}
