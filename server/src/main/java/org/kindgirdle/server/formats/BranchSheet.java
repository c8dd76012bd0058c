package org.kindgirdle.server.formats;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.RingAndBall;

/**
 * A branch as it is to be cut and wrapped. Lengths in mm.
 *
 * @param title what it is
 * @param remarks below it
 * @param ringMm 0 where nothing is cut
 * @param aboveMm ball on the tip side of the upper cut; {@code belowMm} on the base side of the lower
 * @param nodeAboveMm from the upper cut up to the node or fork, negative if it lies below; null if it goes by none
 * @param tied whether it is tied on above and below
 * @param cover in words; empty for none
 * @param prop whether it is to be propped
 * @param inches whether it is read in inches
 */
public record BranchSheet(
        String title,
        List<String> remarks,
        RingAndBall ball,
        double ringMm,
        double aboveMm,
        double belowMm,
        @Nullable Double nodeAboveMm,
        boolean tied,
        String cover,
        boolean prop,
        boolean inches) {

    public BranchSheet {
        remarks = List.copyOf(remarks);
    }
}
