package org.kindgirdle.core.look;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;

/** What is done with a layer whose ball is full: the rules behind {@link NextStepRules}. */
final class FullBall {

    private FullBall() {}

    static @Nullable NextStep onSpecimen(NextStepInputs in) {
        if (!in.is(NextStepFact.SPECIMEN) || !in.is(NextStepFact.GROWING) || in.trouble()) {
            return null;
        }
        if (in.is(NextStepFact.RESCORED_SINCE)) {
            return in.isFrostAtLeast(in.rules().count(Thresholds.NEAR_DAYS)) ? NextStep.WAIT : null;
        }
        // where nobody looked round it, nobody knows that it is uneven
        boolean patchy =
                in.isKnown(NextStepFact.COVERAGE) && !in.reaches(NextStepFact.COVERAGE, Thresholds.EVEN_COVERAGE);
        boolean gaping =
                in.isKnown(NextStepFact.WIDEST_GAP) && in.reaches(NextStepFact.WIDEST_GAP, Thresholds.WIDEST_GAP);
        boolean uneven = patchy || gaping;
        boolean time = in.isFrostAtLeast(in.establishDays() + in.rules().count(Thresholds.RESCORE_DAYS));
        return uneven && time && !in.reaches(NextStepFact.RESCORES, Thresholds.MAX_RESCORES) ? NextStep.RESCORE : null;
    }

    /** A ball that its school leaves on is mended, not cut for five minutes' work. */
    static @Nullable NextStep onMendable(NextStepInputs in) {
        boolean stays = in.school() == School.SPRING || in.school() == School.DORMANT && !in.is(NextStepFact.LEAFLESS);
        if (!in.mendable()
                || in.has(Condition.MEDIUM_LOST)
                || !in.is(NextStepFact.HARDY)
                || in.is(NextStepFact.WINTERED)
                || !stays) {
            return null;
        }
        return in.has(Condition.DRY) ? NextStep.REWET : NextStep.REWRAP;
    }

    static @Nullable NextStep onLeafless(NextStepInputs in) {
        if (!in.is(NextStepFact.LEAFLESS)) {
            return null;
        }
        boolean hardy = in.is(NextStepFact.HARDY);
        if (in.school() == School.SPRING && hardy && !in.trouble() && !in.is(NextStepFact.WINTERED)) {
            return NextStep.HOLD_SPRING;
        }
        if (!in.is(NextStepFact.HARD_FROST)) {
            return NextStep.SEVER_DORMANT;
        }
        if (hardy) {
            return in.trouble() ? NextStep.REWRAP : NextStep.HOLD_SPRING;
        }
        return in.is(NextStepFact.COVER) ? NextStep.SEVER_TO_COVER : NextStep.PROTECT;
    }

    static @Nullable NextStep onEvergreenWinter(NextStepInputs in) {
        if (in.is(NextStepFact.GROWING)) {
            return null;
        }
        boolean tender = !in.is(NextStepFact.HARDY);
        if (!tender && !in.trouble()) {
            // its leaves are about to fall, and then it is cut as its school has it
            boolean waitsForLeafFall = !in.is(NextStepFact.EVERGREEN) && in.school() == School.DORMANT;
            return waitsForLeafFall && !in.is(NextStepFact.WINTERED) ? NextStep.HOLD_DORMANT : NextStep.HOLD_SPRING;
        }
        if (in.is(NextStepFact.COVER)) {
            return NextStep.SEVER_TO_COVER;
        }
        return tender ? NextStep.PROTECT : NextStep.REWRAP;
    }

    static @Nullable NextStep onTrouble(NextStepInputs in) {
        if (!in.trouble()) {
            return null;
        }
        if (in.room()) {
            return NextStep.SEVER_SOON;
        }
        return in.is(NextStepFact.COVER) ? NextStep.SEVER_TO_COVER : NextStep.REWRAP;
    }

    static @Nullable NextStep onFruit(NextStepInputs in) {
        return in.is(NextStepFact.FRUIT_TO_KEEP)
                        && in.stage() == RootStage.FILLED
                        && in.isFrostAtLeast(in.establishDays() + in.rules().count(Thresholds.FRUIT_DAYS))
                ? NextStep.HOLD_FRUIT
                : null;
    }

    static @Nullable NextStep bySchool(NextStepInputs in) {
        if (in.daysToFrost() == null || in.is(NextStepFact.WINTERED)) {
            return null;
        }
        boolean hardy = in.is(NextStepFact.HARDY);
        if (in.school() == School.SPRING && hardy) {
            return NextStep.HOLD_SPRING;
        }
        if (in.school() == School.DORMANT && (hardy || in.is(NextStepFact.DORMANT_ROOM))) {
            return in.stage() == RootStage.MATURE && in.is(NextStepFact.BALL_DRIES) && in.room()
                    ? NextStep.SEVER_SOON
                    : NextStep.HOLD_DORMANT;
        }
        return null;
    }

    static @Nullable NextStep onRoom(NextStepInputs in) {
        if (!in.room()) {
            return null;
        }
        return in.stage() == RootStage.MATURE ? NextStep.SEVER_SOON : NextStep.SEVER_NOW;
    }

    static NextStep withoutRoom(NextStepInputs in) {
        boolean hardy = in.is(NextStepFact.HARDY);
        if (hardy && in.is(NextStepFact.LAST_FROST_AHEAD)) {
            return NextStep.HOLD_SPRING;
        }
        if (in.is(NextStepFact.COVER)) {
            return NextStep.SEVER_TO_COVER;
        }
        if (in.is(NextStepFact.EVERGREEN) && hardy) {
            return NextStep.HOLD_SPRING;
        }
        if (!in.is(NextStepFact.EVERGREEN) && (hardy || in.is(NextStepFact.DORMANT_ROOM))) {
            return NextStep.HOLD_DORMANT;
        }
        return in.isFrostAtLeast(1) ? NextStep.SEVER_SOON : NextStep.PROTECT;
    }
}
