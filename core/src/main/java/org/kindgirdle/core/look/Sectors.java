package org.kindgirdle.core.look;

import java.util.Collections;
import java.util.List;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Roots in the eight sectors round the stem, clockwise from the mark: 0 none, 1 one or two, 2 several, 3 dense.
 *
 * @param densities eight of them
 */
public record Sectors(List<Integer> densities) {

    /** How many sectors the ball is divided into. */
    public static final int COUNT = 8;

    private static final int DEGREES = 360 / COUNT;

    /**
     * @throws OutOfRangeException if sectors is outside 0 to 3
     * @throws MissingValueException if there are no sectors
     * @throws IllegalArgumentException if there are not eight
     */
    public Sectors {
        for (Integer density : densities) {
            Require.within("sectors", Require.present("sectors", density), 0, 3);
        }
        densities = List.copyOf(densities);
        if (densities.size() != COUNT) {
            throw new IllegalArgumentException("there are " + densities.size() + " sectors; it must be " + COUNT);
        }
    }

    /** No root anywhere. */
    public static Sectors empty() {
        return new Sectors(Collections.nCopies(COUNT, 0));
    }

    /** Share of the sectors with at least one root, 0 to 1. */
    public double coverage() {
        return densities.stream().filter(density -> density > 0).count() / (double) COUNT;
    }

    /** The longest run of empty sectors round the stem, in degrees. */
    public int widestGapDeg() {
        int longest = 0;
        int run = 0;
        for (int i = 0; i < 2 * COUNT; i++) {
            run = densities.get(i % COUNT) == 0 ? run + 1 : 0;
            longest = Math.max(longest, run);
        }
        return Math.min(COUNT, longest) * DEGREES;
    }
}
