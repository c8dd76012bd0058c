package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;

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
                            .filter(entry -> entry.outcome() == Verdict.Outcome.APPLIED)
                            .map(Verdict.Entry::rule))
                    .containsExactly(verdict.decidedBy());
            verdict.entries()
                    .forEach(entry -> assertThat(entry.facts().isEmpty())
                            .isEqualTo(entry.outcome() == Verdict.Outcome.NOT_EVALUATED));
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

    static NextStepInputs inputs(Set<Condition> conditions, RootStage stage, @Nullable Integer daysToFrost) {
        return new NextStepInputs(
                conditions,
                true,
                stage,
                1,
                0,
                0,
                0,
                .2,
                .9,
                true,
                false,
                daysToFrost,
                42,
                true,
                false,
                false,
                false,
                false,
                School.IN_LEAF,
                HouseRules.SHIPPED);
    }

    static NextStepInputs any() {
        Set<Condition> conditions = EnumSet.noneOf(Condition.class);
        for (Condition condition : Condition.values()) {
            if (RANDOM.nextInt(12) == 0) {
                conditions.add(condition);
            }
        }
        return new NextStepInputs(
                conditions,
                RANDOM.nextBoolean(),
                RootStage.values()[RANDOM.nextInt(6)],
                RANDOM.nextInt(9) / 8.0,
                RANDOM.nextInt(4),
                RANDOM.nextInt(4),
                RANDOM.nextInt(4),
                RANDOM.nextDouble(),
                RANDOM.nextDouble(),
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextInt(4) == 0 ? null : RANDOM.nextInt(200),
                42,
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                RANDOM.nextBoolean(),
                School.values()[RANDOM.nextInt(3)],
                HouseRules.SHIPPED);
    }
}
