package org.kindgirdle.core.set;

/** What a ball is filled with: its effect on rooting, its wet density in kg/L and its water in g/mL. */
public enum Medium {
    MOSS(1, 1, .45, .40),
    COIR(1, 1, .55, .45),
    PEAT(.95, .9, .60, .48),
    COIR_PERLITE(1, 1, .45, .33),
    COIR_HUSK(1, 1, .45, .33),
    COIR_SAND(.95, .9, 1.00, .30),
    MANURE_EARTH(.95, .9, 1.00, .40),
    HUSK_FIBRE(.95, .95, .45, .35),
    POTTING_MIX(.85, .8, .75, .38),
    HEAVY_SOIL(.5, .3, 1.50, .40);

    private final double speed;
    private final double odds;
    private final double wetDensity;
    private final double water;

    Medium(double speed, double odds, double wetDensity, double water) {
        this.speed = speed;
        this.odds = odds;
        this.wetDensity = wetDensity;
        this.water = water;
    }

    public double speed() {
        return speed;
    }

    public double odds() {
        return odds;
    }

    public double wetDensityKgL() {
        return wetDensity;
    }

    public double waterGMl() {
        return water;
    }
}
