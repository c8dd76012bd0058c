package org.kindgirdle.core.set;

import org.kindgirdle.core.units.Require;

/** How a strength of hormone compares with the useful band of IBA for this difficulty and wood. */
public enum HormoneFit {
    IN_BAND(1, 1),
    BELOW(.85, .7),
    ABOVE(.85, .75);

    private static final int[][][] BAND_PPM = {
        {{0, 1000}, {0, 3000}, {1000, 3000}, {1000, 8000}},
        {{500, 3000}, {1000, 4000}, {3000, 8000}, {3000, 8000}},
        {{1000, 5000}, {3000, 8000}, {5000, 10000}, {8000, 10000}},
    };

    private final double speed;
    private final double odds;

    HormoneFit(double speed, double odds) {
        this.speed = speed;
        this.odds = odds;
    }

    /** @param ppm IBA, 0 for none, up to 1 000 000 */
    public static HormoneFit of(Difficulty difficulty, Wood wood, double ppm) {
        Require.within("hormone ppm", ppm, 0, 1_000_000);
        int[] band = BAND_PPM[difficulty.ordinal()][wood.ordinal()];
        return ppm < band[0] ? BELOW : ppm > band[1] ? ABOVE : IN_BAND;
    }

    public double speed() {
        return speed;
    }

    public double odds() {
        return odds;
    }
}
