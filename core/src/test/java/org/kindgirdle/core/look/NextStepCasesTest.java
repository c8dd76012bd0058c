package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
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
        final Set<Condition> conditions = EnumSet.noneOf(Condition.class);
        boolean looked = true;
        RootStage stage = RootStage.CALLUS;
        double coverage = 1;
        int stalled;
        int attempts;
        int rescores;
        double readyP = .2;
        double windowP = .9;
        boolean growing = true;
        boolean leafless;

        @Nullable
        Integer frost = 100;

        boolean hardy = true;
        boolean cover;
        boolean fruit;
        boolean specimen;
        boolean dries;
        School school = School.IN_LEAF;
        HouseRules rules = HouseRules.SHIPPED;

        Case at(RootStage now) {
            stage = now;
            return this;
        }

        Case found(Condition... all) {
            conditions.addAll(Set.of(all));
            return this;
        }

        Case frost(@Nullable Integer days) {
            frost = days;
            return this;
        }

        Case ready(double p) {
            readyP = p;
            return this;
        }

        Case stalled(int looks) {
            stalled = looks;
            return this;
        }

        Case asleep() {
            growing = false;
            return this;
        }

        Case tender() {
            hardy = false;
            return this;
        }

        Case cover() {
            cover = true;
            return this;
        }

        Case tried(int times) {
            attempts = times;
            return this;
        }

        Case window(double p) {
            windowP = p;
            return this;
        }

        Case school(School when) {
            school = when;
            return this;
        }

        Case fruit() {
            fruit = true;
            return this;
        }

        Case dries() {
            dries = true;
            return this;
        }

        Case specimen(double share, int scars) {
            specimen = true;
            coverage = share;
            rescores = scars;
            return this;
        }

        Case bare() {
            leafless = true;
            return this;
        }

        Case unseen() {
            looked = false;
            stage = RootStage.NONE;
            return this;
        }

        Case by(String rule, double value) {
            rules = rules.with(rule, value);
            return this;
        }

        Verdict<NextStep, NextStepRules> decide() {
            return NextStepRules.decide(new NextStepInputs(
                    conditions,
                    looked,
                    stage,
                    coverage,
                    stalled,
                    attempts,
                    rescores,
                    readyP,
                    windowP,
                    growing,
                    leafless,
                    frost,
                    42,
                    hardy,
                    cover,
                    fruit,
                    specimen,
                    dries,
                    school,
                    rules));
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
                is(new Case().ready(.5), NextStep.WAIT),
                // overdue with nothing to show
                is(new Case().ready(.95), NextStep.RERING),
                is(new Case().ready(.94), NextStep.WAIT),
                is(new Case().ready(.96).by("next.overdue", .97), NextStep.WAIT),
                is(new Case().ready(.95).window(.39), NextStep.CARRY_OVER),
                is(new Case().ready(.95).window(.4), NextStep.RERING),
                is(new Case().ready(.95).window(.39).tender(), NextStep.PROTECT),
                is(new Case().ready(.95).tried(2), NextStep.ABANDON),
                is(new Case().ready(.95).tried(1), NextStep.RERING),
                is(new Case().ready(.95).tried(2).by("next.most-rerings", 3), NextStep.RERING),
                // first tips that stand still
                is(new Case().at(initials).ready(.95).stalled(1), NextStep.WAIT),
                is(new Case().at(initials).ready(.95).stalled(2), NextStep.RERING),
                is(new Case().at(initials).ready(.95).stalled(2).tried(2), NextStep.GAMBLE),
                is(new Case().at(initials).ready(.95).stalled(2).tried(2).frost(41), NextStep.ABANDON),
                is(
                        new Case()
                                .at(initials)
                                .ready(.95)
                                .stalled(2)
                                .tried(2)
                                .frost(41)
                                .cover(),
                        NextStep.GAMBLE),
                is(new Case().ready(.95).tried(2).cover(), NextStep.ABANDON),
                // a bridge of bark
                is(new Case().found(Condition.BRIDGED), NextStep.RERING),
                is(new Case().at(initials).found(Condition.BRIDGED), NextStep.CUT_BRIDGE),
                is(new Case().found(Condition.BRIDGED).asleep(), NextStep.CARRY_OVER),
                // rot
                is(new Case().found(Condition.ROT), NextStep.RERING),
                is(new Case().found(Condition.ROT).tried(2), NextStep.ABANDON),
                is(new Case().found(Condition.ROT).window(.3), NextStep.ABANDON),
                is(new Case().found(Condition.ROT).asleep(), NextStep.CLEAN_OUT),
                is(new Case().at(rooted).found(Condition.ROT), NextStep.SEVER_TO_COVER),
                is(new Case().at(RootStage.FILLED).found(Condition.ROT), NextStep.SEVER_SOON),
                // the ball itself
                is(new Case().found(Condition.MEDIUM_LOST), NextStep.RERING),
                is(new Case().at(rooted).found(Condition.MEDIUM_LOST), NextStep.REWRAP),
                is(new Case().found(Condition.SLIPPED), NextStep.REWRAP),
                is(new Case().found(Condition.WRAP_OPEN), NextStep.REWRAP),
                is(new Case().found(Condition.TOP_WILTED), NextStep.RELIEVE),
                // cold near
                is(new Case().frost(29), NextStep.CARRY_OVER),
                is(new Case().frost(30), NextStep.WAIT),
                is(new Case().frost(29).by("next.near-frost", 10), NextStep.WAIT),
                is(new Case().asleep(), NextStep.CARRY_OVER),
                is(new Case().frost(29).tender(), NextStep.PROTECT),
                is(new Case().at(rooted).frost(29).tender(), NextStep.PROTECT),
                is(new Case().at(rooted).frost(29).tender().cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(initials).frost(29).tender().cover(), NextStep.PROTECT),
                // few roots, late
                is(new Case().at(rooted).ready(.95).stalled(2).frost(60), NextStep.GAMBLE),
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
                is(new Case().at(filled).frost(41).tender(), NextStep.PROTECT),
                is(new Case().at(filled).frost(null), NextStep.SEVER_NOW),
                // a specimen with empty sectors
                is(new Case().at(filled).specimen(.49, 0), NextStep.RESCORE),
                is(new Case().at(filled).specimen(.49, 1).frost(60), NextStep.RESCORE),
                is(new Case().at(filled).specimen(.49, 2), NextStep.SEVER_NOW),
                is(new Case().at(filled).specimen(.5, 0), NextStep.SEVER_NOW),
                is(new Case().at(filled).specimen(.49, 0).frost(59), NextStep.SEVER_NOW),
                is(new Case().at(filled).specimen(.49, 0).asleep(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).specimen(.49, 0).by("next.even", .4), NextStep.SEVER_NOW),
                // leaves off
                is(new Case().at(filled).bare().school(School.SPRING), NextStep.HOLD_SPRING),
                is(new Case().at(filled).bare().school(School.SPRING).tender(), NextStep.SEVER_DORMANT),
                is(new Case().at(filled).bare().school(School.SPRING).found(Condition.DRY), NextStep.SEVER_DORMANT),
                is(new Case().at(filled).bare(), NextStep.SEVER_DORMANT),
                // an evergreen in winter
                is(new Case().at(filled).asleep(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).asleep().cover(), NextStep.HOLD_SPRING),
                is(new Case().at(filled).asleep().tender(), NextStep.PROTECT),
                is(new Case().at(filled).asleep().tender().cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(filled).asleep().found(Condition.DRY), NextStep.REWRAP),
                is(new Case().at(filled).asleep().found(Condition.DRY).cover(), NextStep.SEVER_TO_COVER),
                is(new Case().at(filled).asleep().found(Condition.DRY).tender(), NextStep.PROTECT),
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
                is(new Case().at(filled).school(School.SPRING).frost(null), NextStep.SEVER_NOW),
                is(new Case().at(filled).school(School.SPRING).tender(), NextStep.SEVER_NOW),
                is(new Case().at(filled).school(School.DORMANT), NextStep.HOLD_DORMANT),
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
