package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.verdict.Verdict;

/** The borders between the rules of the next step, one by one. */
class NextStepCasesTest {

    /** A layer in summer with nothing wrong; what is set otherwise reads as the case. */
    private static final class Case {
        private final NextStepInputs.Builder in = NextStepRulesTest.summer();
        private HouseRules rules = HouseRules.SHIPPED;

        private Case set(NextStepFact name, @Nullable Object value) {
            in.set(name, value);
            return this;
        }

        Case at(RootStage now) {
            return set(NextStepFact.STAGE, now);
        }

        Case found(Condition... all) {
            return set(NextStepFact.CONDITIONS, Set.of(all));
        }

        Case frost(@Nullable Integer days) {
            return set(NextStepFact.DAYS_TO_FROST, days);
        }

        Case ready(double p) {
            return set(NextStepFact.READY_P, p);
        }

        Case roots(double p) {
            return set(NextStepFact.ROOTS_P, p);
        }

        Case stalled(int looks) {
            return set(NextStepFact.STALLED_LOOKS, looks);
        }

        Case asleep() {
            return set(NextStepFact.GROWING, false).set(NextStepFact.BARK_SLIPS, false);
        }

        Case tender() {
            return set(NextStepFact.HARDY, false);
        }

        Case cover() {
            return set(NextStepFact.COVER, true);
        }

        Case evergreen() {
            return set(NextStepFact.EVERGREEN, true).set(NextStepFact.DORMANT_ROOM, false);
        }

        Case noDormantRoom() {
            return set(NextStepFact.DORMANT_ROOM, false);
        }

        Case wintered() {
            return set(NextStepFact.WINTERED, true);
        }

        Case winterEnds() {
            return set(NextStepFact.LAST_FROST_AHEAD, true);
        }

        Case hardFrost() {
            return set(NextStepFact.HARD_FROST, true);
        }

        Case overdueLook() {
            return set(NextStepFact.LOOK_OVERDUE, true);
        }

        Case tried(int times) {
            return set(NextStepFact.ATTEMPTS, times);
        }

        Case window(double p) {
            return set(NextStepFact.WINDOW_P, p);
        }

        Case school(School when) {
            return set(NextStepFact.SCHOOL, when);
        }

        Case fruit() {
            return set(NextStepFact.FRUIT_TO_KEEP, true);
        }

        Case dries() {
            return set(NextStepFact.BALL_DRIES, true);
        }

        Case specimen(double share, int gap, int scars) {
            return set(NextStepFact.SPECIMEN, true)
                    .set(NextStepFact.COVERAGE, share)
                    .set(NextStepFact.WIDEST_GAP, gap)
                    .set(NextStepFact.RESCORES, scars);
        }

        Case rescored() {
            return set(NextStepFact.RESCORED_SINCE, true);
        }

        Case bare() {
            return set(NextStepFact.LEAFLESS, true).asleep();
        }

        Case unseen() {
            return set(NextStepFact.LOOKED, false).at(RootStage.NONE);
        }

        Case by(String rule, double value) {
            rules = rules.with(rule, value);
            return this;
        }

        Verdict<NextStep, NextStepRules> decide() {
            return NextStepRules.decide(in.build(rules));
        }
    }

    private static Arguments is(Case one, NextStep step) {
        return Arguments.of(one, step);
    }

    static Stream<Arguments> below() {
        RootStage initials = RootStage.INITIALS;
        RootStage rooted = RootStage.ROOTED;
        return Stream.of(
                // never looked at
                is(new Case().unseen().ready(.5), NextStep.LOOK_NOW),
                is(new Case().unseen().ready(.49), NextStep.WAIT),
                is(new Case().unseen().ready(.7).by("next.first-look", .8), NextStep.WAIT),
                is(new Case().unseen().ready(.99).asleep(), NextStep.CARRY_OVER),
                is(new Case().ready(.5), NextStep.WAIT),
                // an old look is not the present: it comes before any verdict on it
                is(new Case().ready(.99).roots(.05).overdueLook(), NextStep.LOOK_NOW),
                is(new Case().at(rooted).ready(.99).stalled(2).overdueLook(), NextStep.LOOK_NOW),
                is(new Case().overdueLook().asleep(), NextStep.CARRY_OVER),
                is(new Case().overdueLook().found(Condition.DRY), NextStep.REWET),
                is(new Case().overdueLook().found(Condition.BRIDGED), NextStep.RERING),
                // its looks say that it will not root
                is(new Case().ready(.5).roots(.29), NextStep.RERING),
                is(new Case().ready(.49).roots(.29), NextStep.WAIT),
                is(new Case().ready(.99).roots(.3), NextStep.WAIT),
                is(new Case().ready(.99).roots(.29).set(NextStepFact.ROOTS_BEFORE, .42), NextStep.WAIT),
                is(new Case().ready(.99).roots(.28).set(NextStepFact.ROOTS_BEFORE, .42), NextStep.RERING),
                is(new Case().ready(.5).roots(.1).window(.39), NextStep.CARRY_OVER),
                is(new Case().ready(.5).roots(.1).window(.39).winterEnds(), NextStep.WAIT),
                // too early for a new ring is not too late for one
                is(
                        new Case().ready(.5).roots(.1).window(0).tender().set(NextStepFact.WINDOW_AHEAD, true),
                        NextStep.WAIT),
                is(
                        new Case().found(Condition.BRIDGED).window(0).tender().set(NextStepFact.WINDOW_AHEAD, true),
                        NextStep.WAIT),
                is(new Case().found(Condition.BRIDGED).window(0).tender(), NextStep.NEXT_SEASON),
                is(new Case().found(Condition.BRIDGED).set(NextStepFact.WINDOW_AHEAD, true), NextStep.RERING),
                // few roots, and nights that kill them are near
                is(
                        new Case().at(initials).tender().frost(20).cover().set(NextStepFact.KILL_NEAR, true),
                        NextStep.GAMBLE),
                is(new Case().at(initials).tender().frost(20).set(NextStepFact.KILL_NEAR, true), NextStep.PROTECT),
                is(new Case().at(initials).tender().frost(20).cover(), NextStep.PROTECT),
                is(new Case().tender().frost(20).cover().set(NextStepFact.KILL_NEAR, true), NextStep.PROTECT),
                is(new Case().at(initials).frost(20).set(NextStepFact.KILL_NEAR, true), NextStep.CARRY_OVER),
                is(new Case().ready(.5).roots(.1).window(.39).tender(), NextStep.NEXT_SEASON),
                is(new Case().ready(.5).roots(.1).window(.39).tender().frost(44), NextStep.PROTECT),
                is(new Case().ready(.5).roots(.1).window(.39).tender().frost(45), NextStep.NEXT_SEASON),
                is(new Case().ready(.5).roots(.1).tried(2), NextStep.ABANDON),
                is(new Case().ready(.5).roots(.1).tried(2).by("next.most-rerings", 3), NextStep.RERING),
                is(new Case().ready(.5).roots(.1).set(NextStepFact.BARK_SLIPS, false), NextStep.CARRY_OVER),
                // first tips that stand still
                is(new Case().at(initials).ready(.95).roots(.49).stalled(1), NextStep.WAIT),
                is(new Case().at(initials).ready(.95).roots(.49).stalled(2), NextStep.RERING),
                is(new Case().at(initials).ready(.95).roots(.5).stalled(2), NextStep.WAIT),
                is(new Case().at(initials).ready(.94).roots(.49).stalled(2), NextStep.WAIT),
                is(new Case().at(initials).ready(.95).roots(.4).stalled(2).tried(2), NextStep.GAMBLE),
                is(
                        new Case()
                                .at(initials)
                                .ready(.95)
                                .roots(.4)
                                .stalled(2)
                                .tried(2)
                                .frost(41),
                        NextStep.ABANDON),
                is(
                        new Case()
                                .at(initials)
                                .ready(.95)
                                .roots(.4)
                                .stalled(2)
                                .tried(2)
                                .frost(41)
                                .cover(),
                        NextStep.GAMBLE),
                is(new Case().ready(.95).roots(.1).tried(2).cover(), NextStep.ABANDON),
                // a bridge of bark
                is(new Case().found(Condition.BRIDGED), NextStep.RERING),
                is(new Case().at(initials).found(Condition.BRIDGED), NextStep.CUT_BRIDGE),
                is(new Case().at(initials).found(Condition.BRIDGED).asleep(), NextStep.CARRY_OVER),
                is(new Case().found(Condition.BRIDGED).asleep(), NextStep.NEXT_SEASON),
                is(new Case().found(Condition.BRIDGED).window(.1).tender().frost(10), NextStep.NEXT_SEASON),
                // rot
                is(new Case().found(Condition.ROT), NextStep.RERING),
                is(new Case().found(Condition.ROT).tried(2), NextStep.ABANDON),
                is(new Case().found(Condition.ROT).window(.3), NextStep.CLEAN_OUT),
                is(new Case().found(Condition.ROT).asleep(), NextStep.CLEAN_OUT),
                is(new Case().at(rooted).found(Condition.ROT), NextStep.GAMBLE),
                is(new Case().at(rooted).found(Condition.ROT).cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(RootStage.FILLED).found(Condition.ROT), NextStep.SEVER_SOON),
                // the ball itself
                is(new Case().found(Condition.MEDIUM_LOST), NextStep.RERING),
                is(new Case().found(Condition.MEDIUM_LOST).asleep(), NextStep.REWRAP),
                is(new Case().found(Condition.MEDIUM_LOST).window(.1).tender(), NextStep.NEXT_SEASON),
                is(new Case().at(rooted).found(Condition.MEDIUM_LOST), NextStep.REWRAP),
                is(new Case().at(rooted).found(Condition.MEDIUM_LOST, Condition.BRIDGED), NextStep.CUT_BRIDGE),
                is(new Case().found(Condition.SLIPPED), NextStep.REWRAP),
                is(new Case().found(Condition.WRAP_OPEN), NextStep.REWRAP),
                is(new Case().found(Condition.TOP_WILTED), NextStep.RELIEVE),
                // cold near
                is(new Case().frost(29), NextStep.CARRY_OVER),
                is(new Case().frost(0).winterEnds(), NextStep.WAIT),
                is(new Case().frost(30), NextStep.WAIT),
                is(new Case().frost(29).by("next.near-frost", 10), NextStep.WAIT),
                is(new Case().asleep(), NextStep.CARRY_OVER),
                is(new Case().asleep().winterEnds(), NextStep.WAIT),
                is(new Case().frost(29).tender(), NextStep.PROTECT),
                is(new Case().at(rooted).frost(29).tender(), NextStep.PROTECT),
                is(new Case().at(rooted).frost(29).tender().cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(initials).frost(29).tender().cover(), NextStep.PROTECT),
                // few roots, late
                is(new Case().at(rooted).ready(.95).stalled(2).frost(60), NextStep.GAMBLE),
                is(new Case().at(rooted).ready(.95).stalled(2).frost(60).school(School.DORMANT), NextStep.WAIT),
                is(
                        new Case()
                                .at(rooted)
                                .ready(.95)
                                .stalled(2)
                                .frost(60)
                                .school(School.DORMANT)
                                .tender(),
                        NextStep.GAMBLE),
                is(new Case().at(rooted).ready(.95).stalled(2).frost(59), NextStep.WAIT),
                is(new Case().at(rooted).ready(.95).stalled(2).frost(59).cover(), NextStep.GAMBLE),
                is(new Case().at(rooted).ready(.95).stalled(2).frost(null), NextStep.GAMBLE),
                is(new Case().at(rooted).ready(.95).stalled(1), NextStep.WAIT),
                is(new Case().at(rooted).ready(.9).stalled(2), NextStep.WAIT),
                is(new Case().at(rooted).ready(.95).stalled(2).by("next.stalled", 3), NextStep.WAIT));
    }

    static Stream<Arguments> full() {
        RootStage filled = RootStage.FILLED;
        RootStage mature = RootStage.MATURE;
        return Stream.of(
                // room or none
                is(new Case().at(filled).frost(42), NextStep.SEVER_NOW),
                is(new Case().at(mature).frost(42), NextStep.SEVER_SOON),
                is(new Case().at(filled).frost(41), NextStep.HOLD_DORMANT),
                is(new Case().at(filled).frost(41).cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(filled).frost(41).tender(), NextStep.HOLD_DORMANT),
                is(new Case().at(filled).frost(41).tender().noDormantRoom(), NextStep.SEVER_SOON),
                is(new Case().at(filled).frost(0).tender().noDormantRoom(), NextStep.PROTECT),
                is(new Case().at(filled).frost(0).winterEnds(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).frost(41).evergreen(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).frost(null), NextStep.SEVER_NOW),
                // a specimen with empty sectors
                is(new Case().at(filled).specimen(.74, 90, 0), NextStep.RESCORE),
                is(new Case().at(filled).specimen(.75, 135, 0), NextStep.RESCORE),
                is(new Case().at(filled).specimen(.75, 90, 0), NextStep.SEVER_NOW),
                is(new Case().at(filled).specimen(.5, 180, 1).frost(70), NextStep.RESCORE),
                is(new Case().at(filled).specimen(.5, 180, 0).frost(69), NextStep.SEVER_NOW),
                is(new Case().at(filled).specimen(.5, 180, 2), NextStep.SEVER_NOW),
                is(new Case().at(filled).specimen(.5, 180, 1).rescored(), NextStep.WAIT),
                is(new Case().at(filled).specimen(.5, 180, 1).rescored().frost(29), NextStep.HOLD_DORMANT),
                is(new Case().at(filled).specimen(.5, 180, 0).found(Condition.DRY), NextStep.SEVER_SOON),
                is(new Case().at(filled).specimen(.5, 180, 0).asleep(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).specimen(.74, 90, 0).by("next.even", .7), NextStep.SEVER_NOW),
                // five minutes' repair, and it stays
                is(new Case().at(filled).school(School.SPRING).found(Condition.DRY), NextStep.REWET),
                is(new Case().at(filled).school(School.DORMANT).found(Condition.WRAP_OPEN), NextStep.REWRAP),
                is(
                        new Case()
                                .at(filled)
                                .school(School.DORMANT)
                                .found(Condition.DRY)
                                .wintered(),
                        NextStep.SEVER_SOON),
                is(new Case().at(filled).school(School.SPRING).found(Condition.MEDIUM_LOST), NextStep.SEVER_SOON),
                is(
                        new Case()
                                .at(filled)
                                .school(School.SPRING)
                                .found(Condition.DRY)
                                .tender(),
                        NextStep.SEVER_SOON),
                // leaves off
                is(new Case().at(filled).bare().school(School.SPRING), NextStep.HOLD_SPRING),
                is(new Case().at(filled).bare().school(School.SPRING).wintered(), NextStep.SEVER_DORMANT),
                is(new Case().at(filled).bare().school(School.SPRING).tender(), NextStep.SEVER_DORMANT),
                is(new Case().at(filled).bare().school(School.SPRING).found(Condition.DRY), NextStep.REWET),
                is(new Case().at(filled).bare(), NextStep.SEVER_DORMANT),
                is(new Case().at(filled).bare().hardFrost(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).bare().hardFrost().found(Condition.SLIPPED), NextStep.REWRAP),
                is(new Case().at(filled).bare().hardFrost().tender(), NextStep.PROTECT),
                is(new Case().at(filled).bare().hardFrost().tender().cover(), NextStep.SEVER_TO_COVER),
                // an evergreen in winter
                is(new Case().at(filled).evergreen().asleep(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).evergreen().asleep().cover(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).evergreen().asleep().tender(), NextStep.PROTECT),
                is(new Case().at(filled).evergreen().asleep().tender().cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(filled).evergreen().asleep().found(Condition.DRY), NextStep.REWRAP),
                is(
                        new Case()
                                .at(filled)
                                .evergreen()
                                .asleep()
                                .found(Condition.DRY)
                                .cover(),
                        NextStep.SEVER_TO_COVER),
                is(
                        new Case()
                                .at(filled)
                                .evergreen()
                                .asleep()
                                .found(Condition.DRY)
                                .tender(),
                        NextStep.PROTECT),
                // trouble
                is(new Case().at(filled).found(Condition.DRY), NextStep.SEVER_SOON),
                is(new Case().at(filled).found(Condition.SLIPPED).frost(41), NextStep.REWRAP),
                is(new Case().at(filled).found(Condition.WRAP_OPEN).frost(41).cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(filled).found(Condition.MEDIUM_LOST), NextStep.SEVER_SOON),
                // fruit
                is(new Case().at(filled).fruit().frost(56), NextStep.HOLD_FRUIT),
                is(new Case().at(filled).fruit().frost(55), NextStep.SEVER_NOW),
                is(new Case().at(filled).fruit().frost(null), NextStep.HOLD_FRUIT),
                is(new Case().at(mature).fruit(), NextStep.SEVER_SOON),
                is(new Case().at(filled).fruit().frost(55).by("next.fruit", 10), NextStep.HOLD_FRUIT),
                // schools
                is(new Case().at(filled).school(School.SPRING), NextStep.HOLD_SPRING),
                is(new Case().at(filled).school(School.SPRING).wintered(), NextStep.SEVER_NOW),
                is(new Case().at(filled).school(School.SPRING).frost(null), NextStep.SEVER_NOW),
                is(new Case().at(filled).school(School.SPRING).tender(), NextStep.SEVER_NOW),
                is(new Case().at(filled).school(School.DORMANT), NextStep.HOLD_DORMANT),
                is(new Case().at(filled).school(School.DORMANT).tender(), NextStep.HOLD_DORMANT),
                is(new Case().at(filled).school(School.DORMANT).tender().noDormantRoom(), NextStep.SEVER_NOW),
                is(new Case().at(filled).school(School.DORMANT).evergreen(), NextStep.HOLD_SPRING),
                is(new Case().at(mature).school(School.DORMANT), NextStep.HOLD_DORMANT),
                is(new Case().at(mature).school(School.DORMANT).dries(), NextStep.SEVER_SOON),
                is(new Case().at(filled).school(School.DORMANT).dries(), NextStep.HOLD_DORMANT),
                is(new Case().at(mature).school(School.DORMANT).dries().frost(41), NextStep.HOLD_DORMANT));
    }

    @ParameterizedTest
    @MethodSource({"below", "full"})
    void at_the_border_the_right_rule_decides(Case one, NextStep step) {
        Verdict<NextStep, NextStepRules> verdict = one.decide();
        assertThat(verdict.step()).as(String.valueOf(verdict.decidedBy())).isEqualTo(step);
    }
}
