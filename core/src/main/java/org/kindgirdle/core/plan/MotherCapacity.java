package org.kindgirdle.core.plan;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * How many of a mother's leafy shoots may stand under rings at once: a third, for the rest must feed its roots; half on
 * a plant that is to be cut down anyway. A planning default of the trade.
 *
 * @param leafyShoots on the whole plant, 0 to 100 000
 * @param underRings of them, 0 to 100 000
 * @param toBeCutDown after the layers are off
 * @param rules the figures of the house
 */
public record MotherCapacity(int leafyShoots, int underRings, boolean toBeCutDown, HouseRules rules) {

    private static final int MAX = 100_000;
    private static final Rule PARTS_GROWING = Rule.of("mother.parts-growing");
    private static final Rule PARTS_CUT_DOWN = Rule.of("mother.parts-cut-down");

    /** @throws OutOfRangeException if leafyShoots is outside 0 to 100 000 or underRings is outside 0 to 100 000 */
    public MotherCapacity {
        Require.within("leafyShoots", leafyShoots, 0, MAX);
        Require.within("underRings", underRings, 0, MAX);
    }

    /** The most shoots that may stand under rings at once. */
    public int most() {
        return leafyShoots / rules.count(toBeCutDown ? PARTS_CUT_DOWN : PARTS_GROWING);
    }

    /** How many more may be ringed; 0 where there are enough or too many. */
    public int room() {
        return Math.max(0, most() - underRings);
    }

    /** Whether more shoots stand under rings than the mother can spare. */
    public boolean isExceeded() {
        return underRings > most();
    }
}
