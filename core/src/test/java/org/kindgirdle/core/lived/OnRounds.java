package org.kindgirdle.core.lived;

import java.time.LocalDate;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Young;

/** Somebody who asks no software: sees a dead plant at once, and works on the rounds only. */
abstract class OnRounds extends Grower {

    OnRounds(Plant plant, Nursery nursery, Hands hands, Luck rounds) {
        super(plant, nursery, hands, rounds);
    }

    @Override
    final void day(LocalDate today) {
        Young young = plant.young;
        if (young != null && !young.alive()) {
            lose(young.end());
            return;
        }
        passes();
        if (!isRound(today) || !hands.haveTime()) {
            return;
        }
        if (young == null) {
            tend(today);
        } else {
            harden(young, today);
        }
    }

    /** A day goes by, round or none. */
    void passes() {
        // only who counts days has to do with it
    }

    abstract void tend(LocalDate today);

    abstract void harden(Young young, LocalDate today);
}
