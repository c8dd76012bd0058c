package org.kindgirdle.core.set;

import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** What holds the ball. */
public enum Wrap {
    SEALED_FILM,
    TIED_FILM,
    SLIT_BAG,
    VENTED_BAG,
    FOIL_ONLY,
    HINGED_POD,
    SPLIT_POT,
    /** none: soil over a pinned limb */
    IN_GROUND,
    /** none: pots or trays under a closed tent */
    IN_TENT;

    private final Rule loss;

    Wrap() {
        this.loss = Rule.of("wrap." + name() + ".loss");
    }

    /** Whether film is cut for it from a roll. */
    public boolean isFilm() {
        return this == TIED_FILM || this == SEALED_FILM;
    }

    /** Whether one is needed for each ball, rather than a length off a roll. */
    public boolean isContainer() {
        return this == SLIT_BAG || this == VENTED_BAG || this == HINGED_POD || this == SPLIT_POT;
    }

    /** Whether it is tied on, above and below. */
    public boolean isTied() {
        return this != SPLIT_POT && this != IN_GROUND && this != IN_TENT;
    }

    /** Its loss of water, g a day for each square decimetre and kPa. */
    public double lossGDm2Kpa(HouseRules rules) {
        return rules.of(loss);
    }
}
