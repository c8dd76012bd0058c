package org.kindgirdle.core.truth;

import java.util.EnumSet;
import java.util.Set;
import org.kindgirdle.core.truth.Luck.Question;

/** A ringed branch with its ball, as it really is from day to day. Nobody sees all of it. */
public final class Ball {

    /** Shares of the way to a full ball at which what can be seen begins. */
    private static final double[] BEGINS = {.30, .55, .80, 1, 1.3};

    private static final double DRY = .25;
    private static final double SLOW_BELOW = .45;
    private static final double SOGGY = 1.05;
    private static final double[] DRINKS = {0, 0, .004, .012, .025, .035};
    private static final int DRY_DAYS_TO_DIE = 14;
    private static final int SOGGY_DAYS_TO_ROT = 25;
    private static final int OPEN_DAYS_TO_EMPTY = 20;
    private static final double BRIDGED_STOPS_AT = .75;

    private final Kind kind;
    private final Luck luck;
    private final double days;
    private Wrapping wrapping;
    private int attempt;
    private long day;
    private double way;
    private double usual;
    private double water = 1;
    private int dryDays;
    private int soggyDays;
    private int openDays;
    private boolean fleeced;
    private boolean bridgeIsCut;
    private final Set<Trouble> troubles = EnumSet.noneOf(Trouble.class);

    /**
     * @param luck of this layer
     * @param motherDiffers what its mother makes of its time
     */
    public Ball(Kind kind, Wrapping wrapping, Luck luck, double motherDiffers) {
        this.kind = kind;
        this.wrapping = wrapping;
        this.luck = luck;
        this.days = kind.days() * motherDiffers * Math.exp(kind.differs() * luck.bell(Question.LAYER_TIME, 0));
    }

    /** A day goes by. */
    public void pass(Air air, long onDay, boolean inLeaf) {
        day = onDay;
        if (troubles.contains(Trouble.TOP_DEAD)) {
            return;
        }
        dry(air);
        animalsAndWind(air);
        bridge();
        grow(air, inLeaf);
        freeze(air);
    }

    private void dry(Air air) {
        if (wrapping.mediumMl() == 0) {
            return;
        }
        double size = Math.pow(300 / Math.max(50, wrapping.mediumMl()), 1 / 3.0);
        double leaks = wrapping.leaks() * (troubles.contains(Trouble.TORN) ? 6 : 1);
        water -= leaks * size * air.thirst() * (1 + .5 * wrapping.sun()) + DRINKS[stage()];
        if (wrapping.inSoil() || troubles.contains(Trouble.TORN)) {
            water = Math.min(1.15, water + air.rainMm() / 25);
        }
        water = Math.max(0, water);
        dryDays = water < DRY ? dryDays + 1 : 0;
        if (dryDays > DRY_DAYS_TO_DIE) {
            // young roots wither back to the callus
            way = Math.min(way, .35);
        }
        soggyDays = water > SOGGY && !wrapping.inSoil() ? soggyDays + 1 : 0;
        if (soggyDays > 3) {
            troubles.add(Trouble.SOGGY);
        } else if (water < .8) {
            troubles.remove(Trouble.SOGGY);
        }
        if (soggyDays > SOGGY_DAYS_TO_ROT || luck.strikes(Question.ROT, day, .00015)) {
            troubles.add(Trouble.ROTTEN);
            way = Math.min(way, .2);
        }
    }

    private void animalsAndWind(Air air) {
        boolean mild = air.meanC() > 8;
        if (wrapping.hangs()) {
            strike(Trouble.TORN, Question.BIRDS, mild ? .0009 : .0003);
            strike(Trouble.TURNED, Question.SLIP, air.windMs() > 8 ? .002 : .0001);
            strike(Trouble.PINCHED, Question.TIE, mild ? .0006 : 0);
            strike(Trouble.BROKEN_OFF, Question.BREAK, air.windMs() > 9 ? .001 : .00002);
        }
        strike(Trouble.ANTS, Question.ANTS, mild ? .0008 : 0);
        if (wrapping.clear()) {
            strike(Trouble.GREEN, Question.ALGAE, .004);
        }
        strike(Trouble.TOP_DEAD, Question.TOP_DIES, .00006);
        openDays = troubles.contains(Trouble.TORN) ? openDays + 1 : 0;
        if (openDays > OPEN_DAYS_TO_EMPTY) {
            troubles.add(Trouble.EMPTIED);
        }
        if (troubles.contains(Trouble.EMPTIED)) {
            water = 0;
        }
        if (troubles.contains(Trouble.BROKEN_OFF)) {
            dryDays++;
        }
    }

    private void strike(Trouble trouble, Question question, double chance) {
        if (luck.strikes(question, day, chance)) {
            troubles.add(trouble);
        }
    }

    private void bridge() {
        if (!wrapping.cut() || way > .8) {
            return;
        }
        double narrow = wrapping.ringMm() < 1.4 * wrapping.thickMm()
                ? 1.5
                : wrapping.ringMm() > 1.8 * wrapping.thickMm() ? .5 : 1;
        boolean heals = luck.strikes(Question.BRIDGES, attempt, Math.min(.9, kind.bridges() * narrow));
        if (heals && !bridgeIsCut && way > .25 + .4 * luck.even(Question.BRIDGED_WHEN, attempt)) {
            troubles.add(Trouble.BRIDGED);
        }
    }

    private void grow(Air air, boolean inLeaf) {
        double grows = growth(air, inLeaf);
        usual += grows / kind.days();
        if (!everRoots() && way > .45) {
            return;
        }
        if (troubles.contains(Trouble.BRIDGED) && way >= BRIDGED_STOPS_AT
                || troubles.contains(Trouble.ROTTEN)
                || troubles.contains(Trouble.EMPTIED)
                || troubles.contains(Trouble.BROKEN_OFF)) {
            return;
        }
        way += grows / days;
    }

    private double growth(Air air, boolean inLeaf) {
        double pace = 0;
        double sunny = air.rainMm() > 0 ? .35 : 1;
        for (int eighth = 0; eighth < Air.steps(); eighth++) {
            boolean noon = eighth >= 3 && eighth <= 5;
            double in = wrapping.inSoil()
                    ? air.meanC() + .4 * (air.atC(eighth) - air.meanC())
                    : air.atC(eighth) + (noon ? wrapping.warmC() * wrapping.sun() * sunny * .7 : 0);
            pace += kind.pace(in) / Air.steps();
        }
        double thirsty = wrapping.mediumMl() == 0 ? 1 : Math.min(1, water / SLOW_BELOW);
        return pace * wrapping.pace() * thirsty * (inLeaf ? 1 : .2);
    }

    private void freeze(Air air) {
        double in = wrapping.inSoil() ? air.minC() / 2 + 2 : air.minC() + 1 + (fleeced ? 3 : 0);
        double bears = (way >= 1.3 ? -8.5 : -5.5) + luck.bell(Question.FROST_BITE, attempt);
        if (in < bears) {
            // roots die, and most of the callus
            way = Math.min(way, .12);
        }
        if (air.minC() + (fleeced ? 3 : 0) < kind.bearsC() - 3) {
            troubles.add(Trouble.TOP_DEAD);
        }
    }

    /** Whether this ring ever roots. */
    public boolean everRoots() {
        double odds = (1 - kind.never()) / kind.never() * wrapping.odds();
        return luck.strikes(Question.ROOTS, attempt, odds / (1 + odds));
    }

    /** 0 for none, to 5 for circling. */
    public int stage() {
        int stage = 0;
        for (int i = 0; i < BEGINS.length; i++) {
            double own = i == 3 ? 1 : Math.exp(.1 * luck.bell(Question.STAGE_SHARE, i + 10L * attempt));
            stage = way >= BEGINS[i] * own ? i + 1 : stage;
        }
        return stage;
    }

    /** How far it is on its way to a full ball, 1 for there. */
    public double way() {
        return way;
    }

    /** How far one of its kind usually is by now, since it was set. */
    public double usualWay() {
        return usual;
    }

    /** Share of the ball's water that is there, 1 for all it holds. */
    public double water() {
        return water;
    }

    public boolean has(Trouble trouble) {
        return troubles(false).contains(trouble);
    }

    /** What is wrong, as somebody sees it who looks, or opens it. */
    public Set<Trouble> troubles(boolean misses) {
        Set<Trouble> all = EnumSet.copyOf(troubles.isEmpty() ? EnumSet.noneOf(Trouble.class) : troubles);
        if (wrapping.mediumMl() > 0 && water < DRY + .05) {
            all.add(Trouble.DRY);
        }
        if (misses) {
            all.removeIf(one ->
                    one != Trouble.TOP_DEAD && luck.strikes(Question.MISSES_CONDITION, day * 20 + one.ordinal(), .1));
        }
        return all;
    }

    /** Eyes misread one stage in ten. */
    public int stageAsRead() {
        int stage = stage();
        if (!luck.strikes(Question.MISREADS, day, .1)) {
            return stage;
        }
        int by = luck.strikes(Question.MISREADS_WHICH, day, .5) ? 1 : -1;
        return Math.max(0, Math.min(5, stage + by));
    }

    /** How much of the ball is rooted, as it looks, 0 to 100. */
    public double fillAsRead() {
        double fill = stage() < 2 ? 0 : Math.max(0, Math.min(1, (way - .5) / .6));
        return Math.max(0, Math.min(100, Math.round(20 * (fill + .08 * luck.bell(Question.FILL, day))) * 5));
    }

    /** Roots in an eighth of the round, 0 to 3. */
    public int sectorAsRead(int eighth) {
        double reach = way - .45 - .25 * luck.even(Question.SECTOR, eighth + 100L * attempt);
        return stage() < 2 ? 0 : (int) Math.max(0, Math.min(3, Math.floor(reach * 8)));
    }

    /** mL of ball that roots have really filled. */
    public double rootedMl() {
        return wrapping.mediumMl() * Math.max(0, Math.min(1, (way - .5) / .55));
    }

    public void fill(double to) {
        if (!troubles.contains(Trouble.EMPTIED)) {
            water = Math.max(water, to);
        }
    }

    /** Fresh medium where it was gone, and a wrap that holds. */
    public void wrapAgain() {
        troubles.removeAll(EnumSet.of(Trouble.TORN, Trouble.EMPTIED, Trouble.TURNED));
        water = 1;
    }

    public void cutBridge() {
        bridgeIsCut |= troubles.remove(Trouble.BRIDGED);
    }

    /** Ringed anew, with all that goes with it. */
    public void ring(double mm, double odds) {
        attempt++;
        bridgeIsCut = false;
        way = 0;
        water = 1;
        troubles.retainAll(EnumSet.of(Trouble.TOP_DEAD, Trouble.WILTED));
        wrapping = wrapping.ringed(mm, odds);
    }

    public void mend(Trouble... which) {
        for (Trouble one : which) {
            troubles.remove(one);
        }
    }

    public void drain() {
        water = Math.min(water, .9);
        soggyDays = 0;
        troubles.remove(Trouble.SOGGY);
    }

    public void cover(double warmC, boolean clear) {
        wrapping = wrapping.covered(warmC, clear);
    }

    public void fleece() {
        fleeced = true;
    }
}
