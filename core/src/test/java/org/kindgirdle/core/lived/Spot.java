package org.kindgirdle.core.lived;

import org.kindgirdle.core.truth.Air;

/** A place of the nursery. */
enum Spot {
    FIELD(0, 0, 1),
    TUNNEL(2.5, 5, .1),
    /** kept free of frost */
    HOUSE(4, 2, 0);

    private static final double FROST_FREE_C = 3;

    final double nightsWarmerC;
    final double daysWarmerC;
    private final double windShare;

    Spot(double nightsWarmerC, double daysWarmerC, double windShare) {
        this.nightsWarmerC = nightsWarmerC;
        this.daysWarmerC = daysWarmerC;
        this.windShare = windShare;
    }

    /** The number under which records name it. */
    long id() {
        return ordinal() + 1L;
    }

    static Spot of(long id) {
        return values()[(int) id - 1];
    }

    /** What the weather outside is in here. */
    Air air(Air outside) {
        if (this == FIELD) {
            return outside;
        }
        Air in = outside.shifted(nightsWarmerC, daysWarmerC, windShare);
        if (this != HOUSE || in.minC() >= FROST_FREE_C) {
            return in;
        }
        return new Air(FROST_FREE_C, Math.max(in.maxC(), FROST_FREE_C + 2), 0, 0, in.dryness());
    }
}
