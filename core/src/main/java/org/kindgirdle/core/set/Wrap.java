package org.kindgirdle.core.set;

/** What holds the ball, with its loss of water in g a day for each square decimetre and kPa. */
public enum Wrap {
    SEALED_FILM(.15),
    TIED_FILM(.40),
    SLIT_BAG(.40),
    VENTED_BAG(1.0),
    FOIL_ONLY(1.5),
    HINGED_POD(2.5),
    SPLIT_POT(8.0);

    private final double loss;

    Wrap(double loss) {
        this.loss = loss;
    }

    public double lossGDm2Kpa() {
        return loss;
    }
}
