package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.FactName;
import org.kindgirdle.core.verdict.Verdict;

class WhatWouldChangeTest {

    @Test
    void every_change_that_is_named_gives_the_step_that_it_names() {
        for (int i = 0; i < 3000; i++) {
            NextStepInputs in = NextStepRulesTest.any();
            NextStep now = NextStepRules.decide(in).step();
            for (WhatWouldChange.Change change : WhatWouldChange.of(in)) {
                assertThat(change.step()).isNotEqualTo(now);
                assertThat(NextStepRules.decide(in.with(change.to())).step())
                        .as(in + " with " + change.to())
                        .isEqualTo(change.step());
            }
        }
    }

    @Test
    void replacing_an_input_by_itself_changes_nothing() {
        for (int i = 0; i < 500; i++) {
            NextStepInputs in = NextStepRulesTest.any();
            for (NextStepFact name : NextStepFact.values()) {
                assertThat(in.with(name.in(in))).isEqualTo(in);
            }
        }
    }

    @Test
    void a_full_ball_too_near_frost_is_cut_if_frost_were_six_weeks_off() {
        NextStepInputs in = NextStepRulesTest.inputs(Set.of(), RootStage.FILLED, 41);
        assertThat(NextStepRules.decide(in).step()).isEqualTo(NextStep.HOLD_DORMANT);
        assertThat(WhatWouldChange.of(in))
                .contains(
                        new WhatWouldChange.Change(new Fact(NextStepFact.DAYS_TO_FROST, 42), NextStep.SEVER_NOW),
                        new WhatWouldChange.Change(new Fact(NextStepFact.COVER, true), NextStep.SEVER_TO_COVER),
                        new WhatWouldChange.Change(new Fact(NextStepFact.ESTABLISH_DAYS, 41), NextStep.SEVER_NOW));
    }

    @Test
    void each_finding_that_would_matter_is_named_alone() {
        NextStepInputs in = NextStepRulesTest.inputs(Set.of(Condition.DRY), RootStage.CALLUS, 90);
        assertThat(WhatWouldChange.of(in))
                .contains(
                        new WhatWouldChange.Change(new Fact(NextStepFact.CONDITIONS, Set.of()), NextStep.WAIT),
                        new WhatWouldChange.Change(
                                new Fact(NextStepFact.CONDITIONS, Set.of(Condition.DRY, Condition.TOP_DEAD)),
                                NextStep.LOST));
    }

    @Test
    void of_all_values_that_do_the_same_the_nearest_limit_is_named() {
        NextStepInputs callus = NextStepRulesTest.inputs(Set.of(), RootStage.CALLUS, 90);
        assertThat(WhatWouldChange.of(callus))
                .contains(
                        new WhatWouldChange.Change(new Fact(NextStepFact.LOOK_OVERDUE, true), NextStep.LOOK_NOW),
                        new WhatWouldChange.Change(new Fact(NextStepFact.DAYS_TO_FROST, 29), NextStep.CARRY_OVER),
                        new WhatWouldChange.Change(new Fact(NextStepFact.GROWING, false), NextStep.CARRY_OVER))
                .noneMatch(change -> change.to().name() == NextStepFact.WINDOW_P);
        NextStepInputs late = callus.with(new Fact(NextStepFact.READY_P, .7));
        assertThat(WhatWouldChange.of(late))
                .contains(
                        new WhatWouldChange.Change(new Fact(NextStepFact.ROOTS_P, Math.nextDown(.3)), NextStep.RERING));
        NextStepInputs bridged = NextStepRulesTest.inputs(Set.of(Condition.BRIDGED), RootStage.CALLUS, 90);
        assertThat(WhatWouldChange.of(bridged))
                .contains(
                        new WhatWouldChange.Change(
                                new Fact(NextStepFact.WINDOW_P, Math.nextDown(.4)), NextStep.NEXT_SEASON),
                        new WhatWouldChange.Change(new Fact(NextStepFact.ATTEMPTS, 2), NextStep.ABANDON));
        NextStepInputs fruit = NextStepRulesTest.inputs(Set.of(), RootStage.FILLED, 50)
                .with(new Fact(NextStepFact.FRUIT_TO_KEEP, true));
        assertThat(WhatWouldChange.of(fruit))
                .contains(new WhatWouldChange.Change(new Fact(NextStepFact.DAYS_TO_FROST, 56), NextStep.HOLD_FRUIT));
    }

    @Test
    void each_input_says_where_it_comes_from_and_only_season_and_forecast_change_by_themselves() {
        assertThat(NextStepFact.STAGE.source()).isEqualTo(FactName.Source.LOOK);
        assertThat(NextStepFact.ATTEMPTS.source()).isEqualTo(FactName.Source.RECORDS);
        assertThat(NextStepFact.COVER.source()).isEqualTo(FactName.Source.HOUSE);
        assertThat(NextStepFact.SCHOOL.source()).isEqualTo(FactName.Source.RECIPE);
        assertThat(NextStepFact.values())
                .filteredOn(NextStepFact::isBroughtByTime)
                .containsExactlyInAnyOrder(
                        NextStepFact.LOOK_OVERDUE,
                        NextStepFact.ROOTS_P,
                        NextStepFact.ROOTS_BEFORE,
                        NextStepFact.READY_P,
                        NextStepFact.WINDOW_P,
                        NextStepFact.BARK_SLIPS,
                        NextStepFact.GROWING,
                        NextStepFact.LEAFLESS,
                        NextStepFact.EVERGREEN,
                        NextStepFact.DAYS_TO_FROST,
                        NextStepFact.HARD_FROST,
                        NextStepFact.LAST_FROST_AHEAD,
                        NextStepFact.WINDOW_AHEAD,
                        NextStepFact.KILL_NEAR,
                        NextStepFact.HARDY,
                        NextStepFact.DORMANT_ROOM,
                        NextStepFact.WINTERED,
                        NextStepFact.BALL_DRIES);
    }

    @Test
    void two_verdicts_differ_in_the_rules_that_read_what_changed() {
        Verdict<NextStep, NextStepRules> before =
                NextStepRules.decide(NextStepRulesTest.inputs(Set.of(), RootStage.FILLED, 42));
        Verdict<NextStep, NextStepRules> after =
                NextStepRules.decide(NextStepRulesTest.inputs(Set.of(), RootStage.FILLED, 41));
        assertThat(before.diff(before)).isEmpty();
        List<Verdict.Difference<NextStepRules>> differences = before.diff(after);
        assertThat(differences)
                .extracting(one -> one.before().rule())
                .contains(NextStepRules.ROOM, NextStepRules.NO_ROOM)
                .doesNotContain(NextStepRules.TOP_DEAD, NextStepRules.LEAF_FALLEN);
        Verdict.Difference<NextStepRules> room = differences.stream()
                .filter(one -> one.before().rule() == NextStepRules.ROOM)
                .findFirst()
                .orElseThrow();
        assertThat(room.before().outcome()).isEqualTo(Verdict.RuleOutcome.APPLIED);
        assertThat(room.after().outcome()).isEqualTo(Verdict.RuleOutcome.PASSED_OVER);
        assertThat(room.changedFacts()).containsExactly(new Fact(NextStepFact.DAYS_TO_FROST, 42));
    }
}
