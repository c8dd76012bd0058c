package org.kindgirdle.core.set;

/** Ways of layering; a cutting stands for comparison in a trial. */
public enum Method {
    /** a ring on a limb, wrapped where it stands */
    AIR,
    /** an unwounded or leaf-stripped soft shoot */
    SOFT_TIP,
    /** foil alone for some weeks, to see root bumps or to start roots before cuttings are taken */
    FOIL_START,
    /** a split pot round the base of a stem */
    POT_STOOL,
    /** a low young limb pinned into the ground or into a sunk pot */
    GROUND,
    /** a root sucker layered where it stands */
    SUCKER,
    /** severed early, with the ball on and the cut end in water: an experiment */
    JAR,
    /** a cutting */
    CUTTING;

    /** Whether the base of the mother itself is buried: with no shoot left in the light it starves. */
    public boolean buriesTheBase() {
        return this == POT_STOOL || this == GROUND;
    }
}
