package org.kindgirdle.core.set;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * The ball as it was wrapped, where it is not the one that the branch asks for: of any shape, a bag or pod by its volume.
 *
 * @param lengthMm along the limb, 10 to 1000 mm; null if nobody measured it
 * @param acrossMm at its widest, 5 to 1000 mm; null if nobody measured it
 * @param volumeMl of medium, 1 to 100 000 mL; null if nobody measured it
 * @param tie what holds it; null if nobody said
 */
public record BallAsWrapped(
        @Nullable Double lengthMm,
        @Nullable Double acrossMm,
        @Nullable Double volumeMl,
        @Nullable Tie tie) {

    private static final double MIN_LENGTH_MM = 10;
    private static final double MIN_ACROSS_MM = 5;
    private static final double MAX_MM = 1000;
    private static final double MIN_ML = 1;
    private static final double MAX_ML = 100_000;

    /**
     * @throws OutOfRangeException if lengthMm is outside 10 to 1000, acrossMm is outside 5 to 1000 or volumeMl is outside 1
     *     to 100 000
     */
    public BallAsWrapped {
        if (lengthMm != null) {
            Require.within("lengthMm", lengthMm, MIN_LENGTH_MM, MAX_MM);
        }
        if (acrossMm != null) {
            Require.within("acrossMm", acrossMm, MIN_ACROSS_MM, MAX_MM);
        }
        if (volumeMl != null) {
            Require.within("volumeMl", volumeMl, MIN_ML, MAX_ML);
        }
    }

    /** Whether anything of its size was measured. */
    public boolean isMeasured() {
        return lengthMm != null || acrossMm != null || volumeMl != null;
    }

    /**
     * Refuses a ball that is thinner than its limb.
     *
     * @param diameterMm of the limb, mm
     * @throws OutOfRangeException if acrossMm is below the diameter
     */
    public void checkAround(double diameterMm) {
        if (acrossMm != null) {
            Require.within("acrossMm", acrossMm, diameterMm, MAX_MM);
        }
    }
}
