package org.kindgirdle.core.set;

/** What is done to the bark. */
public enum Wound {
    RING_SCRAPED,
    RING_UNSCRAPED,
    RING_AND_TOURNIQUET,
    TOURNIQUET,
    BARK_SCRAPED,
    LEAF_STRIPPED,
    UNWOUNDED;

    /** Whether a band of bark is taken off. */
    public boolean isRing() {
        return this == RING_SCRAPED || this == RING_UNSCRAPED || this == RING_AND_TOURNIQUET;
    }

    public double speed(Wood wood, boolean preformedRoots) {
        return switch (this) {
            case RING_SCRAPED, RING_AND_TOURNIQUET -> 1;
            case RING_UNSCRAPED -> .8;
            case TOURNIQUET -> .75;
            case BARK_SCRAPED -> .7;
            case LEAF_STRIPPED, UNWOUNDED -> preformedRoots ? .9 : wood == Wood.SOFT ? .8 : .4;
        };
    }

    public double odds(Wood wood, boolean preformedRoots) {
        return switch (this) {
            case RING_SCRAPED -> 1;
            case RING_UNSCRAPED -> .45;
            case RING_AND_TOURNIQUET -> 1.5;
            case TOURNIQUET -> .5;
            case BARK_SCRAPED -> .4;
            case LEAF_STRIPPED, UNWOUNDED -> preformedRoots ? .8 : wood == Wood.SOFT ? .5 : .08;
        };
    }
}
