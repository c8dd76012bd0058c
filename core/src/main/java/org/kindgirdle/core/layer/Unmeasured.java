package org.kindgirdle.core.layer;

import org.kindgirdle.core.house.Rule;

/** Figures of a layer that a sum needs and that nobody may have measured: it is then told as what each was taken. */
public enum Unmeasured {
    /** width of the ring: taken as the one that was asked for */
    RING,
    /** age of the wood: taken as the ideal one */
    WOOD,
    /** where on the limb: nothing is taken for it */
    POSITION,
    /** leaves beyond the ring */
    LEAVES,
    /** from the ball to where the limb joins */
    FROM_UNION,
    /** lean of the limb from upright */
    LEAN,
    /** where round the stem roots are: nothing is taken for it */
    SECTORS,
    /** how much of the ball is rooted: taken by the stage */
    FILL;

    static final Rule TAKEN_LEAVES = Rule.of("taken.leaves");

    /** mm */
    static final Rule TAKEN_FROM_UNION = Rule.of("taken.from-union");

    /** degrees */
    static final Rule TAKEN_LEAN = Rule.of("taken.lean");
}
