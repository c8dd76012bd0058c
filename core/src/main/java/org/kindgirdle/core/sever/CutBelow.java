package org.kindgirdle.core.sever;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * How far below its ball a layer is cut off: near enough that little bare wood is potted, far enough that the blade
 * meets no root.
 *
 * @param fromMm the nearest, mm
 * @param toMm the farthest, mm
 */
public record CutBelow(double fromMm, double toMm) {

    private static final Rule FROM = Rule.of("sever.below-from");
    private static final Rule TO = Rule.of("sever.below-to");

    public static CutBelow of(HouseRules rules) {
        double from = rules.of(FROM);
        return new CutBelow(from, Math.max(from, rules.of(TO)));
    }
}
