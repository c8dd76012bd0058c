package org.kindgirdle.core.sever;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** Where a severed layer goes first. */
public enum Shelter {
    OPEN_SUN,
    OPEN_SHADE,
    TUNNEL_SHADE,
    MIST_TENT;

    private final Rule draw;

    Shelter() {
        this.draw = Rule.of("shelter." + name() + ".draw");
    }

    /** What its leaves lose there, as a factor against open shade. */
    public double draw(HouseRules rules) {
        return rules.of(draw);
    }
}
