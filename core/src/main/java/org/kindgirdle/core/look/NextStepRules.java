package org.kindgirdle.core.look;

import static org.kindgirdle.core.look.NextStepFact.ATTEMPTS;
import static org.kindgirdle.core.look.NextStepFact.BALL_DRIES;
import static org.kindgirdle.core.look.NextStepFact.CONDITIONS;
import static org.kindgirdle.core.look.NextStepFact.COVER;
import static org.kindgirdle.core.look.NextStepFact.COVERAGE;
import static org.kindgirdle.core.look.NextStepFact.DAYS_TO_FROST;
import static org.kindgirdle.core.look.NextStepFact.ESTABLISH_DAYS;
import static org.kindgirdle.core.look.NextStepFact.FRUIT_TO_KEEP;
import static org.kindgirdle.core.look.NextStepFact.GROWING;
import static org.kindgirdle.core.look.NextStepFact.HARDY;
import static org.kindgirdle.core.look.NextStepFact.LEAFLESS;
import static org.kindgirdle.core.look.NextStepFact.LOOKED;
import static org.kindgirdle.core.look.NextStepFact.READY_P;
import static org.kindgirdle.core.look.NextStepFact.RESCORES;
import static org.kindgirdle.core.look.NextStepFact.SCHOOL;
import static org.kindgirdle.core.look.NextStepFact.SPECIMEN;
import static org.kindgirdle.core.look.NextStepFact.STAGE;
import static org.kindgirdle.core.look.NextStepFact.STALLED_LOOKS;
import static org.kindgirdle.core.look.NextStepFact.WINDOW_P;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

/**
 * The rules of the next step, in order: the first that applies decides. Their names are their stable ids. Rules from
 * BALL_LOST to NOTHING_TO_DO are for a ball that is not full yet, those from EMPTY_SECTORS on for a full one.
 */
public enum NextStepRules {
    TOP_DEAD(in -> in.has(Condition.TOP_DEAD) ? NextStep.LOST : null, CONDITIONS),
    OFF_THE_MOTHER(in -> in.has(Condition.DETACHED) ? NextStep.RESCUE : null, CONDITIONS),
    ROT(NextStepRules::onRot, CONDITIONS, STAGE, GROWING, ATTEMPTS, WINDOW_P),

    BALL_LOST(
            in -> in.isFilled() || !in.has(Condition.MEDIUM_LOST)
                    ? null
                    : in.stage().isAtLeast(RootStage.INITIALS) ? NextStep.REWRAP : again(in),
            CONDITIONS,
            STAGE,
            GROWING,
            WINDOW_P,
            ATTEMPTS,
            HARDY),
    DRY(in -> !in.isFilled() && in.has(Condition.DRY) ? NextStep.REWET : null, CONDITIONS),
    WRAP(
            in -> !in.isFilled() && (in.has(Condition.WRAP_OPEN) || in.has(Condition.SLIPPED)) ? NextStep.REWRAP : null,
            CONDITIONS),
    TOP_WILTED(in -> !in.isFilled() && in.has(Condition.TOP_WILTED) ? NextStep.RELIEVE : null, CONDITIONS),
    FIRST_LOOK_DUE(
            in -> !in.isFilled() && !in.looked() && in.reaches(in.readyP(), Thresholds.LOOK_P)
                    ? NextStep.LOOK_NOW
                    : null,
            LOOKED,
            READY_P),
    BRIDGED(
            in -> in.isFilled() || !in.has(Condition.BRIDGED)
                    ? null
                    : in.stage().isAtLeast(RootStage.INITIALS) ? NextStep.CUT_BRIDGE : again(in),
            CONDITIONS,
            STAGE,
            GROWING,
            WINDOW_P,
            ATTEMPTS,
            HARDY),
    OVERDUE(
            NextStepRules::onOverdue,
            LOOKED,
            READY_P,
            STAGE,
            STALLED_LOOKS,
            GROWING,
            WINDOW_P,
            ATTEMPTS,
            DAYS_TO_FROST,
            COVER,
            HARDY),
    COLD_NEAR(NextStepRules::onColdNear, GROWING, DAYS_TO_FROST, HARDY, STAGE, COVER),
    FEW_ROOTS_LATE(
            in -> in.stage() == RootStage.ROOTED
                            && in.isStalledTwice()
                            && in.isOverdue()
                            && (in.isFrostAmple() || in.cover())
                    ? NextStep.GAMBLE
                    : null,
            STAGE,
            STALLED_LOOKS,
            READY_P,
            DAYS_TO_FROST,
            COVER),
    NOTHING_TO_DO(in -> in.isFilled() ? null : NextStep.WAIT, STAGE, READY_P, DAYS_TO_FROST),

    EMPTY_SECTORS(
            in -> in.specimen()
                            && !in.reaches(in.coverage(), Thresholds.EVEN_COVERAGE)
                            && !in.reaches(in.rescores(), Thresholds.MOST_RESCORES)
                            && in.growing()
                            && in.isFrostAmple()
                    ? NextStep.RESCORE
                    : null,
            SPECIMEN,
            COVERAGE,
            RESCORES,
            GROWING,
            DAYS_TO_FROST),
    LEAF_FALLEN(
            in -> !in.leafless()
                    ? null
                    : in.school() == School.SPRING && in.hardy() && !in.trouble()
                            ? NextStep.HOLD_SPRING
                            : NextStep.SEVER_DORMANT,
            LEAFLESS,
            SCHOOL,
            HARDY,
            CONDITIONS),
    EVERGREEN_WINTER(NextStepRules::onEvergreenWinter, GROWING, CONDITIONS, HARDY, COVER),
    TROUBLE(
            in -> !in.trouble()
                    ? null
                    : in.room() ? NextStep.SEVER_SOON : in.cover() ? NextStep.SEVER_TO_COVER : NextStep.REWRAP,
            CONDITIONS,
            DAYS_TO_FROST,
            ESTABLISH_DAYS,
            COVER),
    FRUIT(
            in -> in.fruitToKeep()
                            && in.stage() == RootStage.FILLED
                            && in.isFrostAtLeast(in.establishDays() + in.rules().count(Thresholds.FRUIT_DAYS))
                    ? NextStep.HOLD_FRUIT
                    : null,
            FRUIT_TO_KEEP,
            STAGE,
            DAYS_TO_FROST,
            ESTABLISH_DAYS),
    SEVERING_SCHOOL(NextStepRules::bySchool, SCHOOL, HARDY, STAGE, BALL_DRIES, DAYS_TO_FROST, ESTABLISH_DAYS),
    ROOM(
            in -> !in.room() ? null : in.stage() == RootStage.MATURE ? NextStep.SEVER_SOON : NextStep.SEVER_NOW,
            DAYS_TO_FROST,
            ESTABLISH_DAYS,
            STAGE),
    NO_ROOM(
            in -> in.cover() ? NextStep.SEVER_TO_COVER : in.hardy() ? NextStep.HOLD_DORMANT : NextStep.PROTECT,
            DAYS_TO_FROST,
            COVER,
            HARDY);

    private final Function<NextStepInputs, @Nullable NextStep> rule;
    private final NextStepFact[] reads;

    NextStepRules(Function<NextStepInputs, @Nullable NextStep> rule, NextStepFact... reads) {
        this.rule = rule;
        this.reads = reads;
        Arrays.sort(reads);
    }

    /** The next step for these inputs, with every rule's entry. */
    public static Verdict<NextStep, NextStepRules> decide(NextStepInputs in) {
        List<Verdict.Entry<NextStepRules>> entries = new ArrayList<>();
        NextStep step = null;
        NextStepRules decidedBy = NO_ROOM;
        for (NextStepRules candidate : values()) {
            if (step != null) {
                entries.add(new Verdict.Entry<>(candidate, Verdict.Outcome.NOT_EVALUATED, List.of()));
                continue;
            }
            step = candidate.rule.apply(in);
            if (step != null) {
                decidedBy = candidate;
            }
            entries.add(new Verdict.Entry<>(
                    candidate,
                    step == null ? Verdict.Outcome.PASSED_OVER : Verdict.Outcome.APPLIED,
                    candidate.facts(in)));
        }
        if (step == null) {
            throw new IllegalStateException("no rule applied to " + in);
        }
        return new Verdict<>(step, decidedBy, entries);
    }

    private List<Fact> facts(NextStepInputs in) {
        Fact[] facts = new Fact[reads.length];
        for (int i = 0; i < reads.length; i++) {
            facts[i] = reads[i].in(in);
        }
        return List.of(facts);
    }

    private static NextStep again(NextStepInputs in) {
        if (in.reaches(in.attempts(), Thresholds.MOST_RERINGS)) {
            return NextStep.ABANDON;
        }
        if (in.growing() && in.reaches(in.windowP(), Thresholds.AGAIN_P)) {
            return NextStep.RERING;
        }
        return in.hardy() ? NextStep.CARRY_OVER : NextStep.PROTECT;
    }

    private static @Nullable NextStep onRot(NextStepInputs in) {
        if (!in.has(Condition.ROT)) {
            return null;
        }
        if (in.isFilled()) {
            return NextStep.SEVER_SOON;
        }
        if (in.stage() == RootStage.ROOTED) {
            return NextStep.SEVER_TO_COVER;
        }
        if (!in.growing()) {
            return NextStep.CLEAN_OUT;
        }
        return !in.reaches(in.attempts(), Thresholds.MOST_RERINGS) && in.reaches(in.windowP(), Thresholds.AGAIN_P)
                ? NextStep.RERING
                : NextStep.ABANDON;
    }

    private static @Nullable NextStep onOverdue(NextStepInputs in) {
        boolean stuck =
                !in.stage().isAtLeast(RootStage.INITIALS) || in.stage() == RootStage.INITIALS && in.isStalledTwice();
        if (in.isFilled() || !in.looked() || !in.isOverdue() || !stuck) {
            return null;
        }
        NextStep again = again(in);
        boolean worthAGamble = in.stage() == RootStage.INITIALS && (in.room() || in.cover());
        return again == NextStep.ABANDON && worthAGamble ? NextStep.GAMBLE : again;
    }

    private static @Nullable NextStep onColdNear(NextStepInputs in) {
        if (in.isFilled() || !in.near()) {
            return null;
        }
        if (in.hardy()) {
            return NextStep.CARRY_OVER;
        }
        return in.stage() == RootStage.ROOTED && in.cover() ? NextStep.SEVER_TO_COVER : NextStep.PROTECT;
    }

    private static @Nullable NextStep onEvergreenWinter(NextStepInputs in) {
        if (in.growing()) {
            return null;
        }
        if (in.hardy() && !in.trouble()) {
            return NextStep.HOLD_SPRING;
        }
        if (in.cover()) {
            return NextStep.SEVER_TO_COVER;
        }
        return in.hardy() ? NextStep.REWRAP : NextStep.PROTECT;
    }

    private static @Nullable NextStep bySchool(NextStepInputs in) {
        if (in.daysToFrost() == null || !in.hardy() || in.school() == School.IN_LEAF) {
            return null;
        }
        if (in.school() == School.SPRING) {
            return NextStep.HOLD_SPRING;
        }
        return in.stage() == RootStage.MATURE && in.ballDries() && in.room()
                ? NextStep.SEVER_SOON
                : NextStep.HOLD_DORMANT;
    }
}
