package org.kindgirdle.server.projection;

import org.springframework.stereotype.Component;

/** How many layers are reckoned in one transaction. */
@Component
class RecalculationSize {

    /** Layers of one step of a pass: about a fifth of a second, for which whoever records has to wait. */
    static final int STEP = 500;

    private volatile int atOnce = 1000;

    /** So many are reckoned in the transaction that changed what they depend on; more get a pass of their own. */
    int atOnce() {
        return atOnce;
    }

    void setAtOnce(int layers) {
        atOnce = layers;
    }
}
