package org.kindgirdle.core.growth;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * How far a look may lie from the truth.
 *
 * @param layerSpread how layers differ in when their first signs show, as a spread of the logarithm, above 0 to 1
 * @param eyeSpread how unsure the eye is between two stages, likewise, above 0 to 1
 * @param slip chance that a stage is named one too high or too low, 0 to 0.5
 */
public record LookNoise(double layerSpread, double eyeSpread, double slip) {

    private static final Rule LAYER_SPREAD = Rule.of("look.layer-spread");
    private static final Rule EYE_SPREAD = Rule.of("look.eye-spread");
    private static final Rule SLIP = Rule.of("look.slip");

    /**
     * @throws OutOfRangeException if layer spread is outside 0 to 1, eye spread is outside 0 to 1 or slip is outside 0
     *     to .5
     */
    public LookNoise {
        Require.positive("layer spread", layerSpread);
        Require.within("layer spread", layerSpread, 0, 1);
        Require.positive("eye spread", eyeSpread);
        Require.within("eye spread", eyeSpread, 0, 1);
        Require.within("slip", slip, 0, .5);
    }

    /** The figures of the house. */
    public static LookNoise of(HouseRules rules) {
        return new LookNoise(rules.of(LAYER_SPREAD), rules.of(EYE_SPREAD), rules.of(SLIP));
    }
}
