package org.kindgirdle.core.look;

/** What to do next with a layer on its mother. */
public enum NextStep {
    LOST,
    RESCUE,
    SEVER_SOON,
    SEVER_TO_COVER,
    CLEAN_OUT,
    RERING,
    ABANDON,
    REWRAP,
    REWET,
    RELIEVE,
    LOOK_NOW,
    CUT_BRIDGE,
    GAMBLE,
    CARRY_OVER,
    PROTECT,
    /** too late to ring it again this year: wrap off, let the limb heal, or take its tip as a cutting */
    NEXT_SEASON,
    WAIT,
    RESCORE,
    HOLD_SPRING,
    SEVER_DORMANT,
    HOLD_FRUIT,
    HOLD_DORMANT,
    SEVER_NOW;

    /** Whether the step cuts the layer off. */
    public boolean isSevering() {
        return switch (this) {
            case RESCUE, SEVER_SOON, SEVER_TO_COVER, SEVER_DORMANT, SEVER_NOW, GAMBLE -> true;
            default -> false;
        };
    }
}
