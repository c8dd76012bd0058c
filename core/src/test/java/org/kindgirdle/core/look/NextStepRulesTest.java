package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

class NextStepRulesTest {

    private static final Random RANDOM = new Random(42);

    @Test
    void every_input_has_a_step_and_exactly_one_rule_that_gave_it() {
        for (int i = 0; i < 20_000; i++) {
            Verdict<NextStep, NextStepRules> verdict = NextStepRules.decide(any());
            assertThat(verdict.entries()).hasSize(NextStepRules.values().length);
            assertThat(verdict.entries().stream()
                            .filter(entry -> entry.outcome() == Verdict.RuleOutcome.APPLIED)
                            .map(Verdict.Entry::rule))
                    .containsExactly(verdict.decidedBy());
            verdict.entries()
                    .forEach(entry -> assertThat(entry.facts().isEmpty())
                            .isEqualTo(entry.outcome() == Verdict.RuleOutcome.NOT_EVALUATED));
        }
    }

    @Test
    void a_dry_ball_is_justified_by_the_look_alone() {
        NextStepInputs in = inputs(Set.of(Condition.DRY), RootStage.CALLUS, 90);
        Verdict<NextStep, NextStepRules> verdict = NextStepRules.decide(in);
        assertThat(verdict.step()).isEqualTo(NextStep.REWET);
        assertThat(verdict.decidedBy()).isEqualTo(NextStepRules.DRY);
        assertThat(verdict.facts()).containsExactly(new Fact(NextStepFact.CONDITIONS, Set.of(Condition.DRY)));
    }

    @Test
    void a_full_ball_is_cut_while_there_is_room_and_not_after() {
        assertThat(NextStepRules.decide(inputs(Set.of(), RootStage.FILLED, 42)).step())
                .isEqualTo(NextStep.SEVER_NOW);
        assertThat(NextStepRules.decide(inputs(Set.of(), RootStage.FILLED, 41)).step())
                .isEqualTo(NextStep.HOLD_DORMANT);
        assertThat(NextStepRules.decide(inputs(Set.of(), RootStage.FILLED, null))
                        .step())
                .isEqualTo(NextStep.SEVER_NOW);
    }

    /** In summer with nothing wrong, but for what is given. */
    static NextStepInputs inputs(Set<Condition> conditions, RootStage stage, @Nullable Integer daysToFrost) {
        return summer().set(NextStepFact.CONDITIONS, conditions)
                .set(NextStepFact.STAGE, stage)
                .set(NextStepFact.DAYS_TO_FROST, daysToFrost)
                .build(HouseRules.SHIPPED);
    }

    /** A deciduous layer looked at in summer, with callus, on a place with winters that it stands. */
    static NextStepInputs.Builder summer() {
        return new NextStepInputs.Builder()
                .set(NextStepFact.CONDITIONS, Set.of())
                .set(NextStepFact.LOOKED, true)
                .set(NextStepFact.STAGE, RootStage.CALLUS)
                .set(NextStepFact.COVERAGE, 1.0)
                .set(NextStepFact.WIDEST_GAP, 0)
                .set(NextStepFact.LOOK_OVERDUE, false)
                .set(NextStepFact.STALLED_LOOKS, 0)
                .set(NextStepFact.ATTEMPTS, 0)
                .set(NextStepFact.RESCORES, 0)
                .set(NextStepFact.RESCORED_SINCE, false)
                .set(NextStepFact.ROOTS_P, .8)
                .set(NextStepFact.ROOTS_BEFORE, .9)
                .set(NextStepFact.READY_P, .2)
                .set(NextStepFact.WINDOW_P, .9)
                .set(NextStepFact.BARK_SLIPS, true)
                .set(NextStepFact.GROWING, true)
                .set(NextStepFact.LEAFLESS, false)
                .set(NextStepFact.EVERGREEN, false)
                .set(NextStepFact.DAYS_TO_FROST, 100)
                .set(NextStepFact.HARD_FROST, false)
                .set(NextStepFact.LAST_FROST_AHEAD, false)
                .set(NextStepFact.WINDOW_AHEAD, false)
                .set(NextStepFact.KILL_NEAR, false)
                .set(NextStepFact.ESTABLISH_DAYS, 42)
                .set(NextStepFact.HARDY, true)
                .set(NextStepFact.DORMANT_ROOM, true)
                .set(NextStepFact.WINTERED, false)
                .set(NextStepFact.COVER, false)
                .set(NextStepFact.FRUIT_TO_KEEP, false)
                .set(NextStepFact.SPECIMEN, false)
                .set(NextStepFact.BALL_DRIES, false)
                .set(NextStepFact.SCHOOL, School.IN_LEAF);
    }

    static NextStepInputs any() {
        Set<Condition> conditions = EnumSet.noneOf(Condition.class);
        for (Condition condition : Condition.values()) {
            if (RANDOM.nextInt(12) == 0) {
                conditions.add(condition);
            }
        }
        NextStepInputs.Builder any = summer();
        for (NextStepFact name : NextStepFact.values()) {
            Object now = summer().build(HouseRules.SHIPPED).value(name);
            if (now instanceof Boolean) {
                any.set(name, RANDOM.nextInt(3) == 0);
            } else if (now instanceof Double) {
                any.set(name, RANDOM.nextDouble());
            }
        }
        return any.set(NextStepFact.CONDITIONS, conditions)
                .set(NextStepFact.STAGE, RootStage.values()[RANDOM.nextInt(6)])
                .set(NextStepFact.COVERAGE, RANDOM.nextInt(9) / 8.0)
                .set(NextStepFact.WIDEST_GAP, 45 * RANDOM.nextInt(9))
                .set(NextStepFact.STALLED_LOOKS, RANDOM.nextInt(4))
                .set(NextStepFact.ATTEMPTS, RANDOM.nextInt(4))
                .set(NextStepFact.RESCORES, RANDOM.nextInt(4))
                .set(NextStepFact.DAYS_TO_FROST, RANDOM.nextInt(4) == 0 ? null : RANDOM.nextInt(200))
                .set(NextStepFact.SCHOOL, School.values()[RANDOM.nextInt(3)])
                .build(HouseRules.SHIPPED);
    }

    @Test
    void an_input_that_is_missing_or_may_not_be_so_is_refused() {
        assertThatThrownBy(() -> new NextStepInputs.Builder().build(HouseRules.SHIPPED))
                .hasMessageContaining("CONDITIONS");
        assertThatThrownBy(() -> summer().set(NextStepFact.ROOTS_P, 1.2)).hasMessageContaining("1.2");
        assertThatThrownBy(() -> summer().set(NextStepFact.DAYS_TO_FROST, 400)).hasMessageContaining("400");
    }
}
