package org.kindgirdle.core.set;

import java.util.EnumSet;
import java.util.Set;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/** Ways of layering; a cutting stands for comparison in a trial. */
public enum Method {
    /** a ring on a limb, wrapped where it stands */
    AIR(true, true),
    /** an unwounded or leaf-stripped soft shoot */
    SOFT_TIP(true, true),
    /** foil alone for some weeks, to see root bumps or to start roots before cuttings are taken */
    FOIL_START(true, false),
    /** a split pot round the base of a stem */
    POT_STOOL(true, false),
    /** a low young limb pinned into the ground or into a sunk pot */
    GROUND(true, false),
    /** a root sucker layered where it stands */
    SUCKER(true, true),
    /** severed early, with the ball on and the cut end in water: an experiment */
    JAR(false, false),
    /** a cutting */
    CUTTING(false, false);

    private final boolean staysOnMother;
    private final boolean hangs;
    private final Rule speed;
    private final Rule odds;

    Method(boolean staysOnMother, boolean hangs) {
        this.staysOnMother = staysOnMother;
        this.hangs = hangs;
        this.speed = Rule.of("method." + name() + ".speed");
        this.odds = Rule.of("method." + name() + ".odds");
    }

    /** Whether the base of the mother itself is buried: with no shoot left in the light it starves. */
    public boolean buriesTheBase() {
        return this == POT_STOOL || this == GROUND;
    }

    /** Whether it roots on its mother, and so stands against what the mother can bear; others are cut off when set. */
    public boolean staysOnMother() {
        return staysOnMother;
    }

    /** Whether its limb carries the ball, rather than the ground or a bench. */
    public boolean hangs() {
        return hangs;
    }

    /** Whether the ball is wrapped round its limb, rather than poured, buried or stuck. */
    public boolean isWrapped() {
        return !buriesTheBase() && this != CUTTING;
    }

    /** Whether a limb on which it made no roots can still be ringed and wrapped in the air. */
    public boolean goesOnAsAir() {
        return this == FOIL_START || this == GROUND;
    }

    /** Whether its limb may be cut whole and stood in water, to go on as a jar. */
    public boolean standsInWater() {
        return this == AIR;
    }

    /** Whether medium is wrapped round it, poured into its pot or stuck round it; foil alone has none. */
    public boolean hasMedium() {
        return this != FOIL_START;
    }

    /** What it does to the speed of rooting beside its wound, as a factor. */
    public double speed(HouseRules rules) {
        return rules.of(speed);
    }

    /** What it does to the odds of rooting beside its wound, as a factor. */
    public double odds(HouseRules rules) {
        return rules.of(odds);
    }

    /** The wounds that go with it. */
    public Set<Wound> wounds() {
        return switch (this) {
            case SOFT_TIP -> EnumSet.of(Wound.UNWOUNDED, Wound.LEAF_STRIPPED);
            case FOIL_START -> EnumSet.of(Wound.UNWOUNDED);
            case CUTTING -> EnumSet.of(Wound.UNWOUNDED, Wound.LEAF_STRIPPED, Wound.BARK_SCRAPED);
            default -> EnumSet.allOf(Wound.class);
        };
    }

    /** What can hold its medium. */
    public Set<Wrap> wraps() {
        return switch (this) {
            case FOIL_START -> EnumSet.of(Wrap.FOIL_ONLY);
            case POT_STOOL -> EnumSet.of(Wrap.SPLIT_POT);
            case GROUND -> EnumSet.of(Wrap.IN_GROUND, Wrap.SPLIT_POT);
            case CUTTING -> EnumSet.of(Wrap.IN_TENT);
            default -> EnumSet.complementOf(EnumSet.of(Wrap.IN_GROUND, Wrap.IN_TENT));
        };
    }
}
