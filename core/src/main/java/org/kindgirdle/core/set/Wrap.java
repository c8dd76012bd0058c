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
    SPLIT_POT;

    private final Rule loss;

    Wrap() {
        this.loss = Rule.of("wrap." + name() + ".loss");
    }

    /** Its loss of water, g a day for each square decimetre and kPa. */
    public double lossGDm2Kpa(HouseRules rules) {
        return rules.of(loss);
    }
}
