package org.kindgirdle.core.sever;

/** Where a severed layer goes first, with what its leaves lose there against open shade. A planning default. */
public enum Shelter {
    OPEN_SUN(1.3),
    OPEN_SHADE(1),
    TUNNEL_SHADE(.7),
    MIST_TENT(.35);

    private final double draw;

    Shelter(double draw) {
        this.draw = draw;
    }

    /** Loss of water, against a leaf in open shade. */
    public double draw() {
        return draw;
    }
}
