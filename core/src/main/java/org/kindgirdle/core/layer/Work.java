package org.kindgirdle.core.layer;

import java.util.Set;
import org.kindgirdle.core.look.Condition;

/** Work on a layer that is still on its mother, with the conditions that it mends. */
public enum Work {
    REWET(true, Condition.DRY),
    REWRAP(true, Condition.WRAP_OPEN, Condition.MEDIUM_LOST, Condition.SLIPPED, Condition.DRY),
    RELIEVE(false, Condition.TOP_WILTED),
    CUT_BRIDGE(false, Condition.BRIDGED),
    /** opened, cut clean, dried and wrapped without medium: it is ringed again when the bark slips */
    CLEAN_OUT(false, Condition.ROT, Condition.WET, Condition.DRY, Condition.WRAP_OPEN, Condition.SLIPPED),
    PROTECT(false),
    RESCORE(true, Condition.DRY, Condition.WRAP_OPEN),
    VENT(false, Condition.WET),
    TREAT_PESTS(false, Condition.PESTS),
    COVER(false, Condition.ALGAE),
    LOOSEN_TIE(false, Condition.CONSTRICTED),
    UPSIZE(true),
    /** a parched full ball stood in water, or syringed until it drips, before the cut */
    SOAK(true, Condition.DRY),
    /** wrap off, and the limb left to heal until it is ringed again in another season */
    NEXT_SEASON(false),
    PROP(false),
    /** the tip laid down on straw, a bench or the ground, so that the limb does not carry it */
    REST_TIP(false),
    /** of what stands in a jar */
    CHANGE_WATER(true),
    /** after severance: the stub shortened to a bud or shoot, the new leader noted */
    TIDY_STUB(false),
    CARRY_OVER(false),
    HOLD_SPRING(false),
    HOLD_FRUIT(false),
    HOLD_DORMANT(false);

    private final boolean waters;
    private final Set<Condition> mends;

    Work(boolean waters, Condition... mends) {
        this.waters = waters;
        this.mends = Set.of(mends);
    }

    /** Whether the ball is wet through afterwards. */
    public boolean isWatering() {
        return waters;
    }

    /** The conditions that are gone when it is done. */
    public Set<Condition> mends() {
        return mends;
    }
}
