package org.kindgirdle.core.look;

import java.util.EnumSet;
import java.util.Set;

/** What may be wrong with a layer when it is looked at. */
public enum Condition {
    DRY,
    WET,
    ROT,
    BRIDGED,
    WRAP_OPEN,
    MEDIUM_LOST,
    PESTS,
    ALGAE,
    SLIPPED,
    CONSTRICTED,
    TOP_WILTED,
    TOP_DEAD,
    DETACHED;

    /** Those that show without opening the wrap. */
    public static final Set<Condition> OUTSIDE = Set.copyOf(EnumSet.complementOf(EnumSet.of(ROT, BRIDGED)));
}
