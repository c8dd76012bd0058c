package org.kindgirdle.core.look;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;

/** What is done with a layer whose ball is not full yet: the rules behind {@link NextStepRules}. */
final class UnfilledBall {

    private UnfilledBall() {}

    /** Ring it again, now or later, or give it up. */
    private static NextStep again(NextStepInputs in) {
        if (in.isRingedOut()) {
            return NextStep.ABANDON;
        }
        if (in.isWorthRinging()) {
            return NextStep.RERING;
        }
        if (in.is(NextStepFact.WINDOW_AHEAD)) {
            return NextStep.WAIT;
        }
        if (in.is(NextStepFact.HARDY)) {
            return overWinter(in);
        }
        return in.cold() ? NextStep.PROTECT : NextStep.NEXT_SEASON;
    }

    /** What is hardy waits on its mother: over the winter that comes, or for the end of the one that ends. */
    private static NextStep overWinter(NextStepInputs in) {
        return in.is(NextStepFact.LAST_FROST_AHEAD) ? NextStep.WAIT : NextStep.CARRY_OVER;
    }

    static @Nullable NextStep onRot(NextStepInputs in) {
        if (!in.has(Condition.ROT)) {
            return null;
        }
        if (in.isFilled()) {
            return NextStep.SEVER_SOON;
        }
        if (in.stage() == RootStage.ROOTED) {
            return in.is(NextStepFact.COVER) ? NextStep.SEVER_TO_COVER : NextStep.GAMBLE;
        }
        if (in.isRingedOut()) {
            return NextStep.ABANDON;
        }
        return in.isWorthRinging() ? NextStep.RERING : NextStep.CLEAN_OUT;
    }

    static @Nullable NextStep onLostMedium(NextStepInputs in) {
        if (!in.has(Condition.MEDIUM_LOST)) {
            return null;
        }
        if (!in.isBeforeInitials()) {
            return in.has(Condition.BRIDGED) && in.is(NextStepFact.GROWING) ? NextStep.CUT_BRIDGE : NextStep.REWRAP;
        }
        NextStep again = again(in);
        return switch (again) {
            case CARRY_OVER, WAIT, ABANDON -> NextStep.REWRAP;
            default -> again;
        };
    }

    static @Nullable NextStep onFirstLookDue(NextStepInputs in) {
        return in.is(NextStepFact.GROWING)
                        && !in.is(NextStepFact.LOOKED)
                        && in.reaches(NextStepFact.READY_P, Thresholds.LOOK_P)
                ? NextStep.LOOK_NOW
                : null;
    }

    static @Nullable NextStep onBridge(NextStepInputs in) {
        if (!in.has(Condition.BRIDGED)) {
            return null;
        }
        if (!in.isBeforeInitials()) {
            return in.is(NextStepFact.GROWING) ? NextStep.CUT_BRIDGE : null;
        }
        NextStep again = again(in);
        return switch (again) {
            case WAIT -> in.is(NextStepFact.WINDOW_AHEAD) ? again : NextStep.NEXT_SEASON;
            case CARRY_OVER, PROTECT -> NextStep.NEXT_SEASON;
            default -> again;
        };
    }

    static @Nullable NextStep onOldLook(NextStepInputs in) {
        return in.is(NextStepFact.GROWING) && in.is(NextStepFact.LOOKED) && in.is(NextStepFact.LOOK_OVERDUE)
                ? NextStep.LOOK_NOW
                : null;
    }

    static @Nullable NextStep onNotRooting(NextStepInputs in) {
        if (!in.is(NextStepFact.LOOKED) || !isGivenUp(in)) {
            return null;
        }
        NextStep again = again(in);
        boolean worthAGamble = in.stage() == RootStage.INITIALS && (in.room() || in.is(NextStepFact.COVER));
        return again == NextStep.ABANDON && worthAGamble ? NextStep.GAMBLE : again;
    }

    /** Its looks say that it will not root, at a time at which others would be full. */
    private static boolean isGivenUp(NextStepInputs in) {
        boolean stalledAtPoints = in.stage() == RootStage.INITIALS && in.isStalledTwice();
        double roots = in.number(NextStepFact.ROOTS_P);
        double fallen = 1 - in.rules().of(Thresholds.FALLEN_SHARE);
        boolean unlikely = roots < in.rules().of(Thresholds.NEVER_P)
                && roots <= fallen * in.number(NextStepFact.ROOTS_BEFORE)
                && in.reaches(NextStepFact.READY_P, Thresholds.NEVER_READY_P);
        boolean late =
                roots < in.rules().of(Thresholds.UNLIKELY_P) && in.reaches(NextStepFact.READY_P, Thresholds.OVERDUE_P);
        return (in.isBeforeInitials() || stalledAtPoints) && unlikely || stalledAtPoints && late;
    }

    static @Nullable NextStep onColdNear(NextStepInputs in) {
        if (!in.near()) {
            return null;
        }
        if (in.is(NextStepFact.HARDY)) {
            return overWinter(in);
        }
        if (!in.is(NextStepFact.COVER)) {
            return NextStep.PROTECT;
        }
        // with few roots it may live indoors; out here no fleece keeps them from nights that kill
        boolean lastChance = in.stage() == RootStage.INITIALS && in.is(NextStepFact.KILL_NEAR);
        return in.stage() == RootStage.ROOTED
                ? NextStep.SEVER_TO_COVER
                : lastChance ? NextStep.GAMBLE : NextStep.PROTECT;
    }

    static @Nullable NextStep onFewRootsLate(NextStepInputs in) {
        boolean wantedInLeaf = !in.is(NextStepFact.HARDY) || in.school() == School.IN_LEAF;
        boolean ample = in.isFrostAtLeast(in.rules().count(Thresholds.AMPLE_DAYS)) || in.is(NextStepFact.COVER);
        return in.stage() == RootStage.ROOTED
                        && in.isStalledTwice()
                        && in.reaches(NextStepFact.READY_P, Thresholds.OVERDUE_P)
                        && wantedInLeaf
                        && ample
                ? NextStep.GAMBLE
                : null;
    }
}
