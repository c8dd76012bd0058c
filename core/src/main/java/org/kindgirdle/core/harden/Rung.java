package org.kindgirdle.core.harden;

import java.util.Optional;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** The steps from a closed tent to the open. */
public enum Rung {
    /** closed */
    TENT,
    SHADE,
    HALF,
    LIGHT,
    OPEN;

    private final Rule shade;

    Rung() {
        this.shade = Rule.of("rung." + name() + ".shade");
    }

    /** Shade of the cloth over it, percent. */
    public double shadePercent(HouseRules rules) {
        return rules.of(shade);
    }

    /** The next lighter rung; empty in the open. */
    public Optional<Rung> up() {
        return this == OPEN ? Optional.empty() : Optional.of(values()[ordinal() + 1]);
    }

    /** The rung with more shade; empty in the tent. */
    public Optional<Rung> down() {
        return this == TENT ? Optional.empty() : Optional.of(values()[ordinal() - 1]);
    }
}
