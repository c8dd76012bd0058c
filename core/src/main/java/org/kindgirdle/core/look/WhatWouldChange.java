package org.kindgirdle.core.look;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.verdict.Fact;

/** Which single input, were it otherwise, would give another next step. */
public final class WhatWouldChange {

    private WhatWouldChange() {}

    /**
     * One input otherwise.
     *
     * @param to the input with the value that it would have to have
     * @param step the next step that would then follow
     */
    public record Change(Fact to, NextStep step) {}

    /**
     * All such changes, by input in the order of {@link NextStepFact}. Numbers are tried at the limits that the rules turn
     * on, so that of all values with the same effect the nearest limit is named.
     */
    public static List<Change> of(NextStepInputs in) {
        NextStep now = NextStepRules.decide(in).step();
        List<Change> changes = new ArrayList<>();
        for (NextStepFact name : NextStepFact.values()) {
            Set<NextStep> found = EnumSet.noneOf(NextStep.class);
            alternatives(name, in).forEach(value -> {
                NextStep step =
                        NextStepRules.decide(with(in, new Fact(name, value))).step();
                if (step != now && found.add(step)) {
                    changes.add(new Change(new Fact(name, value), step));
                }
            });
        }
        return changes;
    }

    /** The inputs with one of them replaced. */
    public static NextStepInputs with(NextStepInputs in, Fact fact) {
        return new NextStepInputs(
                fact.name() == NextStepFact.CONDITIONS ? conditions(fact) : in.conditions(),
                fact.name() == NextStepFact.LOOKED ? fact.isTrue() : in.looked(),
                fact.name() == NextStepFact.STAGE ? (RootStage) fact.present() : in.stage(),
                fact.name() == NextStepFact.COVERAGE ? fact.number() : in.coverage(),
                fact.name() == NextStepFact.STALLED_LOOKS ? fact.count() : in.stalledLooks(),
                fact.name() == NextStepFact.ATTEMPTS ? fact.count() : in.attempts(),
                fact.name() == NextStepFact.RESCORES ? fact.count() : in.rescores(),
                fact.name() == NextStepFact.READY_P ? fact.number() : in.readyP(),
                fact.name() == NextStepFact.WINDOW_P ? fact.number() : in.windowP(),
                fact.name() == NextStepFact.GROWING ? fact.isTrue() : in.growing(),
                fact.name() == NextStepFact.LEAFLESS ? fact.isTrue() : in.leafless(),
                fact.name() == NextStepFact.DAYS_TO_FROST ? (Integer) fact.value() : in.daysToFrost(),
                fact.name() == NextStepFact.ESTABLISH_DAYS ? fact.count() : in.establishDays(),
                fact.name() == NextStepFact.HARDY ? fact.isTrue() : in.hardy(),
                fact.name() == NextStepFact.COVER ? fact.isTrue() : in.cover(),
                fact.name() == NextStepFact.FRUIT_TO_KEEP ? fact.isTrue() : in.fruitToKeep(),
                fact.name() == NextStepFact.SPECIMEN ? fact.isTrue() : in.specimen(),
                fact.name() == NextStepFact.BALL_DRIES ? fact.isTrue() : in.ballDries(),
                fact.name() == NextStepFact.SCHOOL ? (School) fact.present() : in.school(),
                in.rules());
    }

    private static Set<Condition> conditions(Fact fact) {
        Set<Condition> conditions = EnumSet.noneOf(Condition.class);
        for (Object one : (Set<?>) fact.present()) {
            conditions.add((Condition) one);
        }
        return conditions;
    }

    private static Stream<? extends @Nullable Object> alternatives(NextStepFact name, NextStepInputs in) {
        HouseRules rules = in.rules();
        return switch (name) {
            case CONDITIONS -> Stream.of(Condition.values()).map(one -> toggled(in.conditions(), one));
            case STAGE -> Stream.of(RootStage.values());
            case SCHOOL -> Stream.of(School.values());
            case COVERAGE -> nearest(in.coverage(), rules.of(Thresholds.EVEN_COVERAGE));
            case STALLED_LOOKS -> Stream.of(0, rules.count(Thresholds.STALLED_LOOKS));
            case ATTEMPTS -> Stream.of(0, rules.count(Thresholds.MOST_RERINGS));
            case RESCORES -> Stream.of(0, rules.count(Thresholds.MOST_RESCORES));
            case READY_P -> nearest(in.readyP(), rules.of(Thresholds.LOOK_P), rules.of(Thresholds.OVERDUE_P));
            case WINDOW_P -> nearest(in.windowP(), rules.of(Thresholds.AGAIN_P));
            case DAYS_TO_FROST -> frosts(in);
            case ESTABLISH_DAYS ->
                in.daysToFrost() == null
                        ? Stream.of()
                        : Stream.of(in.daysToFrost(), Math.min(366, in.daysToFrost() + 1));
            default -> Stream.of(true, false);
        };
    }

    /** The limits themselves, and what lies just under them, the nearest first. */
    private static Stream<Double> nearest(double now, double... limits) {
        return Arrays.stream(limits)
                .boxed()
                .flatMap(limit -> Stream.of(limit, Math.max(0, Math.nextDown(limit))))
                .sorted(Comparator.comparingDouble(one -> Math.abs(one - now)));
    }

    private static Stream<@Nullable Integer> frosts(NextStepInputs in) {
        List<@Nullable Integer> days = new ArrayList<>();
        for (int limit : new int[] {
            in.rules().count(Thresholds.NEAR_DAYS),
            in.rules().count(Thresholds.AMPLE_DAYS),
            in.establishDays(),
            in.establishDays() + in.rules().count(Thresholds.FRUIT_DAYS)
        }) {
            days.add(Math.min(366, limit));
            days.add(Math.max(0, limit - 1));
        }
        int now = in.daysToFrost() == null ? 366 : in.daysToFrost();
        days.sort(Comparator.comparingInt(one -> Math.abs((one == null ? 366 : one) - now)));
        days.add(null);
        return days.stream();
    }

    private static Set<Condition> toggled(Set<Condition> conditions, Condition one) {
        Set<Condition> other = EnumSet.noneOf(Condition.class);
        other.addAll(conditions);
        if (!other.remove(one)) {
            other.add(one);
        }
        return other;
    }
}
