package org.kindgirdle.core.plan;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Minutes of work that a number of layers take from the ring to the pot, by the house's own minutes.
 *
 * @param set at the bench
 * @param looks in all
 * @param topUps in all
 * @param sever with potting, of those that root
 */
public record Effort(double set, double looks, double topUps, double sever) {

    private static final Rule SET_RING = Rule.of("minutes.set-ring");
    private static final Rule SET_BAG = Rule.of("minutes.set-bag");
    private static final Rule LOOK = Rule.of("minutes.look");
    private static final Rule TOP_UP = Rule.of("minutes.top-up");
    private static final Rule SEVER = Rule.of("minutes.sever");

    private static final int MAX_LAYERS = 1_000_000;
    private static final int MAX_VISITS = 1000;

    /**
     * @param layers to be set, 0 to 1 000 000
     * @param intoBags whether each is set unwounded into a ready-filled bag
     * @param looksEach 0 to 1000
     * @param topUpsEach 0 to 1000
     * @param rooting share of them that is expected to root, 0 to 1
     * @throws OutOfRangeException if layers is outside 0 to 1 000 000, looksEach is outside 0 to 1000, topUpsEach is
     *     outside 0 to 1000 or rooting is outside 0 to 1
     */
    public static Effort of(
            HouseRules rules, int layers, boolean intoBags, double looksEach, double topUpsEach, double rooting) {
        Require.within("layers", layers, 0, MAX_LAYERS);
        Require.within("looksEach", looksEach, 0, MAX_VISITS);
        Require.within("topUpsEach", topUpsEach, 0, MAX_VISITS);
        Require.within("rooting", rooting, 0, 1);
        return new Effort(
                layers * minutesToSet(rules, intoBags),
                layers * looksEach * rules.of(LOOK),
                layers * topUpsEach * rules.of(TOP_UP),
                layers * rooting * rules.of(SEVER));
    }

    /** Minutes to set one layer. */
    public static double minutesToSet(HouseRules rules, boolean intoBag) {
        return rules.of(intoBag ? SET_BAG : SET_RING);
    }

    /** All of it, minutes. */
    public double minutes() {
        return set + looks + topUps + sever;
    }
}
