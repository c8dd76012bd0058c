package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * Where the upper cut and the ball lie on the limb, all lengths in mm.
 *
 * @param fromNodeLeastMm and {@code fromNodeMostMm}: the upper cut below the node or fork that it goes by; both 0 where
 *     it goes by none
 * @param aboveMm ball on the tip side of the upper cut
 * @param belowMm ball on the base side of the lower cut
 */
public record RingPlacement(double fromNodeLeastMm, double fromNodeMostMm, double aboveMm, double belowMm) {

    private static final Rule NODE_LEAST_MM = Rule.of("position.from-node-least");
    private static final Rule NODE_MOST_MM = Rule.of("position.from-node-most");

    /** Where growers put the ball, the common way first. Its length is the same for all. */
    public enum BallOver {
        /** most of it over the upper cut, where the roots come */
        UPPER_CUT,
        /** as much above the ring as below it */
        CENTRED,
        /** the other way round, so that water runs down to the roots */
        MOSTLY_BELOW
    }

    /** Where both lie by the figures of the house. */
    public static RingPlacement of(HouseRules rules, Position position, BallOver ballOver) {
        boolean byNode = position == Position.BELOW_NODE || position == Position.AT_FORK;
        double beyondRing = RingAndBall.aboveMm(rules) + RingAndBall.belowMm(rules);
        double above = switch (ballOver) {
            case UPPER_CUT -> RingAndBall.aboveMm(rules);
            case CENTRED -> beyondRing / 2;
            case MOSTLY_BELOW -> RingAndBall.belowMm(rules);
        };
        return new RingPlacement(
                byNode ? rules.of(NODE_LEAST_MM) : 0, byNode ? rules.of(NODE_MOST_MM) : 0, above, beyondRing - above);
    }
}
