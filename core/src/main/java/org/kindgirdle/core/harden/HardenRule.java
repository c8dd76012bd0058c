package org.kindgirdle.core.harden;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.kindgirdle.core.verdict.Verdict;

/**
 * The rules of the ladder, in order; their names are their stable ids. Up to MOSS_USED_UP the first that applies
 * decides. The others each stand in the way of a step up, or of a release, and all of them are asked.
 */
public enum HardenRule {
    NOT_POTTED(For.ALWAYS, one -> !one.plant().potted(), HardenFact.POTTED),
    MOULD(For.ALWAYS, one -> one.plant().showsNow(PlantSign.MOULD), HardenFact.SIGNS),
    WILTED_TWO_DAYS(For.ALWAYS, HardenCase::hasWilted, HardenFact.SIGNS, HardenFact.LAST_DROOP),
    DROOP(For.ALWAYS, HardenCase::droopsHere, HardenFact.SIGNS, HardenFact.LAST_DROOP, HardenFact.RUNG),
    LEAFLESS(For.ALWAYS, HardenCase::isLeafless, HardenFact.LEAFLESS),
    MOSS_USED_UP(
            For.ALWAYS,
            HardenCase::hasOutgrownMoss,
            HardenFact.DAYS_IN_MOSS,
            HardenFact.MOST_DAYS_IN_MOSS,
            HardenFact.ROOTS_SEEN),

    DAYS_ON_RUNG(
            For.ANY_MOVE,
            one -> one.today().isBefore(one.rungDone()),
            HardenFact.LADDER,
            HardenFact.RUNG,
            HardenFact.DAYS_ON_RUNG,
            HardenFact.DAYS_WANTED),
    CALM_DAYS(For.ANY_MOVE, HardenCase::isUncalm, HardenFact.DAYS_CALM, HardenFact.CALM_DAYS_WANTED),
    /** It sheds what its roots can't carry; in autumn every leaf goes. */
    LEAF_DROP(
            For.ANY_MOVE,
            one -> one.today().isBefore(one.keptLeafFrom()),
            HardenFact.LAST_LEAF_DROP,
            HardenFact.CALM_DAYS_WANTED),
    COOL_DAY(For.STEP_UP, HardenCase::isHot, HardenFact.HOTTEST_C, HardenFact.HOT_ABOVE_C),
    CALM_AIR(For.STEP_UP, HardenCase::isWindy, HardenFact.WINDIEST_MS),
    /** The nights of the next rung are about to freeze. */
    FREE_OF_FROST(For.STEP_UP, HardenCase::isFrostOnNextRung, HardenFact.RUNG, HardenFact.FROST_UP_DAYS),
    ROOTS_AT_EDGE(For.RELEASE, HardenCase::lacksRootsAtEdge, HardenFact.LADDER, HardenFact.ROOTS_SEEN),
    NEW_GROWTH(For.RELEASE, one -> !one.plant().everShowed(PlantSign.NEW_GROWTH), HardenFact.GROWTH_SEEN),
    NO_PESTS(For.RELEASE, one -> one.plant().showsNow(PlantSign.PESTS), HardenFact.SIGNS),
    /** What stands in the ground is released where it is, when it has grown in the next spring. */
    SPRING_IN_THE_GROUND(For.RELEASE, HardenCase::waitsForSpring, HardenFact.LADDER, HardenFact.GROWS_AGAIN_ON),
    FROST_FREE_DAYS(For.RELEASE, HardenCase::isFrostNear, HardenFact.DAYS_TO_FROST);

    /** What a rule can stand in the way of. */
    private enum For {
        ALWAYS,
        ANY_MOVE,
        STEP_UP,
        RELEASE
    }

    private final For purpose;
    private final Predicate<HardenCase> applies;
    private final HardenFact[] reads;

    HardenRule(For purpose, Predicate<HardenCase> applies, HardenFact... reads) {
        this.purpose = purpose;
        this.applies = applies;
        this.reads = reads;
    }

    /** Whether it stands in the way of a plant. */
    boolean stops(HardenCase one) {
        return applies.test(one);
    }

    /** Whether it decides alone, so that nothing after it is asked. */
    public boolean decides() {
        return purpose == For.ALWAYS;
    }

    /** Whether it can stand in the way of what comes next from this rung. */
    private boolean isAsked(HardenCase one) {
        if (this == SPRING_IN_THE_GROUND && one.plant().ladder() != Ladder.GROUND) {
            return false;
        }
        boolean up = one.plant().up(one.rules()).isPresent();
        return switch (purpose) {
            case ALWAYS, ANY_MOVE -> true;
            case STEP_UP -> up;
            case RELEASE -> !up;
        };
    }

    Verdict.Entry<HardenRule> entry(HardenCase one, boolean decided) {
        if (decided || !isAsked(one)) {
            return new Verdict.Entry<>(this, Verdict.RuleOutcome.NOT_EVALUATED, List.of());
        }
        return new Verdict.Entry<>(
                this,
                applies.test(one) ? Verdict.RuleOutcome.APPLIED : Verdict.RuleOutcome.PASSED_OVER,
                Stream.of(reads).map(one::fact).toList());
    }
}
