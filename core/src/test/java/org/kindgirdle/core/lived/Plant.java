package org.kindgirdle.core.lived;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.truth.Ball;
import org.kindgirdle.core.truth.Kind;
import org.kindgirdle.core.truth.Leaves;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Wrapping;
import org.kindgirdle.core.truth.Young;

/** One layer as it really is, from the day it is set to its end, in the hands of one grower. */
final class Plant {

    private static final double MOTHERS_DIFFER = .12;

    final Beginning begun;
    final Kind kind;
    final Luck luck;
    final Ball ball;
    private final Leaves leaves;
    private final double odds;
    private final double mediumMl;

    @Nullable
    Young young;

    Spot spot = Spot.FIELD;
    Rung rung = Rung.TENT;

    Plant(Beginning begun, Kind kind, Luck world, Nursery nursery) {
        this.begun = begun;
        this.kind = kind;
        this.luck = world.of(begun.number());
        this.odds = odds(begun);
        this.mediumMl = begun.recipe().method() == Method.FOIL_START
                ? 0
                : begun.recipe()
                        .ball(
                                Nursery.RULES,
                                begun.set().diameterMm(),
                                begun.species().bridgesReadily(),
                                false)
                        .mediumMl();
        double mother = Math.exp(
                MOTHERS_DIFFER * world.of(-begun.number() / 12).bell(Luck.Question.MOTHER_TIME, begun.number() % 12));
        this.ball = new Ball(kind, wrapping(), luck, mother);
        this.leaves = new Leaves(kind, nursery.air(Spot.FIELD, nursery.today()).meanC());
    }

    private static double odds(Beginning begun) {
        return switch (begun.recipe().method()) {
            case CUTTING, JAR -> .4;
            case SOFT_TIP, FOIL_START -> begun.species().preformedRoots() ? .8 : .5;
            default -> 1;
        };
    }

    private Wrapping wrapping() {
        Method method = begun.recipe().method();
        boolean cut = begun.recipe().wound() != Wound.UNWOUNDED;
        return new Wrapping(
                cut,
                begun.set().ringMm(),
                begun.set().diameterMm(),
                mediumMl,
                switch (begun.recipe().wrap()) {
                    case SEALED_FILM -> .004;
                    case TIED_FILM, SLIT_BAG -> .009;
                    case VENTED_BAG, IN_GROUND, IN_TENT -> .02;
                    case FOIL_ONLY -> .03;
                    case HINGED_POD -> .05;
                    case SPLIT_POT -> .15;
                },
                .5,
                warmC(begun.recipe().cover()),
                begun.recipe().cover().isSeenThrough(),
                method == Method.GROUND,
                method.hangs(),
                method == Method.GROUND || method == Method.JAR ? .9 : cut ? 1 : .8,
                odds);
    }

    private static double warmC(Cover cover) {
        return switch (cover) {
            case CLEAR -> 7;
            case BLACK -> 9;
            case FOIL -> 1.5;
            case WHITE -> 2.5;
        };
    }

    /** A day goes by. */
    void pass(Nursery nursery, LocalDate day) {
        leaves.pass(nursery.air(spot, day));
        if (young != null) {
            young.pass(nursery.air(spot, day), day.toEpochDay(), stand(), inLeaf());
        } else if (!day.isBefore(begun.on())) {
            ball.pass(nursery.air(Spot.FIELD, day), day.toEpochDay(), inLeaf());
        }
    }

    boolean inLeaf() {
        return leaves.inLeaf();
    }

    /** Where a plant on its rung stands. */
    Young.Stand stand() {
        return switch (rung) {
            case TENT -> new Young.Stand(.2, .3);
            case SHADE -> new Young.Stand(.3, .6);
            case HALF -> new Young.Stand(.55, .75);
            case LIGHT -> new Young.Stand(.8, .9);
            case OPEN -> new Young.Stand(1, 1.05);
        };
    }

    /** Cut off, into a closed tent. */
    Young sever(int leavesKept, Spot to) {
        double leafCm2 = begun.species().leafCm2();
        young = new Young(
                kind,
                luck,
                ball.rootedMl(),
                inLeaf() ? leavesKept * leafCm2 : 0,
                begun.set().leavesBeyond() * leafCm2);
        spot = to;
        rung = Rung.TENT;
        return young;
    }

    void ringAgain(double mm) {
        ball.ring(mm, odds);
    }

    void cover(Cover cover) {
        ball.cover(warmC(cover), cover.isSeenThrough());
    }

    void move(Rung to, Spot where) {
        rung = to;
        spot = where;
    }

    @Override
    public String toString() {
        return young == null
                ? Math.round(100 * ball.way()) + " % of the way, water " + Math.round(100 * ball.water()) + " %, "
                        + ball.troubles(false)
                : rung + " in " + spot + (young.alive() ? "" : ", dead: " + young.end());
    }
}
