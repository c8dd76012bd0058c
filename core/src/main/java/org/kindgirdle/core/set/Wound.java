package org.kindgirdle.core.set;

import java.util.Set;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** What is done to the bark. */
public enum Wound {
    RING_SCRAPED,
    RING_UNSCRAPED,
    RING_AND_TOURNIQUET,
    TOURNIQUET,
    BARK_SCRAPED,
    LEAF_STRIPPED,
    UNWOUNDED;

    private static final Factor PREFORMED = new Factor("unwounded.PREFORMED");
    private static final Factor SOFT = new Factor("unwounded.SOFT");
    private static final Factor WOODY = new Factor("unwounded.WOODY");

    /** Those that take a band of bark off. */
    public static final Set<Wound> RINGS = Set.of(RING_SCRAPED, RING_UNSCRAPED, RING_AND_TOURNIQUET);

    /** Whether a band of bark is taken off. */
    public boolean isRing() {
        return this == RING_SCRAPED || this == RING_UNSCRAPED || this == RING_AND_TOURNIQUET;
    }

    /** Whether the bark is cut off and the wood under it scraped clean, so that it bridges less. */
    public boolean isScraped() {
        return this == RING_SCRAPED || this == RING_AND_TOURNIQUET;
    }

    /** What it does to the speed of rooting, as a factor; without a wound it depends on the wood and the species. */
    public double speed(HouseRules rules, Wood wood, boolean preformedRoots) {
        return rules.of(factor(wood, preformedRoots).speed);
    }

    /** What it does to the odds of rooting, as a factor; without a wound it depends on the wood and the species. */
    public double odds(HouseRules rules, Wood wood, boolean preformedRoots) {
        return rules.of(factor(wood, preformedRoots).odds);
    }

    private Factor factor(Wood wood, boolean preformedRoots) {
        return switch (this) {
            case LEAF_STRIPPED, UNWOUNDED -> preformedRoots ? PREFORMED : wood == Wood.SOFT ? SOFT : WOODY;
            default -> Factor.OF_WOUNDS[ordinal()];
        };
    }

    private static final class Factor {

        private static final Factor[] OF_WOUNDS = {
            new Factor("wound.RING_SCRAPED"),
            new Factor("wound.RING_UNSCRAPED"),
            new Factor("wound.RING_AND_TOURNIQUET"),
            new Factor("wound.TOURNIQUET"),
            new Factor("wound.BARK_SCRAPED")
        };

        private final Rule speed;
        private final Rule odds;

        Factor(String code) {
            this.speed = Rule.of(code + ".speed");
            this.odds = Rule.of(code + ".odds");
        }
    }
}
