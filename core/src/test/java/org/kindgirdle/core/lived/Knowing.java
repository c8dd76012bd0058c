package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.util.List;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.truth.Air;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Trouble;
import org.kindgirdle.core.truth.Young;

/** The perfect grower: sees through the wrap, knows the weather to come, and comes on the same rounds as the others. */
final class Knowing extends OnRounds {

    private static final int MAX_RINGS = 2;
    /** So much of the usual way may one stage last: twice as long as the longest does with others. */
    private static final double STAGE_LASTS = .6;
    /** Before growth slows, with what a week takes to spare. */
    private static final double WATERS_BELOW = .7;

    private int rings;
    private boolean fleeced;
    private int daysOpen;
    private int sinceMove;
    private int stageBefore;
    private double usualBefore;

    Knowing(Plant plant, Nursery nursery, Hands hands, Luck rounds) {
        super(plant, nursery, hands, rounds);
    }

    @Override
    void passes() {
        sinceMove++;
        daysOpen = plant.rung == Rung.OPEN ? daysOpen + 1 : 0;
    }

    @Override
    void tend(LocalDate today) {
        if (plant.ball.has(Trouble.TOP_DEAD)) {
            lose("top died");
            return;
        }
        double way = plant.ball.way();
        boolean broken = plant.ball.has(Trouble.BROKEN_OFF);
        if (broken && way < .8) {
            lose("broke off");
            return;
        }
        repair();
        boolean warm = mean(today, 20, Spot.FIELD) > plant.kind.restsBelowC() + 6;
        // sees the stage, and knows how long one lasts with others of its kind
        if (plant.ball.stage() != stageBefore) {
            usualBefore = plant.ball.usualWay();
        }
        stageBefore = plant.ball.stage();
        boolean stalled = plant.ball.usualWay() - usualBefore > STAGE_LASTS;
        boolean hopeless = stalled || plant.ball.has(Trouble.ROTTEN);
        if (hopeless && warm && way < .8) {
            if (rings >= MAX_RINGS) {
                lose("never rooted");
                return;
            }
            rings++;
            stageBefore = 0;
            usualBefore = plant.ball.usualWay();
            hands.work("RERING");
            plant.ringAgain(RingAndBall.againMm(Nursery.RULES, plant.begun.set().ringMm()));
            return;
        }
        double coldest = lowest(today, 8, Spot.FIELD);
        if (coldest < 0 && !fleeced) {
            hands.work("PROTECT");
            plant.ball.fleece();
            fleeced = true;
        }
        boolean killing = coldest < -5;
        boolean timely = lowest(today, 45, Spot.FIELD) > -1;
        if (way >= 1 && (timely || !plant.inLeaf()) || way >= .85 && killing || broken) {
            cut(today);
        }
    }

    /** What is wrong with the ball, and only that. */
    private void repair() {
        if (plant.ball.has(Trouble.TORN) || plant.ball.has(Trouble.EMPTIED) || plant.ball.has(Trouble.TURNED)) {
            hands.work("REWRAP");
            plant.ball.wrapAgain();
        }
        if (plant.ball.has(Trouble.BRIDGED)) {
            hands.work("CUT_BRIDGE");
            plant.ball.cutBridge();
        }
        if (plant.ball.has(Trouble.SOGGY)) {
            hands.work("VENT");
            plant.ball.drain();
        }
        for (Trouble one : List.of(Trouble.ANTS, Trouble.PINCHED)) {
            if (plant.ball.has(one)) {
                hands.work("MEND");
                plant.ball.mend(one);
            }
        }
        if (plant.ball.water() < WATERS_BELOW) {
            hands.work("TOP_UP");
            plant.ball.fill(1);
        }
    }

    private void cut(LocalDate today) {
        hands.work("SEVER");
        double thirst = 0;
        for (int i = 0; i < 10; i++) {
            Air air = Spot.TUNNEL.air(nursery.air(Spot.FIELD, today.plusDays(i)));
            thirst = Math.max(thirst, air.dryness() * Math.max(.2, .35 + .04 * (air.maxC() - 12)));
        }
        double carries = 5 * plant.ball.rootedMl() / (plant.begun.species().leafCm2() * thirst * .3);
        plant.sever(Math.min(plant.begun.set().leavesBeyond(), (int) carries), Spot.HOUSE);
        if (plant.young != null) {
            plant.young.pot();
        }
        sinceMove = 0;
    }

    @Override
    void harden(Young young, LocalDate today) {
        if (young.mould()) {
            hands.work("OPEN");
            young.open();
        }
        if (young.droops()) {
            hands.work("THIN");
            young.takeLeafOff(.25);
            return;
        }
        boolean mild = lowest(today, 30, Spot.FIELD) > -1;
        if (plant.rung == Rung.OPEN) {
            if (!mild) {
                hands.work("MOVE");
                plant.move(Rung.LIGHT, Spot.HOUSE);
            } else if (daysOpen >= 7 && young.hasNewGrowth() && young.rootsAtEdge()) {
                release();
            }
            return;
        }
        if (sinceMove >= 7 && plant.inLeaf() && (plant.rung != Rung.LIGHT || mild)) {
            Rung up = plant.rung.up().orElseThrow();
            hands.work("MOVE");
            plant.move(up, up == Rung.OPEN ? Spot.FIELD : Spot.HOUSE);
            sinceMove = 0;
        }
    }

    private double lowest(LocalDate from, int days, Spot spot) {
        double lowest = 99;
        for (int i = 0; i < days; i++) {
            lowest = Math.min(lowest, nursery.air(spot, from.plusDays(i)).minC());
        }
        return lowest;
    }

    private double mean(LocalDate from, int days, Spot spot) {
        double sum = 0;
        for (int i = 0; i < days; i++) {
            sum += nursery.air(spot, from.plusDays(i)).meanC();
        }
        return sum / days;
    }
}
