package org.kindgirdle.core.look;

import static org.kindgirdle.core.look.NextStepFact.ATTEMPTS;
import static org.kindgirdle.core.look.NextStepFact.BALL_DRIES;
import static org.kindgirdle.core.look.NextStepFact.BARK_SLIPS;
import static org.kindgirdle.core.look.NextStepFact.CONDITIONS;
import static org.kindgirdle.core.look.NextStepFact.COVER;
import static org.kindgirdle.core.look.NextStepFact.COVERAGE;
import static org.kindgirdle.core.look.NextStepFact.DAYS_TO_FROST;
import static org.kindgirdle.core.look.NextStepFact.DORMANT_ROOM;
import static org.kindgirdle.core.look.NextStepFact.ESTABLISH_DAYS;
import static org.kindgirdle.core.look.NextStepFact.EVERGREEN;
import static org.kindgirdle.core.look.NextStepFact.FRUIT_TO_KEEP;
import static org.kindgirdle.core.look.NextStepFact.GROWING;
import static org.kindgirdle.core.look.NextStepFact.HARDY;
import static org.kindgirdle.core.look.NextStepFact.HARD_FROST;
import static org.kindgirdle.core.look.NextStepFact.KILL_NEAR;
import static org.kindgirdle.core.look.NextStepFact.LAST_FROST_AHEAD;
import static org.kindgirdle.core.look.NextStepFact.LEAFLESS;
import static org.kindgirdle.core.look.NextStepFact.LOOKED;
import static org.kindgirdle.core.look.NextStepFact.LOOK_OVERDUE;
import static org.kindgirdle.core.look.NextStepFact.READY_P;
import static org.kindgirdle.core.look.NextStepFact.RESCORED_SINCE;
import static org.kindgirdle.core.look.NextStepFact.RESCORES;
import static org.kindgirdle.core.look.NextStepFact.ROOTS_BEFORE;
import static org.kindgirdle.core.look.NextStepFact.ROOTS_P;
import static org.kindgirdle.core.look.NextStepFact.SCHOOL;
import static org.kindgirdle.core.look.NextStepFact.SPECIMEN;
import static org.kindgirdle.core.look.NextStepFact.STAGE;
import static org.kindgirdle.core.look.NextStepFact.STALLED_LOOKS;
import static org.kindgirdle.core.look.NextStepFact.WIDEST_GAP;
import static org.kindgirdle.core.look.NextStepFact.WINDOW_AHEAD;
import static org.kindgirdle.core.look.NextStepFact.WINDOW_P;
import static org.kindgirdle.core.look.NextStepFact.WINTERED;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

/**
 * The rules of the next step, in order: the first that applies decides. Their names are their stable ids. Rules from
 * BALL_LOST to NOTHING_TO_DO are for a ball that is not full yet, those from SPECIMEN_ROOTS on for a full one.
 */
public enum NextStepRules {
    TOP_DEAD(in -> in.has(Condition.TOP_DEAD) ? NextStep.LOST : null, CONDITIONS),
    OFF_THE_MOTHER(in -> in.has(Condition.DETACHED) ? NextStep.RESCUE : null, CONDITIONS),
    ROT(UnfilledBall::onRot, CONDITIONS, STAGE, BARK_SLIPS, ATTEMPTS, WINDOW_P, COVER),

    BALL_LOST(
            For.UNFILLED,
            UnfilledBall::onLostMedium,
            CONDITIONS,
            STAGE,
            WINDOW_P,
            WINDOW_AHEAD,
            BARK_SLIPS,
            ATTEMPTS,
            HARDY,
            LAST_FROST_AHEAD,
            GROWING,
            DAYS_TO_FROST),
    DRY(For.UNFILLED, in -> in.has(Condition.DRY) ? NextStep.REWET : null, CONDITIONS),
    WRAP(
            For.UNFILLED,
            in -> in.has(Condition.WRAP_OPEN) || in.has(Condition.SLIPPED) ? NextStep.REWRAP : null,
            CONDITIONS),
    TOP_WILTED(For.UNFILLED, in -> in.has(Condition.TOP_WILTED) ? NextStep.RELIEVE : null, CONDITIONS),
    FIRST_LOOK_DUE(For.UNFILLED, UnfilledBall::onFirstLookDue, GROWING, LOOKED, READY_P),
    BRIDGED(
            For.UNFILLED,
            UnfilledBall::onBridge,
            CONDITIONS,
            STAGE,
            WINDOW_P,
            WINDOW_AHEAD,
            BARK_SLIPS,
            ATTEMPTS,
            HARDY,
            LAST_FROST_AHEAD,
            GROWING,
            DAYS_TO_FROST),
    /** What was seen weeks ago is not what is there: no verdict on an old look. */
    OLD_LOOK(For.UNFILLED, UnfilledBall::onOldLook, GROWING, LOOKED, LOOK_OVERDUE),
    NOT_ROOTING(
            For.UNFILLED,
            UnfilledBall::onNotRooting,
            LOOKED,
            STAGE,
            STALLED_LOOKS,
            ROOTS_P,
            ROOTS_BEFORE,
            READY_P,
            COVER,
            ESTABLISH_DAYS,
            WINDOW_P,
            WINDOW_AHEAD,
            BARK_SLIPS,
            ATTEMPTS,
            HARDY,
            LAST_FROST_AHEAD,
            GROWING,
            DAYS_TO_FROST),
    COLD_NEAR(
            For.UNFILLED,
            UnfilledBall::onColdNear,
            GROWING,
            DAYS_TO_FROST,
            HARDY,
            LAST_FROST_AHEAD,
            STAGE,
            COVER,
            KILL_NEAR),
    FEW_ROOTS_LATE(
            For.UNFILLED,
            UnfilledBall::onFewRootsLate,
            STAGE,
            STALLED_LOOKS,
            READY_P,
            HARDY,
            SCHOOL,
            EVERGREEN,
            DAYS_TO_FROST,
            COVER),
    NOTHING_TO_DO(For.UNFILLED, in -> NextStep.WAIT, STAGE, READY_P, ROOTS_P, DAYS_TO_FROST),

    SPECIMEN_ROOTS(
            For.FULL,
            FullBall::onSpecimen,
            SPECIMEN,
            GROWING,
            CONDITIONS,
            RESCORED_SINCE,
            RESCORES,
            COVERAGE,
            WIDEST_GAP,
            DAYS_TO_FROST,
            ESTABLISH_DAYS),
    MENDED_AND_KEPT(For.FULL, FullBall::onMendable, CONDITIONS, HARDY, WINTERED, SCHOOL, EVERGREEN, LEAFLESS),
    LEAF_FALLEN(
            For.FULL,
            FullBall::onLeafless,
            LEAFLESS,
            SCHOOL,
            EVERGREEN,
            HARDY,
            CONDITIONS,
            WINTERED,
            HARD_FROST,
            COVER),
    EVERGREEN_WINTER(
            For.FULL, FullBall::onEvergreenWinter, GROWING, CONDITIONS, HARDY, SCHOOL, EVERGREEN, WINTERED, COVER),
    TROUBLE(For.FULL, FullBall::onTrouble, CONDITIONS, DAYS_TO_FROST, ESTABLISH_DAYS, COVER),
    FRUIT(For.FULL, FullBall::onFruit, FRUIT_TO_KEEP, STAGE, DAYS_TO_FROST, ESTABLISH_DAYS),
    SEVERING_SCHOOL(
            For.FULL,
            FullBall::bySchool,
            SCHOOL,
            EVERGREEN,
            HARDY,
            DORMANT_ROOM,
            WINTERED,
            STAGE,
            BALL_DRIES,
            DAYS_TO_FROST,
            ESTABLISH_DAYS),
    ROOM(For.FULL, FullBall::onRoom, DAYS_TO_FROST, ESTABLISH_DAYS, STAGE),
    NO_ROOM(For.FULL, FullBall::withoutRoom, DAYS_TO_FROST, LAST_FROST_AHEAD, COVER, HARDY, EVERGREEN, DORMANT_ROOM);

    /** The balls that a rule is asked of. */
    private enum For {
        ANY,
        UNFILLED,
        FULL;

        boolean isAsked(NextStepInputs in) {
            return this == ANY || (this == FULL) == in.isFilled();
        }
    }

    private final For balls;
    private final Function<NextStepInputs, @Nullable NextStep> rule;
    private final NextStepFact[] reads;

    NextStepRules(Function<NextStepInputs, @Nullable NextStep> rule, NextStepFact... reads) {
        this(For.ANY, rule, reads);
    }

    NextStepRules(For balls, Function<NextStepInputs, @Nullable NextStep> rule, NextStepFact... reads) {
        this.balls = balls;
        this.rule = rule;
        this.reads = reads;
        Arrays.sort(reads);
    }

    /**
     * The next step for these inputs, with every rule's entry.
     *
     * @throws IllegalStateException if no rule applied, which the last one makes impossible
     */
    public static Verdict<NextStep, NextStepRules> decide(NextStepInputs in) {
        List<Verdict.Entry<NextStepRules>> entries = new ArrayList<>();
        NextStep step = null;
        NextStepRules decidedBy = NO_ROOM;
        for (NextStepRules candidate : values()) {
            if (step != null) {
                entries.add(new Verdict.Entry<>(candidate, Verdict.RuleOutcome.NOT_EVALUATED, List.of()));
                continue;
            }
            step = candidate.balls.isAsked(in) ? candidate.rule.apply(in) : null;
            if (step != null) {
                decidedBy = candidate;
            }
            entries.add(new Verdict.Entry<>(
                    candidate,
                    step == null ? Verdict.RuleOutcome.PASSED_OVER : Verdict.RuleOutcome.APPLIED,
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
}
