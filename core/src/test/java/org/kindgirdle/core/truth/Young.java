package org.kindgirdle.core.truth;

import org.kindgirdle.core.truth.Luck.Question;

/** A severed layer, as it really fares: leaf against root, light against what it is used to, cold, and damp. */
public final class Young {

    /** cm2 of leaf that a mL of rooted ball keeps supplied on a day that is not thirsty. */
    private static final double SUPPLIES = 7;

    private static final double SCORCHES_ABOVE = .4;
    private static final double POT_BEARS_C = -5.5;
    private static final double SOIL_BEARS_C = -9.5;

    private final Kind kind;
    private final Luck luck;
    private final double rootedMl;
    private final double usualLeafCm2;
    private double leafCm2;
    private double settled;
    private double usedTo = .3;
    private double droopDays;
    private int warmDays;
    private int warmInLeaf;
    private boolean potted;
    private boolean inSoil;
    private boolean droops;
    private boolean sheds;
    private boolean mould;
    private int mouldDays;
    private boolean alive = true;
    private String end = "";

    /** @param leafCm2 that was left on it */
    public Young(Kind kind, Luck luck, double rootedMl, double leafCm2, double usualLeafCm2) {
        this.kind = kind;
        this.luck = luck;
        this.rootedMl = rootedMl * Math.exp(.25 * luck.bell(Question.ROOT_SUPPLY, 0));
        this.leafCm2 = leafCm2;
        this.usualLeafCm2 = usualLeafCm2;
    }

    /**
     * Where it stands.
     *
     * @param light 0 in the dark to 1 in the open
     * @param damp what the shelter leaves of the air's thirst, 0 to 1
     */
    public record Stand(double light, double damp) {}

    /** A day goes by. */
    public void pass(Air air, long day, Stand stand, boolean inLeaf) {
        if (!alive) {
            return;
        }
        boolean warm = air.meanC() > kind.restsBelowC() + 3;
        warmDays += warm ? 1 : 0;
        if (inLeaf) {
            warmInLeaf += warm ? 1 : 0;
            leafCm2 = Math.max(leafCm2, warmInLeaf > 10 ? .1 * usualLeafCm2 : 0);
            drink(air, stand);
            usedTo += (stand.light() - usedTo) * .09;
        } else {
            droops = false;
            droopDays = 0;
            usedTo = .3;
        }
        sheds = sheds && inLeaf;
        damp(air, day, stand, inLeaf);
        freeze(air, inLeaf);
    }

    private void drink(Air air, Stand stand) {
        double draws = leafCm2 * air.thirst() * stand.damp();
        double supply = SUPPLIES * Math.max(1, rootedMl) * (1 + settled);
        boolean scorched = stand.light() - usedTo > SCORCHES_ABOVE && air.maxC() > 22;
        droops = draws > supply || scorched;
        droopDays = droops ? droopDays + Math.min(2, draws / supply) : Math.max(0, droopDays - 1);
        sheds = droopDays > 3;
        if (sheds) {
            leafCm2 *= .9;
        }
        if (droopDays > 12) {
            die("wilted");
        }
        settled += droops || air.meanC() < kind.restsBelowC() + 3 ? 0 : .03;
    }

    private void damp(Air air, long day, Stand stand, boolean inLeaf) {
        boolean close = stand.damp() < .5;
        mould = mould || luck.strikes(Question.MOULD, day, close ? inLeaf ? .0006 : .002 : .0001);
        mouldDays = mould ? mouldDays + 1 : 0;
        if (mouldDays > 12) {
            die("rotted at the collar");
        }
    }

    private void freeze(Air air, boolean inLeaf) {
        // soil under mulch and snow keeps most of the frost off
        double atRootsC = inSoil ? .3 * air.minC() : air.minC();
        if (atRootsC < (inSoil ? SOIL_BEARS_C : POT_BEARS_C) + luck.bell(Question.FROST_BITE, 77) / 2
                || air.minC() < kind.bearsC() - 2) {
            die("frozen");
        } else if (inLeaf && air.minC() < -2 && kind.bearsC() > -10) {
            leafCm2 *= .6;
        }
    }

    private void die(String how) {
        alive = false;
        end = how;
    }

    public void pot() {
        potted = true;
        settled += .1;
    }

    /** Into the ground, under mulch. */
    public void plantOut() {
        pot();
        inSoil = true;
    }

    public void takeLeafOff(double share) {
        leafCm2 *= 1 - share;
    }

    /** Opened, what is rotten cut away, left to dry. */
    public void open() {
        mould = false;
        droopDays = Math.max(0, droopDays - 3);
    }

    public boolean alive() {
        return alive;
    }

    public String end() {
        return end;
    }

    public boolean droops() {
        return droops;
    }

    public boolean sheds() {
        return sheds;
    }

    public boolean mould() {
        return mould;
    }

    public boolean hasNewGrowth() {
        return warmInLeaf > 24 + 6 * luck.bell(Question.GROWTH, 0);
    }

    public boolean rootsAtEdge() {
        return potted && warmDays > 30 + 7 * luck.bell(Question.EDGE, 0);
    }
}
